import type { Size } from '../base/geometry';
import type { BandGeometry } from '../recipe/runs/definition';
import type { Ramp } from './ramp';
import { placeAmong, type RowLoops } from './rowLoops';
import { SHADE } from './shades';
import { BENDS, FEW, type Filler, PART, type Samples } from './shading';

/** Steps between neighbouring samples of the ramp, so that a pixel takes the nearest and need not interpolate. */
const FINE = 8;
/** Bands alone: every pixel takes the shade of its place along the run. */
export function alongBands(
  panel: Size,
  { alongAt, isHorizontal, length }: BandGeometry,
  ramp: Ramp,
  width: number,
  height: number,
  loops: RowLoops,
): Filler {
  const fine = fineSamples(ramp);
  const perMillimetre = (fine.count - 1) / length;
  const [acrossPixel, downPixel] = [panel.width / width, panel.height / height];
  const fews = Math.ceil(width / FEW);
  return {
    ground: ramp.ground,
    fillRow: (row, into, depth) => {
      const y = (row + 0.5) * downPixel;
      if (isHorizontal) {
        into.places.fill(placeAmong(alongAt(0, y) * perMillimetre), 0, 2);
        loops.layBand(into, 1, fine, depth);
        return true;
      }
      // Between few pixels the run is all but straight.
      for (let few = 0; few <= fews; few++)
        into.places[few] = placeAmong(alongAt((few * FEW + 0.5) * acrossPixel, y) * perMillimetre);
      loops.layBand(into, fews, fine, depth);
      return false;
    },
  };
}

/** Shades of the ramp in 256ths, in finer steps; each has its own slopes and bends. */
function fineSamples({ shades, samples }: Ramp): Samples {
  const count = (samples - 1) * FINE + 1;
  const fine = {
    count,
    colours: new Int32Array(FEW * count),
    slopes: new Int32Array(FEW * count),
    bends: new Int32Array(BENDS * count),
  };
  for (let i = 0; i < count; i++) {
    const low = Math.min(Math.floor(i / FINE), samples - 2);
    const part = i / FINE - low;
    const from = low * SHADE;
    for (let value = 0; value < SHADE; value++) {
      const a = shades[from + value];
      const here = PART * (a + part * (shades[from + SHADE + value] - a));
      if (value < 3) fine.colours[FEW * i + value] = here;
      else if (value < 6) fine.slopes[FEW * i + value - 3] = here;
      else fine.bends[BENDS * i + value - 6] = here;
    }
  }
  return fine;
}
