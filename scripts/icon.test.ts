import sharp from 'sharp';
import { expect, test } from 'vitest';

test('the icon for home screens is the other one, as `node scripts/make-icon.mjs` draws it', async () => {
  const [side, margin] = [512, 96];
  const middle = { left: margin, top: margin, width: side - 2 * margin, height: side - 2 * margin };
  const kept = await sharp('public/icon.png').flatten().extract(middle).raw().toBuffer();
  const drawn = await sharp('public/icon.svg', { density: 72 * 16 })
    .resize(middle.width)
    .flatten({ background: '#c9c9c9' })
    .raw()
    .toBuffer();
  expect(kept).toHaveLength(drawn.length);
  const off = drawn.reduce((sum, byte, i) => sum + Math.abs(byte - (kept[i] ?? 0)), 0) / drawn.length;
  expect(off).toBeLessThan(1);
});
