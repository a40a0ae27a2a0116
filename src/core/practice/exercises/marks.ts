import { USUAL_PANEL } from '../../recipe/panel';
import type { Exercise } from './definition';
import { huesOf, namesOf, shuffled } from './pairs';

/** Solid and fade, placed on a panel as a sentence of a sheet says it. */
export const marks: Exercise = {
  id: 'marks',
  label: 'Lay the marks',
  trains: 'To turn a line of the sheet into places on the card.',
  follows: 'setting',
  unit: 'mm',
  least: 0.5,
  start: 8,
  most: 40,
  guess: 0,
  make: ({ inks }, _, draw) => {
    const own = shuffled(inks, draw).slice(0, 1);
    const [one] = own;
    if (!one) return undefined;
    const height = Math.round(USUAL_PANEL.height);
    const solid = Math.round(height * (0.25 + 0.2 * draw()));
    const fade = Math.round(solid + height * (0.2 + 0.15 * draw()));
    return {
      exercise: 'marks',
      mode: 'place',
      key: `marks ${solid} ${fade}`,
      asks: `“${one.ink.name} solid from the top edge down ${solid} mm; fade down to nothing by ${fade} mm.” Mark both on a panel ${height} mm high, without a ruler.`,
      faces: [{ kind: 'swatch', hex: one.hex }],
      length: height,
      marks: [
        { label: 'Solid to', start: height * 0.5 },
        { label: 'Nothing by', start: height * 0.9 },
      ],
      right: [solid, fade],
      level: 1,
      inks: namesOf(own),
      hues: huesOf(own),
      lesson: {
        reason:
          'A quarter, a half and three quarters of the panel are seen at once: count from the nearest of them.',
        numbers: `${solid} mm is ${Math.round((100 * solid) / height)} % of the height, ${fade} mm ${Math.round((100 * fade) / height)} %.`,
        shows: [],
        tryIt: `Lay ${one.ink.name} so on scrap, then hold the ruler to it.`,
      },
    };
  },
};
