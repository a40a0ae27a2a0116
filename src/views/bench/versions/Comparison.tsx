import { useState } from 'react';
import { PanelPicture } from '../../../app/panel/PanelPicture';
import { differencesBetween } from '../../../core/recipe/differences';
import type { ResolvedRecipe } from '../../../core/recipe/resolved';
import { useAppSelector } from '../../../store/hooks';
import { Segmented } from '../../../ui/Segmented';

interface State {
  readonly name: string;
  readonly resolved: ResolvedRecipe;
}

interface Props {
  readonly one: State;
  readonly other: State;
}

const HEIGHT = 420;

/** Two states of a recipe side by side, or one over the other with a line that wipes between them. */
export function Comparison({ one, other }: Props) {
  const { unit, wetness } = useAppSelector(({ view }) => view);
  const [way, setWay] = useState<'beside' | 'wipe'>('beside');
  const [wiped, setWiped] = useState(50);
  const { panel } = one.resolved.recipe;
  const height = Math.min(HEIGHT, (HEIGHT * panel.height) / panel.width);
  const size = { height, width: Math.round((height * panel.width) / panel.height) };
  const picture = (state: State) => (
    <PanelPicture resolved={state.resolved} wetness={wetness} {...size} label={`Panel, ${state.name}`} />
  );
  const told = differencesBetween(one.resolved, other.resolved, unit);
  return (
    <section aria-label="Comparison" className="border-t border-line pt-4">
      <Segmented
        label="How they are compared"
        value={way}
        onChange={setWay}
        options={[
          { value: 'beside', label: 'Side by side' },
          { value: 'wipe', label: 'Wipe line' },
        ]}
      />
      <div className="mt-3 flex flex-wrap gap-6">
        {way === 'beside' ? (
          [one, other].map((state) => (
            <figure key={state.name}>
              <div className="relative">{picture(state)}</div>
              <figcaption className="mt-1 font-semibold">{state.name}</figcaption>
            </figure>
          ))
        ) : (
          <figure>
            <div className="relative" style={size}>
              {picture(one)}
              <div className="absolute inset-0" style={{ clipPath: `inset(0 0 0 ${wiped}%)` }}>
                {picture(other)}
              </div>
              <span
                aria-hidden="true"
                className="pointer-events-none absolute inset-y-0 w-[3px] -translate-x-1/2 border-x border-black bg-white"
                style={{ left: `${wiped}%` }}
              />
            </div>
            <input
              type="range"
              aria-label={`Wipe line between ${one.name} and ${other.name}`}
              min={0}
              max={100}
              value={wiped}
              onChange={({ target }) => setWiped(Number(target.value))}
              className="mt-2 w-full accent-(--strong)"
            />
            <figcaption className="flex justify-between font-semibold">
              <span>{one.name}</span>
              <span>{other.name}</span>
            </figcaption>
          </figure>
        )}
        <div className="min-w-52 flex-1">
          <h3 className="heading text-lead">What differs</h3>
          {told.length === 0 ? <p>Nothing: they are alike.</p> : null}
          <ul>
            {told.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </div>
      </div>
    </section>
  );
}
