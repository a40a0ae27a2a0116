import type { SwatchReading } from '../../core/choose/photo/reading';
import { labOfHex } from '../../core/materials/colour/hex';
import { plainColour } from '../../core/materials/colour/plainWords';
import { Button } from '../../ui/Button';

interface Props {
  readonly reading: SwatchReading & { readonly name: string };
  /** Whether it gets a name here. */
  readonly named: boolean;
  readonly onName: (name: string) => void;
  readonly onRemove: () => void;
}

/** One reading: its colour, how even it was, and what it will be called. */
export function ReadingRow({ reading, named, onName, onRemove }: Props) {
  const { hex, spread, doubt, name } = reading;
  const { l, a, b } = labOfHex(hex);
  return (
    <li className="bg-pane p-2">
      <div className="flex items-center gap-2">
        <span aria-hidden="true" className="size-9 shrink-0" style={{ backgroundColor: hex }} />
        {named ? (
          <input
            aria-label={`Name of ${name}`}
            aria-invalid={name.trim() === ''}
            value={name}
            maxLength={120}
            autoComplete="off"
            onChange={({ target }) => onName(target.value)}
            className="frame min-h-7 min-w-0 flex-1 px-2"
          />
        ) : (
          <span className="colour-name flex-1">{plainColour(labOfHex(hex))}</span>
        )}
        <Button look="bare" aria-label={`Drop ${name}`} onClick={onRemove}>
          ×
        </Button>
      </div>
      <p className="mt-1 text-small">
        {hex} · L* {l.toFixed(0)} a* {a.toFixed(0)} b* {b.toFixed(0)} · spread ΔE00 {spread.toFixed(1)}
      </p>
      {doubt && <p className="border-l-2 border-text pl-2 text-small">{doubt}</p>}
    </li>
  );
}
