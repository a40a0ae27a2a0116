import type { Size } from '../base/geometry';
import type { BandGeometry } from '../recipe/runs/definition';
import type { Ramp } from './ramp';
import { SHADE } from './shades';
import { BENDS, type Depth, type Filler, PART, type RowShades, SHARE } from './shading';

/** Steps between neighbouring samples of the ramp, so that a pixel takes the nearest and need not interpolate. */
const FINE = 8;
/** Pixels between two places of a row at which a run is asked how far along they lie: those that share slopes. */
const ASKED = 1 << SHARE;

/** Bands alone: every pixel takes the shade of its place along the run. */
export function alongBands(
  panel: Size,
  { alongAt, isHorizontal, length }: BandGeometry,
  ramp: Ramp,
  width: number,
  height: number,
): Filler {
  const fine = fineShades(ramp);
  const last = fine.colours.length / 3 - 1;
  const perMillimetre = last / length;
  const [acrossPixel, downPixel] = [panel.width / width, panel.height / height];
  const places = new Float64Array(Math.ceil(width / ASKED) + 1);
  return {
    ground: ramp.ground,
    fillRow: (row, into, depth) => {
      const y = (row + 0.5) * downPixel;
      if (isHorizontal) {
        places.fill(alongAt(0, y) * perMillimetre, 0, 2);
        fillBand(into, 1, places, fine, last, depth);
        return true;
      }
      for (let i = 0; i < places.length; i++)
        places[i] = alongAt((i * ASKED + 0.5) * acrossPixel, y) * perMillimetre;
      fillBand(into, width, places, fine, last, depth);
      return false;
    },
  };
}

/** One row's shades from how far along every few of its pixels lie; between them the run is all but straight. */
function fillBand(
  { colours, slopes, bends }: RowShades,
  width: number,
  places: Float64Array,
  fine: FineShades,
  last: number,
  depth: Depth,
): void {
  for (let i = 0, pixel = 0; pixel < width; i++) {
    const here = places[i];
    const step = (places[i + 1] - here) / ASKED;
    const until = Math.min(pixel + ASKED, width);
    for (let place = here + 0.5, at = 3 * pixel; pixel < until; pixel++, at += 3, place += step) {
      const sample = 3 * (place <= 0 ? 0 : place >= last ? last : place | 0);
      colours[at] = fine.colours[sample];
      colours[at + 1] = fine.colours[sample + 1];
      colours[at + 2] = fine.colours[sample + 2];
    }
    if (depth === 'colours') continue;
    const nearest = here <= 0 ? 0 : here >= last ? last : (here + 0.5) | 0;
    slopes[3 * i] = fine.slopes[3 * nearest];
    slopes[3 * i + 1] = fine.slopes[3 * nearest + 1];
    slopes[3 * i + 2] = fine.slopes[3 * nearest + 2];
    if (depth === 'bends') bends.set(fine.bends.subarray(BENDS * nearest, BENDS * (nearest + 1)), BENDS * i);
  }
}

/** Shades of the ramp in 256ths, in finer steps; each has its own slopes and bends. */
interface FineShades {
  readonly colours: Int32Array;
  readonly slopes: Int32Array;
  readonly bends: Int32Array;
}

function fineShades({ shades, samples }: Ramp): FineShades {
  const count = (samples - 1) * FINE + 1;
  const fine = {
    colours: new Int32Array(3 * count),
    slopes: new Int32Array(3 * count),
    bends: new Int32Array(BENDS * count),
  };
  for (let i = 0; i < count; i++) {
    const low = Math.min(Math.floor(i / FINE), samples - 2);
    const part = i / FINE - low;
    const from = low * SHADE;
    for (let value = 0; value < SHADE; value++) {
      const a = shades[from + value];
      const here = PART * (a + part * (shades[from + SHADE + value] - a));
      if (value < 3) fine.colours[3 * i + value] = here;
      else if (value < 6) fine.slopes[3 * i + value - 3] = here;
      else fine.bends[BENDS * i + value - 6] = here;
    }
  }
  return fine;
}
