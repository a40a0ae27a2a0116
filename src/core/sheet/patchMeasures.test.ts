import { describe, expect, test } from 'vitest';
import { ink, resolvedOf, WHITE_CARD } from '../../testing/resolvedRecipes';
import { coverageOf } from '../engine/coverage';
import { setPanel, setRun, setRunParams } from '../recipe/editLadder';
import { patchesOf, type Recipe } from '../recipe/recipe';
import { measuredWords } from './measures';

const three = resolvedOf(
  [ink('Gorse', '#e3b20f'), ink('Weir', '#007a7c'), ink('Skerry', '#005487')],
  WHITE_CARD,
  { panel: { width: 100, height: 140 } },
).recipe;
const corners = setRun(three, 'corners');
const scatter = setRun(three, 'scatter');

/** "From the top left corner: solid to about 40, fade to nothing by 61 mm." as its two figures. */
function figures(told: string): [solid: number, faded: number] {
  const found = /solid to about ([\d.]+), fade to nothing by ([\d.]+) mm\.$/.exec(told);
  if (!found) throw new Error(told);
  return [Number(found[1]), Number(found[2])];
}

describe('on patches of few places, called by their names', () => {
  const words = () => measuredWords(corners, 'mm');
  const placesOf = () => patchesOf(corners)?.places ?? [];

  test('every place is named where inks are measured from, and each ink is told from its own', () => {
    expect(words().marks).toMatch(/^Nothing to mark: inks are measured from /);
    for (const { name = 'no name', rung } of placesOf()) {
      expect(words().marks).toContain(name.replace(/^the /, ''));
      expect(words().lay(rung, 'faded')).toContain(name);
      expect(words().lay((rung + 1) % 3, 'faded')).not.toContain(name);
    }
  });

  test('it is as solid as told and as gone as told, on the way to the nearest of another ink', () => {
    const coverage = coverageOf(corners);
    const places = placesOf();
    const parts = new Float64Array(3);
    for (const rung of [0, 1, 2]) {
      const own = places.filter((place) => place.rung === rung);
      const [solid, faded] = figures(words().lay(rung, 'faded'));
      expect(faded).toBeGreaterThan(solid);
      const [only] = own;
      if (own.length > 1 || !only) continue;
      const others = places.filter((place) => place.rung !== rung);
      const distance = (to: (typeof places)[number]) => Math.hypot(to.x - only.x, to.y - only.y);
      const nearest = others.toSorted((p, q) => distance(p) - distance(q))[0] ?? only;
      const partAt = (far: number): number => {
        const on = far / distance(nearest);
        coverage(only.x + (nearest.x - only.x) * on, only.y + (nearest.y - only.y) * on, parts);
        return parts[rung] ?? 0;
      };
      expect(partAt(solid - 1.5)).toBeGreaterThan(0.95);
      expect(partAt(Math.min(faded + 1.5, distance(nearest)))).toBeLessThan(0.05);
    }
  });

  test('where it is not faded it stops short, and lands where there is most of it', () => {
    expect(words().lay(0, 'solid')).toMatch(
      /: solid to about [\d.]+ mm; stop short of where it meets another\.$/,
    );
    const coverage = coverageOf(corners);
    const parts = new Float64Array(3);
    for (const rung of [0, 1, 2]) {
      const { x, y } = words().landing(rung);
      coverage(x, y, parts);
      expect(Math.max(...parts)).toBe(parts[rung]);
      expect(parts[rung]).toBeGreaterThan(0.9);
    }
  });

  test('a softer run is told wider, the part of a join by how far through it is', () => {
    const widthOf = (recipe: Recipe) => Number.parseFloat(measuredWords(recipe, 'mm').join(0, 1));
    const softer = setRunParams(corners, { soft: widthOf(corners) + 6 });
    expect(widthOf(softer)).toBeCloseTo(widthOf(corners) + 6, 1);
    expect(words().within(0, 1, 0.25)).toBe('25 % of the way through it');
    expect(words().ownHalf(0, 1)).toMatch(/^the side of .*, half of \d+(\.\d)? mm wide$/);
  });
});

describe('on many patches, told by where they lie', () => {
  const words = () => measuredWords(scatter, 'mm');
  const placesOf = () => patchesOf(scatter)?.places ?? [];

  test('each is told from the left and from the foot, and counted', () => {
    expect(words().marks).toMatch(/as \(from the left, from the foot\), in mm/);
    for (const rung of [0, 1, 2]) {
      const own = placesOf().filter((place) => place.rung === rung);
      const told = words().lay(rung, 'faded');
      expect(told).toMatch(new RegExp(`^${own.length} patches at `));
      const pairs = told.match(/[\d.]+, [\d.]+(?=\))/g) ?? [];
      expect(pairs).toHaveLength(own.length);
      own.forEach(({ x, y }, i) => {
        const [left, foot] = (pairs[i] ?? '').split(', ').map(Number);
        expect(left).toBeCloseTo(x, 0);
        expect(foot).toBeCloseTo(scatter.panel.height - y, 0);
      });
    }
  });

  test('an ink is landed on that of its patches where there is most of it', () => {
    const soft = setRunParams(scatter, { soft: 60, patch: 20 });
    const coverage = coverageOf(soft);
    const parts = new Float64Array(3);
    for (const rung of [0, 1, 2]) {
      const partAt = ({ x, y }: { readonly x: number; readonly y: number }): number => {
        coverage(x, y, parts);
        return parts[rung] ?? 0;
      };
      const own = (patchesOf(soft)?.places ?? []).filter((place) => place.rung === rung).map(partAt);
      // They are not all the same, or landing on any would do.
      expect(Math.max(...own) - Math.min(...own)).toBeGreaterThan(0.05);
      expect(partAt(measuredWords(soft, 'mm').landing(rung))).toBe(Math.max(...own));
    }
  });

  test('very many are counted, and lie where the picture has them', () => {
    const dense = measuredWords(setRunParams(scatter, { patch: 12 }), 'mm');
    expect(dense.lay(0, 'faded')).toMatch(/^\d\d patches, where the picture has them: solid to about/);
    expect(dense.marks).toMatch(/by eye from the picture, or prick their middles through it\.$/);
    expect(dense.ownHalf(0, 1)).toMatch(/^the side of its own patches, half of /);
  });

  test('a few are told like many, one is no “1 patches”, and one too small to be solid fades at once', () => {
    const small = setRunParams(setPanel(scatter, { width: 60, height: 40 }), { patch: 80, soft: 60 });
    const told = [0, 1, 2].map((rung) => measuredWords(small, 'mm').lay(rung, 'faded'));
    expect(told.join(' ')).toMatch(/One patch at \(\d/);
    expect(told.join(' ')).toMatch(/\): fade from there on, to nothing by \d/);
    expect(measuredWords(small, 'mm').lay(0, 'solid')).toMatch(/solid on the spot alone; stop short/);
    expect(told.join(' ')).not.toMatch(/NaN|patch \d|about 0/);
  });

  test('its areas are the ladder’s shares', () => {
    expect(Array.from(words().areas)).toEqual(scatter.rungs.map(({ share }) => share));
  });
});
