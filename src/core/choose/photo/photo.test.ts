import { expect, test } from 'vitest';
import { DEMO_INKS } from '../../../data/demo/inks';
import { deltaE00 } from '../../materials/colour/difference';
import { labOfHex } from '../../materials/colour/hex';
import { readSwatch, readWhite } from './reading';
import { drawSwatchSheet } from './swatchSheet';

const inks = DEMO_INKS.filter(({ kind }) => kind !== 'fluorescent');
const sheet = drawSwatchSheet(inks);
const bare = readWhite(sheet, sheet.bareCard);
if ('problem' in bare) throw new Error(bare.problem);

test('read against the bare card, every swatch of a lamp-lit sheet comes out as the ink it shows', () => {
  sheet.swatches.forEach(({ box }, i) => {
    const { hex, spread, doubt } = readSwatch(sheet, box, bare.white);
    expect(deltaE00(labOfHex(hex), labOfHex(inks[i]?.overWhite ?? '#000000'))).toBeLessThan(1.5);
    expect(spread).toBeLessThan(2);
    expect(doubt).toBeUndefined();
  });
});

test('without the reference the lamp tints every reading', () => {
  const [first] = sheet.swatches;
  if (!first) throw new Error('an empty sheet');
  const { hex } = readSwatch(sheet, first.box, { r: 1, g: 1, b: 1 });
  expect(deltaE00(labOfHex(hex), labOfHex(inks[0]?.overWhite ?? '#000000'))).toBeGreaterThan(5);
});

test('specks do not move a reading; a box over two swatches is doubted, and none makes a white', () => {
  const [first, second] = sheet.swatches;
  if (!first || !second) throw new Error('an empty sheet');
  const data = new Uint8ClampedArray(sheet.data);
  for (let y = first.box.y0; y <= first.box.y1; y += 3)
    for (let x = first.box.x0; x <= first.box.x1; x += 3)
      data.fill(255, (y * sheet.width + x) * 4, (y * sheet.width + x) * 4 + 3);
  const clean = readSwatch(sheet, first.box, bare.white);
  const specked = readSwatch({ ...sheet, data }, first.box, bare.white);
  expect(deltaE00(labOfHex(specked.hex), labOfHex(clean.hex))).toBeLessThan(1);
  const across = { ...first.box, x1: second.box.x1 };
  expect(readSwatch(sheet, across, bare.white).doubt).toContain('uneven');
  expect(readWhite(sheet, across)).toHaveProperty('problem');
});
