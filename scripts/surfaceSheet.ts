// npx tsx scripts/surfaceSheet.ts: takes docs/screenshots/surface.png anew: each panel whole, and a piece of it at 300 dpi.
import { join } from 'node:path';
import sharp from 'sharp';
import type { Wetness } from '../src/core/engine/mixing';
import { OWN_DESIGNS } from '../src/core/materials/design/own';
import { type Picture, paintPanel, pixelsAt } from '../src/core/picture/paint';
import { setRun } from '../src/core/recipe/editLadder';
import type { PassKindId } from '../src/core/recipe/passes/passes';
import type { Recipe } from '../src/core/recipe/recipe';
import type { ResolvedRecipe } from '../src/core/recipe/resolved';
import { DEMO_CARDS } from '../src/data/demo/cards';
import { DEMO_INKS } from '../src/data/demo/inks';
import { resolvedOf, WHITE_CARD, withPass } from '../src/testing/resolvedRecipes';

const PANEL = { width: 74, height: 105 };
/** Pixels of the sheet: a panel, a piece, and what lies between. */
const [WHOLE, PIECE, GAP, LABEL] = [{ width: 148, height: 210 }, { width: 330, height: 210 }, 8, 22];
const COLUMNS = 3;

const inkOf = (id: string) => {
  const found = DEMO_INKS.find((ink) => ink.id === id);
  if (!found) throw new Error(`the demo has no ink ${id}`);
  return found;
};
const designOf = (id: string) => {
  const found = OWN_DESIGNS.find((design) => design.id === id);
  if (!found) throw new Error(`there is no design ${id}`);
  return found;
};
const cardOf = (finish: string) => DEMO_CARDS.find((card) => card.finish === finish) ?? WHITE_CARD;

const SEA = ['gorse-pale', 'leat-mid', 'skerry-deep'];
const EVENING = ['slipware-pale', 'thrift-mid', 'betony-deep'];
const FIRE = ['gorse-mid', 'kilnfire-mid', 'hawberry-deep'];

function laid(ids: readonly string[], change: Partial<Recipe> = {}, finish = 'smooth'): ResolvedRecipe {
  const inks = ids.map(inkOf);
  return resolvedOf(inks, cardOf(finish), {
    panel: PANEL,
    joints: [{ width: 14 }, { width: 14 }],
    ...change,
  });
}
const over = (kind: PassKindId, wish: Parameters<typeof withPass>[2], ids = SEA): ResolvedRecipe =>
  withPass(laid(ids), kind, wish);

interface Shown {
  readonly told: string;
  readonly resolved: ResolvedRecipe;
  /** How far down the piece lies, as a part of the panel. */
  readonly at?: number;
  readonly wetness?: Wetness;
}
const SHEET: readonly Shown[] = [
  { told: 'blending brush, smooth card', resolved: laid(FIRE) },
  { told: 'blending brush, watercolour card', resolved: laid(FIRE, {}, 'watercolour') },
  { told: 'brayer', resolved: laid(FIRE, { tool: 'brayer' }) },
  { told: 'finger dauber', resolved: laid(EVENING, { tool: 'dauber' }) },
  { told: 'pad to card', resolved: laid(EVENING, { tool: 'pad' }) },
  { told: 'dipped', resolved: laid(EVENING, { tool: 'dip' }) },
  { told: 'kraft', resolved: laid(['marram-mid', 'saggar-mid', 'hawberry-deep'], {}, 'kraft'), at: 0.1 },
  { told: 'linen', resolved: laid(EVENING, {}, 'textured') },
  { told: 'dabs scattered', resolved: { ...laid(EVENING), recipe: setRun(laid(EVENING).recipe, 'scatter') } },
  { told: 'splashes dabbed at once', resolved: over('splash', { params: { after: 'dabbed' } }) },
  { told: 'splashes left to dry', resolved: over('splash', { params: { after: 'dried' } }) },
  {
    told: 'a spray from afar',
    resolved: over('splash', { params: { after: 'dried', distance: 800, drops: 200 } }),
  },
  {
    told: 'water stamp, dye',
    resolved: over('waterStamp', { design: designOf('pressed-leaf'), params: { width: 46 } }, [
      'thrift-pale',
      'thrift-mid',
      'vetch-mid',
    ]),
  },
  {
    told: 'clear resist under a top coat',
    resolved: withPass(over('clearResist', { design: designOf('reeds') }, FIRE), 'coat', {
      ink: inkOf('sloe-deep'),
    }),
  },
  { told: 'texture paste', resolved: over('paste', { design: designOf('kiln-bricks') }) },
  {
    told: 'pattern stencil',
    resolved: over('patternStencil', { design: designOf('kiln-bricks'), ink: inkOf('skerry-deep') }),
  },
  {
    told: 'the same in dye from the pad: it bleeds',
    resolved: withPass(laid(SEA, { tool: 'pad' }), 'patternStencil', {
      design: designOf('kiln-bricks'),
      ink: { ...inkOf('skerry-deep'), kind: 'dye' },
    }),
  },
  {
    told: 'edge stencil',
    resolved: over('edgeStencil', {
      design: designOf('cloud-bank'),
      ink: inkOf('skerry-deep'),
      params: { width: 84, y: 62 },
    }),
  },
  {
    told: 'three torn edges',
    resolved: [52, 68, 86].reduce<ResolvedRecipe>(
      (one, y, i) =>
        withPass(one, 'tornEdge', {
          ink: inkOf('sloe-deep'),
          params: { y, seed: i + 1, strength: 40 + 15 * i },
        }),
      laid(EVENING),
    ),
  },
  {
    told: 'a mask lifted',
    resolved: over('mask', { design: designOf('pressed-leaf'), params: { width: 46 } }),
  },
  {
    told: 'horizon',
    resolved: over('horizon', { ink: inkOf('tarn-deep'), params: { height: 46 } }),
  },
  {
    told: 'pearl powder',
    resolved: over('pearl', { design: designOf('pressed-leaf'), params: { powder: 'gold', width: 46 } }),
  },
  { told: 'gold pen', resolved: over('penDots', { params: { pen: 'gold', dots: 90, size: 3 } }, EVENING) },
  {
    told: 'gold foil',
    resolved: over('foil', { design: designOf('kiln-bricks'), params: { foil: 'gold', width: 60 } }, EVENING),
  },
  {
    told: 'silver foil',
    resolved: over('foil', { design: designOf('pressed-leaf'), params: { foil: 'silver', width: 46 } }),
  },
  {
    told: 'copper foil, small dots',
    resolved: over('foil', { design: designOf('slip-dots'), params: { foil: 'copper', width: 60 } }, FIRE),
  },
  {
    told: 'watercolour card, still wet',
    resolved: laid(['thrift-mid', 'vetch-mid', 'skerry-deep'], { tool: 'pad' }, 'watercolour'),
    wetness: 'wet',
  },
];

const asImage = ({ pixels, width, height }: Picture) =>
  sharp(Buffer.from(pixels.buffer), { raw: { width, height, channels: 4 } });

const cells: sharp.OverlayOptions[] = [];
for (const [i, { told, resolved, at = 0.42, wetness = 'dry' }] of SHEET.entries()) {
  const left = GAP + (i % COLUMNS) * (WHOLE.width + PIECE.width + 3 * GAP);
  const top = GAP + Math.floor(i / COLUMNS) * (WHOLE.height + LABEL + GAP);
  const { width, height } = pixelsAt(PANEL, 300);
  const piece = { left: Math.round(0.3 * width), top: Math.round(at * height), ...PIECE };
  const label = `<svg width="${WHOLE.width + PIECE.width}" height="${LABEL}"><text x="0" y="16" font-family="sans-serif" font-size="15" fill="#fff">${told}</text></svg>`;
  cells.push(
    { input: Buffer.from(label), left, top },
    {
      input: await asImage(paintPanel(resolved, wetness, WHOLE.width, WHOLE.height))
        .png()
        .toBuffer(),
      left,
      top: top + LABEL,
    },
    {
      input: await asImage(paintPanel(resolved, wetness, width, height))
        .extract(piece)
        .png()
        .toBuffer(),
      left: left + WHOLE.width + GAP,
      top: top + LABEL,
    },
  );
}
await sharp({
  create: {
    width: GAP + COLUMNS * (WHOLE.width + PIECE.width + 3 * GAP),
    height: GAP + Math.ceil(SHEET.length / COLUMNS) * (WHOLE.height + LABEL + GAP),
    channels: 3,
    background: '#6f6f6f',
  },
})
  .composite(cells)
  .png({ compressionLevel: 9 })
  .toFile(join(import.meta.dirname, '..', 'docs', 'screenshots', 'surface.png'));
