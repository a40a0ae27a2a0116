import { useEffect, useId, useState } from 'react';
import type { KnownSitting } from '../../core/make/sitting/known';
import { forgetPlace, paintQuietly } from '../../workers/client';

/** How high a little picture is painted, px. */
const HEIGHT = 48;

/** Little true pictures of panels after each piece of work, by lot and operation; bare card where there is none yet. */
export type LittlePictures = ReadonlyMap<string, string>;
export const pictureKey = (group: number, operation: number): string => `${group} ${operation}`;

/** Paints every stage of every recipe once, small; they come one after another, while the hand rests. */
export function useLittlePictures(sheets: KnownSitting['sheets']): LittlePictures {
  const place = useId();
  const [pictures, setPictures] = useState<LittlePictures>(new Map());
  useEffect(() => {
    let wanted = true;
    const places: string[] = [];
    const paint = async () => {
      for (const [at, { resolved, group }] of sheets.entries()) {
        const { steps } = group;
        const { width, height } = resolved.recipe.panel;
        const size = { width: Math.round((HEIGHT * width) / height), height: HEIGHT };
        // The finished panel first: it stands in where a stage is not painted yet.
        for (const operation of [...steps.keys()].reverse()) {
          const step = steps[operation];
          if (!step || !wanted) return;
          const own = `${place} ${at}`;
          places.push(own);
          const painted = await paintQuietly(own, resolved, {
            wetness: step.stands,
            progress: step.after,
            ...size,
          });
          const [picture] = painted ?? [];
          if (!picture || !wanted) continue;
          const url = dataUrl(picture.pixels, picture.width, picture.height);
          setPictures((all) => new Map(all).set(pictureKey(at, operation), url));
        }
      }
    };
    void paint().catch(() => {
      // Without little pictures the lanes say it in words and colours.
    });
    return () => {
      wanted = false;
      for (const one of places) forgetPlace(one);
    };
  }, [sheets, place]);
  return pictures;
}

function dataUrl(pixels: Uint8ClampedArray<ArrayBuffer>, width: number, height: number): string {
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  canvas.getContext('2d')?.putImageData(new ImageData(pixels, width, height), 0, 0);
  return canvas.toDataURL();
}
