import type { Card } from '../core/materials/card/card';
import { Select } from '../ui/Select';

interface Props {
  readonly cards: readonly Card[];
  readonly value: string;
  readonly onChange: (cardId: string) => void;
  readonly width?: string;
  readonly label?: string;
}

/** One card of the drawer. */
export const CardSelect = ({ cards, value, onChange, width = '', label = 'Card' }: Props) => (
  <Select
    label={label}
    value={value}
    options={cards.map(({ id, name }) => ({ value: id, label: name }))}
    onChange={onChange}
    width={width}
  />
);
