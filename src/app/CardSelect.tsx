import type { Card } from '../core/materials/card/card';

interface Props {
  readonly cards: readonly Card[];
  readonly value: string;
  readonly onChange: (cardId: string) => void;
  readonly className?: string;
  readonly label?: string;
}

/** One card of the drawer. */
export function CardSelect({ cards, value, onChange, className = '', label = 'Card' }: Props) {
  return (
    <select
      aria-label={label}
      value={value}
      onChange={({ target }) => onChange(target.value)}
      className={`frame min-h-7 max-w-full px-1 py-0.5 ${className}`}
    >
      {cards.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}
