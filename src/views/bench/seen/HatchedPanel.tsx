import { type ReactNode, useRef } from 'react';
import { PanelPicture } from '../../../app/panel/PanelPicture';
import { useSize } from '../../../app/useSize';
import type { ResolvedRecipe } from '../../../core/recipe/resolved';
import { Hatching } from './Hatching';

interface Props {
  readonly resolved: ResolvedRecipe;
  /** What is hatched, as a path in mm, and the same in words. */
  readonly weak: string;
  readonly label: string;
  /** What is drawn over it in mm, given how many mm a pixel is. */
  readonly children: (thin: number) => ReactNode;
}

/** The tallest and the widest the panel is drawn, px, so that it stays beside what is told of it. */
const [HEIGHT, WIDTH] = [470, 423] as const;
/** Until the room there is has been measured. */
const LEAST_WIDTH = 240;

/** The dried panel with the part hatched on which something does not read. */
export function HatchedPanel({ resolved, weak, label, children }: Props) {
  const { panel } = resolved.recipe;
  const box = useRef<HTMLDivElement>(null);
  const room = useSize(box);
  const fits = Math.min((HEIGHT * panel.width) / panel.height, WIDTH);
  const width = Math.round(Math.min(fits, room.width || LEAST_WIDTH));
  const height = Math.round((width * panel.height) / panel.width);
  const thin = panel.height / height;
  return (
    <div ref={box} className="w-full lg:w-[26.5rem]">
      <div className="relative mx-auto" style={{ width, height }}>
        <PanelPicture
          resolved={resolved}
          wetness="dry"
          width={width}
          height={height}
          label="The dried panel"
        />
        <svg
          role="img"
          aria-label={label}
          viewBox={`0 0 ${panel.width} ${panel.height}`}
          className="absolute inset-0 size-full"
        >
          <Hatching id="weak" thin={thin} />
          <path d={weak} fill="url(#weak)" />
          {children(thin)}
        </svg>
      </div>
    </div>
  );
}
