import { useRef } from 'react';
import { hexOfLab } from '../../core/colour/hex';
import { labOfSpectrum } from '../../core/colour/lab';
import { laidReflectance } from '../../core/ink/laid';
import type { Kit } from '../../core/ladder/recipe';
import type { CalmPlace, ImageSeen } from '../../core/legibility/legibility';
import type { PanelField } from '../../core/legibility/panelField';
import { useSize } from '../bench/useSize';
import { PanelPicture } from '../panel/PanelPicture';
import { Hatching } from './Hatching';

interface Props {
  readonly kit: Kit;
  readonly field: PanelField;
  readonly shown: ImageSeen;
  readonly place: CalmPlace;
  readonly needed: number;
}

const HEIGHT = 470;
/** Until the room there is has been measured. */
const LEAST_WIDTH = 240;

/** The panel with the part hatched on which the image does not read, and the greeting in its calmest place. */
export function SeenPanel({ kit, field, shown, place, needed }: Props) {
  const { panel } = kit.recipe;
  const box = useRef<HTMLDivElement>(null);
  const room = useSize(box);
  const wanted = Math.min(HEIGHT, (HEIGHT * 0.9 * panel.height) / panel.width);
  const width = Math.round(Math.min((wanted * panel.width) / panel.height, room.width || LEAST_WIDTH));
  const height = Math.round((width * panel.height) / panel.width);
  const { columns, rows, cell } = field;
  const { width: across, height: down } = cell;
  const weak = [...shown.legibility.ratio].flatMap((ratio, i) =>
    ratio < needed
      ? [`M${(i % columns) * across} ${Math.floor(i / columns) * down}h${across}v${down}h${-across}z`]
      : [],
  );
  const middle =
    Math.min(Math.floor((place.y + place.height / 2) / down), rows - 1) * columns +
    Math.min(Math.floor((place.x + place.width / 2) / across), columns - 1);
  const under = field.spectra[middle];
  const { ink, impressions } = shown.image;
  const colour = under
    ? hexOfLab(labOfSpectrum(laidReflectance([{ ink, coats: impressions }], under, 'dry')))
    : ink.overWhite;
  const thin = panel.height / height;
  return (
    <div ref={box} className="w-full lg:w-[26.5rem]">
      <div className="relative mx-auto" style={{ width, height }}>
        <PanelPicture kit={kit} wetness="dry" width={width} height={height} label="The dried panel" />
        <svg
          role="img"
          aria-label={`${Math.round((weak.length / (columns * rows)) * 100)} % of the panel is hatched: ${shown.image.label} does not read there`}
          viewBox={`0 0 ${panel.width} ${panel.height}`}
          className="absolute inset-0 size-full"
        >
          <Hatching id="weak" thin={thin} />
          <path d={weak.join('')} fill="url(#weak)" />
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
        </svg>
      </div>
    </div>
  );
}
