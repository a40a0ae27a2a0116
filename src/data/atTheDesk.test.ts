import 'fake-indexeddb/auto';
import { describe, expect, test, vi } from 'vitest';
import type { Swatch } from '../core/keep/swatches/book';
import { setShare } from '../core/recipe/editLadder';
import { ink, resolvedOf, withPass } from '../testing/resolvedRecipes';
import { Database } from './database';
import { MOST_OWNED, readOwned, rememberedOwned, writeOwned } from './owned';
import { reinkPad, removeTool, restorePad, saveTool } from './pads';
import { putSwatches } from './swatches';
import { isOfSign, pictureSign, readThumbnail, thumbnailOf, writeThumbnail } from './thumbnails';

let count = 0;
const freshDb = () => new Database(`desk-${count++}`);

describe('pads, brushes and swatches', () => {
  test('a re-inking is noted once a day, in the order of days, and taken back', async () => {
    const db = freshDb();
    expect(await reinkPad(db, 'leat', '2026-11-20')).toBeUndefined();
    await reinkPad(db, 'leat', '2026-10-01');
    const before = await reinkPad(db, 'leat', '2026-11-20');
    expect(await db.pads.get('leat')).toEqual({ inkId: 'leat', reinked: ['2026-10-01', '2026-11-20'] });
    await reinkPad(db, 'leat', '2026-11-27');
    await restorePad(db, 'leat', before);
    expect((await db.pads.get('leat'))?.reinked).toEqual(['2026-10-01', '2026-11-20']);
    await restorePad(db, 'leat', undefined);
    expect(await db.pads.get('leat')).toBeUndefined();
  });

  test('a brush that was taken away comes back as it was', async () => {
    const db = freshDb();
    const brush = { id: 'b1', kind: 'brush', label: 'Blues', holds: 'Leat' } as const;
    await saveTool(db, brush);
    await removeTool(db, brush);
    expect(await db.tools.count()).toBe(0);
    await saveTool(db, brush);
    expect(await db.tools.toArray()).toEqual([brush]);
  });

  test('of brushes owned only counts of known sets are remembered, within what anybody lays out', async () => {
    const db = freshDb();
    expect(await readOwned(db)).toEqual({ brushes: {}, daubers: {} });
    const owned = { brushes: { 'dye and hybrid': 5, pigment: 0 }, daubers: { 'white only': 1 } };
    await writeOwned(db, owned);
    expect(await readOwned(db)).toEqual(owned);
    expect(
      rememberedOwned({
        brushes: { 'dye and hybrid': 2.5, pigment: -1, fluorescent: MOST_OWNED + 1, glitter: 3 },
        daubers: 'many',
      }),
    ).toEqual({ brushes: {}, daubers: {} });
  });

  test('lines of the swatch book replace those of the same ink and card, and all of it is taken back', async () => {
    const db = freshDb();
    const swatch = (inkId: string, overWhite: Swatch['overWhite']): Swatch => ({
      id: `${inkId} white`,
      inkId,
      cardId: 'white',
      date: '2026-11-27',
      fields: {} as Swatch['fields'],
      overWhite,
      overBlack: '#101010',
      lifts: { atOnce: 0.2, waited: 0.5 },
    });
    await putSwatches(db, [swatch('leat', '#009aab')]);
    const { undo } = await putSwatches(db, [swatch('leat', '#118899'), swatch('weir', '#007a7c')]);
    expect((await db.swatches.get('leat white'))?.overWhite).toBe('#118899');
    await undo();
    expect(await db.swatches.toArray()).toEqual([swatch('leat', '#009aab')]);
  });
});

describe('small pictures of recipes', () => {
  const SMALL = { type: 'image/webp', bytes: Uint8Array.of(1, 2, 3) } as const;
  const plain = resolvedOf([ink('Gorse', '#e3b20f'), ink('Weir', '#007a7c')]);
  const signOf = (change: Partial<typeof plain>, isPlain = false) =>
    pictureSign({ ...plain, ...change }, isPlain);

  test('bear a sign that changes with whatever is seen, and not with names and notes', async () => {
    const sign = await signOf({});
    expect(sign).toMatch(/^[0-9a-f]{40}$/);
    expect(await signOf({ recipe: { ...plain.recipe, name: 'Another', notes: { lay: 'softly' } } })).toBe(
      sign,
    );
    const others = await Promise.all([
      signOf({ recipe: setShare(plain.recipe, 0, 0.6) }),
      signOf({ recipe: { ...plain.recipe, tool: 'foam' } }),
      signOf({ card: { ...plain.card, colour: '#f0e8d8' } }),
      signOf({ inks: plain.inks.map((one) => ({ ...one, strength: 1.2 })) }),
      pictureSign(withPass(plain, 'penDots'), false),
      signOf({}, true),
    ]);
    expect(new Set([sign, ...others]).size).toBe(others.length + 1);
  });

  test('are found again by their sign in whatever size, and by no other', async () => {
    const db = freshDb();
    const sign = await signOf({});
    await writeThumbnail(db, { id: 'r1', of: thumbnailOf(sign, 120), picture: SMALL });
    const kept = await readThumbnail(db, 'r1');
    if (!kept) throw new Error('it is gone');
    expect(kept.picture).toEqual(SMALL);
    expect(isOfSign(kept, sign)).toBe(true);
    expect(isOfSign(kept, sign.slice(0, -1))).toBe(false);
    expect(isOfSign(kept, await signOf({}, true))).toBe(false);
  });

  test('are not kept where there is no room, which is nobody’s fault; what else goes wrong is told', async () => {
    const db = freshDb();
    const thumbnail = { id: 'r1', of: 'a panel', picture: SMALL };
    const putting = vi.spyOn(db.thumbnails, 'put');
    putting.mockRejectedValueOnce(new DOMException('no room', 'QuotaExceededError'));
    await writeThumbnail(db, thumbnail);
    expect(await readThumbnail(db, 'r1')).toBeUndefined();
    putting.mockRejectedValueOnce(new DOMException('closed', 'InvalidStateError'));
    await expect(writeThumbnail(db, thumbnail)).rejects.toThrow('closed');
  });
});
