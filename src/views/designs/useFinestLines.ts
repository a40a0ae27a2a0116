import { useEffect, useState } from 'react';
import type { Millimetres } from '../../core/base/length';
import type { Design } from '../../core/materials/design/design';
import { designer } from '../../workers/client';
import { WorkerFailed } from '../../workers/door';

/** How fine designs are that have been measured: a design that is changed is another one. */
const measured = new WeakMap<Design, Millimetres>();

/** How often what has been measured meanwhile is shown, ms: a folder of hundreds is not drawn anew for each of them. */
const SHOWN_EVERY = 200;

/** How fine each design's lines are, mm, by its id, as far as they are measured; the rest one after another. */
export function useFinestLines(designs: readonly Design[]): ReadonlyMap<string, Millimetres> {
  const [finest, setFinest] = useState(() => known(designs));
  useEffect(() => {
    let wanted = true;
    let shown = performance.now();
    const measureAll = async () => {
      for (const design of designs) {
        if (measured.has(design)) continue;
        const line = await designer().finestLine(design);
        measured.set(design, line);
        if (!wanted) return;
        if (performance.now() - shown < SHOWN_EVERY) continue;
        shown = performance.now();
        setFinest(known(designs));
      }
    };
    setFinest(known(designs));
    // A reader that was stopped over a file starts anew with the next one; that none came is told.
    measureAll()
      .catch((error: unknown) => {
        if (error instanceof WorkerFailed) throw error;
      })
      .finally(() => wanted && setFinest(known(designs)));
    return () => {
      wanted = false;
    };
  }, [designs]);
  return finest;
}

function known(designs: readonly Design[]): ReadonlyMap<string, Millimetres> {
  const lines = new Map<string, Millimetres>();
  for (const design of designs) {
    const line = measured.get(design);
    if (line !== undefined) lines.set(design.id, line);
  }
  return lines;
}
