import { describeDifference, describeOutOfReach, type Match } from '../../../core/choose/match/assign';
import { hexOfLab } from '../../../core/materials/colour/hex';
import { plainColour } from '../../../core/materials/colour/plainWords';
import { Select } from '../../../ui/Select';

interface Props {
  readonly number: number;
  readonly match: Match;
  readonly onChoose: (inkId: string) => void;
}

/** A wanted colour beside its ink, how far apart they are, and the other inks near it. */
export function MatchRow({ number, match, onChoose }: Props) {
  const { wanted, dried, difference, nearest } = match;
  const outOfReach = describeOutOfReach(match);
  const offered = nearest.some((one) => one.dried.ink.id === dried.ink.id)
    ? nearest
    : [{ dried, difference }, ...nearest];
  return (
    <li className="bg-pane p-3">
      <div className="grid grid-cols-[5.5rem_minmax(0,1fr)] gap-3">
        <div aria-hidden="true" className="flex h-14">
          <span className="flex-1" style={{ backgroundColor: hexOfLab(wanted) }} />
          <span className="flex-1" style={{ backgroundColor: dried.hex }} />
        </div>
        <div className="min-w-0">
          <p className="flex flex-wrap items-baseline gap-x-2">
            <strong>{number}</strong>
            <span className="colour-name">{plainColour(wanted)}</span>
            <span className="text-mute">wanted</span>
          </p>
          <label className="mt-1 flex flex-wrap items-center gap-2">
            <Select
              label={`Ink for colour ${number}`}
              value={dried.ink.id}
              options={offered.map(({ dried: one, difference: apart }) => ({
                value: one.ink.id,
                label: `${one.ink.name}, ΔE ${apart.toFixed(1)}`,
              }))}
              onChange={onChoose}
              width="font-semibold"
            />
            <span>
              {describeDifference(difference)}, ΔE00 {difference.toFixed(1)}
            </span>
          </label>
          {outOfReach && <p className="mt-1 border-l-2 border-text pl-2">{outOfReach}</p>}
        </div>
      </div>
    </li>
  );
}
