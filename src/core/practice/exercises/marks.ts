import { formatBare, formatLength, parseLength } from '../../base/length';
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
  make: ({ inks, lengths }, _, draw) => {
    const own = shuffled(inks, draw).slice(0, 1);
    const [one] = own;
    if (!one) return undefined;
    const height = Math.round(USUAL_PANEL.height);
    const down = Math.round(height * (0.25 + 0.2 * draw()));
    const fades = Math.round(down + height * (0.2 + 0.15 * draw()));
    // Told as the sheet tells it, up from the foot; right is what is told.
    const [solid, nothing] = [height - down, height - fades].map((mm) => formatBare(mm, lengths)) as [
      string,
      string,
    ];
    const right = [solid, nothing].map((told) => height - (parseLength(told, lengths) ?? 0));
    const percentOf = (told: string) => Math.round((100 * (parseLength(told, lengths) ?? 0)) / height);
    return {
      exercise: 'marks',
      mode: 'place',
      key: `marks ${down} ${fades}`,
      asks: `“${one.ink.name}: solid from the top edge to ${solid} ${lengths}; fade down to nothing by ${nothing}.” Measured from the foot, as on a sheet: mark both on a panel ${formatLength(height, lengths)} high, without a ruler.`,
      faces: [{ kind: 'swatch', hex: one.hex }],
      length: height,
      marks: [
        { label: 'Solid to', start: height * 0.5 },
        { label: 'Nothing by', start: height * 0.9 },
      ],
      right,
      level: 1,
      inks: namesOf(own),
      hues: huesOf(own),
      lesson: {
        reason:
          'A quarter, a half and three quarters of the panel are seen at once: count from the nearest of them.',
        numbers: `${solid} ${lengths} is ${percentOf(solid)} % of the height, ${nothing} ${lengths} ${percentOf(nothing)} %.`,
        shows: [],
        tryIt: `Lay ${one.ink.name} so on scrap, then hold the ruler to it.`,
      },
    };
  },
};
