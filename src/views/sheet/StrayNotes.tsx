import type { StrayNote } from '../../core/sheet/strayNotes';
import { Button } from '../../ui/Button';

interface Props {
  readonly notes: readonly StrayNote[];
  readonly onTakeOff: (key: string) => void;
}

/** Notes whose steps are not in the order of work now: they come back with their steps, and are not lost from sight. */
export function StrayNotes({ notes, onTakeOff }: Props) {
  if (notes.length === 0) return null;
  return (
    <section
      aria-label="Notes to steps that are not in this order"
      className="mt-5 break-inside-avoid border-l-4 border-text pl-3 print:mt-2"
    >
      <p className="text-mute print:text-small">
        {notes.length === 1
          ? 'A note to a step that is not in this order; it comes back with its step.'
          : 'Notes to steps that are not in this order; they come back with their steps.'}
      </p>
      <ul>
        {notes.map(({ key, note, of }) => (
          <li key={key} className="mt-0.5 flex items-baseline gap-2">
            <span>
              {of && `${of}: `}
              <em>{note}</em>
            </span>
            <Button
              look="bare"
              className="text-mute underline underline-offset-4 print:hidden"
              aria-label={`Take off the note ${of ? `to ${of}` : `“${note}”`}`}
              onClick={() => onTakeOff(key)}
            >
              Take off
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
