import { Fragment, memo, useMemo } from 'react';
import { formatBare, type Millimetres, type Unit } from '../../core/base/length';
import { counted } from '../../core/base/words';
import { trustOf } from '../../core/keep/learn/tell';
import { groundOfCard } from '../../core/materials/card/card';
import { deltaE00 } from '../../core/materials/colour/difference';
import { hexOfLab } from '../../core/materials/colour/hex';
import { isBare, taughtOf } from '../../core/materials/ink/ink';
import { alongLadder, type PlaceAlong } from '../../core/readings/alongLadder';
import { NEEDS } from '../../core/readings/legibility/contrast';
import type { JointReading, Readings } from '../../core/readings/readings';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { useAppSelector } from '../../store/hooks';
import { type Axis, Chart, Curve } from '../../ui/chart/Chart';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly readings: Readings;
}

/** How far the colour of each rung, solid, is to be trusted: two of three panels come out within it. */
function trustOfRungs({ inks, card }: ResolvedRecipe) {
  const ground = groundOfCard(card);
  return inks
    .filter((ink, i) => !isBare(ink) && inks.indexOf(ink) === i)
    .map((ink) => ({
      name: ink.name,
      within: trustOf({ layers: [[{ ink, coats: 1 }]], ground }),
      panels: taughtOf(ink)?.panels ?? 0,
    }));
}

/** The figures of the ladder as a whole, and its curves, for whoever would rather look than read. */
export const Numbers = memo(function Numbers({ resolved, readings }: Props) {
  const unit = useAppSelector(({ view }) => view.unit);
  const places = useMemo(() => alongLadder(resolved), [resolved]);
  const trust = useMemo(() => trustOfRungs(resolved), [resolved]);
  return (
    <>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
        <dt className="text-mute">Rung spacing</dt>
        <dd className="text-right font-semibold">{readings.spacing.description}</dd>
        <dt className="text-mute">Steps, pale to dark</dt>
        <dd className="text-right font-semibold">
          {readings.spacing.gaps.map((gap) => gap.toFixed(0)).join(' : ')} L*
        </dd>
        {trust.map(({ name, within, panels }) => (
          <Fragment key={name}>
            <dt className="text-mute">{name}, trusted to</dt>
            <dd className="text-right font-semibold">
              ± {within.toFixed(1)} ΔE00
              <span className="block font-normal text-mute">
                {panels > 0 ? `from ${counted(panels, 'panel')}` : 'by its swatch alone'}
              </span>
            </dd>
          </Fragment>
        ))}
      </dl>
      {places && <Along {...{ places, unit }} />}
      {readings.joints.map((joint, i) => {
        const [first, second] = [readings.rungs[i], readings.rungs[i + 1]];
        return (
          first &&
          second && (
            <PotencyCurve
              key={resolved.recipe.rungs[i]?.id}
              joint={joint}
              names={[first.ink.name, second.ink.name]}
            />
          )
        );
      })}
    </>
  );
});

const SIZE = { width: 272, height: 190 } as const;

/** Lightness and contrast along the panel, drawn as it lies: its first rung at the top. */
function Along({ places, unit }: { readonly places: readonly PlaceAlong[]; readonly unit: Unit }) {
  const length = places.at(-1)?.along ?? 0;
  const along: Axis = {
    label: `${unit} along the run`,
    domain: [0, length],
    ticks: [0, 0.25, 0.5, 0.75, 1].map((part) => part * length),
    told: (at: Millimetres) => formatBare(at, unit),
  };
  const ends = [places[0], places.at(-1)].map((place) => Math.round(place?.lab.l ?? 0));
  return (
    <>
      <figure>
        <figcaption className="font-semibold">Lightness along the panel</figcaption>
        <p className="text-small text-mute">L* is lightness as the eye has it: 0 is black, 100 white.</p>
        <Chart
          {...SIZE}
          label={`Lightness along the panel, from L* ${ends[0]} to ${ends[1]}`}
          x={{ label: 'L*', domain: [0, 100], ticks: [0, 25, 50, 75, 100] }}
          y={along}
        >
          {(at) => (
            <>
              {places.map((place) => (
                <circle
                  key={place.along}
                  cx={at.x(place.lab.l)}
                  cy={at.y(place.along)}
                  r={5}
                  fill={hexOfLab(place.lab)}
                />
              ))}
              <Curve at={at} points={places.map((place) => [place.lab.l, place.along])} />
            </>
          )}
        </Chart>
      </figure>
      <figure>
        <figcaption className="font-semibold">What reads where</figcaption>
        <p className="text-small text-mute">
          Contrast of a black image (line) and a white one (dashes); lettering needs {NEEDS.lettering} : 1, a
          bold shape {NEEDS['bold shape']} : 1.
        </p>
        <Chart
          {...SIZE}
          label="Contrast of a black and of a white image along the panel"
          x={{
            label: 'contrast, : 1',
            domain: [1, 18],
            ticks: [1, NEEDS['bold shape'], NEEDS.lettering, 10, 18],
          }}
          y={along}
        >
          {(at) => (
            <>
              <Curve at={at} points={places.map((place) => [place.contrast.black, place.along])} />
              <Curve at={at} points={places.map((place) => [place.contrast.white, place.along])} isDashed />
            </>
          )}
        </Chart>
      </figure>
    </>
  );
}

/** How far the mixtures of a join look from either ink: where the lines cross, the eye sets the border. */
function PotencyCurve({
  joint,
  names,
}: {
  readonly joint: JointReading;
  readonly names: readonly [string, string];
}) {
  const { stations } = joint;
  const [first, last] = [stations[0], stations.at(-1)];
  if (!first || !last) return null;
  const farFrom = (end: typeof first) =>
    stations.map(({ mix, lab }): [number, number] => [mix * 100, deltaE00(lab, end.lab)]);
  const most = Math.max(...farFrom(first).map(([, far]) => far), 1);
  return (
    <figure>
      <figcaption className="font-semibold">
        {names[0]} into {names[1]}
      </figcaption>
      <p className="text-small text-mute">
        How far each mixture looks from the first (line) and from the second (dashes), in ΔE00; below about 2
        two colours are hard to tell apart. Where they cross, the eye sets the border.
      </p>
      <Chart
        {...SIZE}
        label={`How far the mixtures of ${names[0]} and ${names[1]} look from each of them`}
        x={{ label: `% ${names[1]} in the mixture`, domain: [0, 100], ticks: [0, 25, 50, 75, 100] }}
        y={{ label: 'ΔE00', domain: [most, 0], ticks: [0, most / 2, most], told: (far) => far.toFixed(0) }}
      >
        {(at) => (
          <>
            {stations.map(({ mix, lab }) => (
              <rect
                key={mix}
                x={at.x(mix * 100) - 9}
                y={at.y(0) - 5}
                width={18}
                height={5}
                fill={hexOfLab(lab)}
              />
            ))}
            <Curve at={at} points={farFrom(first)} />
            <Curve at={at} points={farFrom(last)} isDashed />
          </>
        )}
      </Chart>
    </figure>
  );
}
