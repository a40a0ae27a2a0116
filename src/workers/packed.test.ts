import { expect, test } from 'vitest';
import { packed } from './packed';

/** A canvas of a browser that packs only these kinds, and everything else as PNG, as the HTML standard has it. */
const canvasThatPacks = (...kinds: readonly string[]) => ({
  convertToBlob: async ({ type = 'image/png', quality }: ImageEncodeOptions = {}) => {
    const made = kinds.includes(type) ? type : 'image/png';
    return new Blob([`${made} ${quality}`], { type: made });
  },
});

test('a photograph is packed as WebP, and as JPEG where a browser would make a PNG of it', async () => {
  const told = async (...kinds: readonly string[]) => {
    const { type, bytes } = await packed(canvasThatPacks(...kinds), 0.9);
    expect(new TextDecoder().decode(bytes)).toBe(`${type} 0.9`);
    return type;
  };
  expect(await told('image/webp', 'image/jpeg')).toBe('image/webp');
  expect(await told('image/jpeg')).toBe('image/jpeg');
});
