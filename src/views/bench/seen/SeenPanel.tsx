import { hexOfLab } from '../../../core/materials/colour/hex';
import { labOfSpectrum } from '../../../core/materials/colour/lab';
import { laidReflectance } from '../../../core/materials/ink/laid';
import type { CalmPlace, ImageSeen } from '../../../core/readings/legibility/legibility';
import type { PanelField } from '../../../core/readings/legibility/panelField';
import type { ResolvedRecipe } from '../../../core/recipe/resolved';
import { HatchedPanel } from './HatchedPanel';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly field: PanelField;
  readonly shown: ImageSeen;
  readonly place: CalmPlace;
  readonly needed: number;
}

/** The panel with the part hatched on which the image does not read, and the greeting in its calmest place. */
export function SeenPanel({ resolved, field, shown, place, needed }: Props) {
  const { columns, rows, width, height } = field.cells;
  const weak = [...shown.legibility.ratio].flatMap((ratio, i) =>
    ratio < needed
      ? [`M${(i % columns) * width} ${Math.floor(i / columns) * height}h${width}v${height}h${-width}z`]
      : [],
  );
  const middle =
    Math.min(Math.floor((place.y + place.height / 2) / height), rows - 1) * columns +
    Math.min(Math.floor((place.x + place.width / 2) / width), columns - 1);
  const under = field.spectra[middle];
  const { ink, impressions } = shown.image;
  const colour = under
    ? hexOfLab(labOfSpectrum(laidReflectance([{ ink, coats: impressions }], under)))
    : ink.overWhite;
  return (
    <HatchedPanel
      resolved={resolved}
      weak={weak.join('')}
      label={`${Math.round((weak.length / (columns * rows)) * 100)} % of the panel is hatched: ${shown.image.label} does not read there`}
    >
      {(thin) => (
        <>
          {[
            { stroke: '#fff', strokeWidth: thin * 4 },
            { stroke: '#000', strokeWidth: thin * 1.5 },
          ].map((line) => (
            <rect
              key={line.stroke}
              {...line}
              x={place.x}
              y={place.y}
              width={place.width}
              height={place.height}
              className="fill-none"
            />
          ))}
          <text
            x={place.x + place.width / 2}
            y={place.y + place.height / 2}
            dy="0.34em"
            textAnchor="middle"
            fontSize={Math.min(place.height * 0.62, place.width / 4.6)}
            fontStyle="italic"
            fontFamily="Literata, Georgia, serif"
            fontWeight={700}
            fill={colour}
          >
            greeting
          </text>
        </>
      )}
    </HatchedPanel>
  );
}
