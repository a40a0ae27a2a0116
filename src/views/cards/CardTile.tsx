import { formatBare, formatLength, type Unit } from '../../core/base/length';
import type { Card } from '../../core/materials/card/card';
import { FINISHES } from '../../core/materials/card/finishes';
import { poundsOfGrammage } from '../../core/materials/card/paper';
import { labOfHex } from '../../core/materials/colour/hex';
import { plainColour } from '../../core/materials/colour/plainWords';
import { cardAdvice } from '../../core/readings/card/cardFit';
import { Button } from '../../ui/Button';

interface Props {
  readonly card: Card;
  readonly unit: Unit;
  readonly onEdit: (card: Card) => void;
  readonly onRemove: (card: Card) => void;
}

/** One card of the drawer: its colour, weight, sheet and stock, and how it takes ink. */
export function CardTile({ card, unit, onEdit, onRemove }: Props) {
  const { name, colour, finish, grammage, sheet, stock, note } = card;
  return (
    <li className="flex flex-col bg-pane">
      <span aria-hidden="true" className="h-20 border-b border-line" style={{ backgroundColor: colour }} />
      <div className="flex flex-1 flex-col p-3">
        <h2 className="text-lead font-semibold">{name}</h2>
        <p className="colour-name">{plainColour(labOfHex(colour))}</p>
        <p>
          {FINISHES[finish].label}, {grammage} g/m²{' '}
          <span className="text-mute">({Math.round(poundsOfGrammage(grammage, 'cover'))} lb cover)</span>
        </p>
        {sheet && (
          <p>
            sheets {formatBare(sheet.width, unit)} × {formatLength(sheet.height, unit)}
            {stock === undefined ? '' : `, ${stock} left`}
          </p>
        )}
        <p className="mt-1 text-small leading-snug text-mute">{cardAdvice(card).join(' ')}</p>
        {note && <p className="mt-1 text-small italic">{note}</p>}
        <div className="mt-auto flex gap-1 pt-2">
          <Button aria-label={`Change ${name}`} onClick={() => onEdit(card)}>
            Change
          </Button>
          <Button look="bare" aria-label={`Take out ${name}`} onClick={() => onRemove(card)}>
            Take out
          </Button>
        </div>
      </div>
    </li>
  );
}
