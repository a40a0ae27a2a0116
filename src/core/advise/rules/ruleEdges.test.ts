import { describe, expect, test } from 'vitest';
import { BLACK_CARD, ink, resolvedOf, WHITE_CARD, withPass } from '../../../testing/resolvedRecipes';
import { bareGround } from '../../engine/blend';
import { OWN_DESIGNS } from '../../materials/design/own';
import type { Ink } from '../../materials/ink/ink';
import type { InkKindId } from '../../materials/ink/kinds';
import type { PassReading } from '../../readings/passReadings';
import { readLadder } from '../../readings/readings';
import { addRung } from '../../recipe/editLadder';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { USUAL_PACE } from '../../sheet/times';
import { alikeRungs } from './alikeRungs';
import { crowded } from './crowded';
import { darkGround } from './darkGround';
import type { Finding, Rule, RuleInput } from './definition';
import { greyedWhite } from './greyedWhite';
import { littleLifted } from './littleLifted';
import { lostImage } from './lostImage';
import { lostInk } from './lostInk';
import { mixedKinds } from './mixedKinds';
import { muddyJoint } from './muddyJoint';
import { isSameHue, nearestCard, nearestShowing } from './nearest';
import { oneWay } from './oneWay';
import { paleEdge } from './paleEdge';
import { paleTone } from './paleTone';
import { thinCard } from './thinCard';
import { undoable } from './undoable';

const [gorse, thrift, tarn] = [
  ink('Gorse', '#f2c230'),
  ink('Thrift', '#e2568f'),
  ink('Tarn', '#1f4f7a'),
] as const;
const plain = resolvedOf([gorse, thrift, tarn]);
const [design] = OWN_DESIGNS;

const check = (rule: Rule, resolved: ResolvedRecipe, change: Partial<RuleInput> = {}): readonly Finding[] =>
  rule.check({
    resolved,
    readings: readLadder(resolved),
    passes: [],
    shelf: [],
    cards: [],
    unit: 'mm',
    ...change,
  });

/** A reading of a pass whose design stands out by such ratios. */
const reading = (id: string, ratios: readonly number[], better?: PassReading['better']): PassReading => ({
  id,
  touches: 0.2,
  changes: 20,
  contrast: {
    least: Math.min(...ratios),
    worst: { x: 0, y: 0 },
    cell: { width: 1, height: 1 },
    places: ratios.map((ratio, i) => ({ x: i, y: 0, ratio })),
  },
  ...(better ? { better } : {}),
});

describe('a strip that hardly stands off', () => {
  const strip = withPass(plain, 'greetingStrip', { params: { shadow: 'no' } });
  const found = (ratios: readonly number[], of = strip) =>
    check(lostImage, of, { passes: [reading('greetingStrip-1', ratios)] });

  test('is told by its usual place, up to a ratio of 1.6', () => {
    expect(found([1, 1.55, 9]).map(({ message }) => message)).toEqual([
      'The greeting strip hardly stands off what lies under it.',
    ]);
    expect(found([1, 1.6, 9])).toEqual([]);
  });
  test('is mended by a shadow, and one that has a shadow is not told', () => {
    const [finding] = found([1, 1.2, 1.3]);
    expect(finding?.fix?.label).toBe('Set a shadow under it');
    const mended = finding?.fix?.apply(strip.recipe) ?? strip.recipe;
    expect(mended.passes[0]?.placements[0]?.params).toMatchObject({ shadow: 'black' });
    expect(found([1, 1.2, 1.3], { ...strip, recipe: mended })).toEqual([]);
    expect(check(lostImage, strip)).toEqual([]);
  });
});

describe('a silhouette that does not read', () => {
  const stamped = (strength = 100) => {
    if (!design) throw new Error('no design');
    return withPass(plain, 'silhouette', { ink: tarn, design, params: { strength } });
  };
  const found = (least: number, of = stamped(), better?: PassReading['better']) =>
    check(lostImage, of, { passes: [reading('silhouette-1', [least, 8], better)] });

  test('is told below the ratio a bold shape needs, unless it is faint on purpose', () => {
    expect(found(2.9)).toHaveLength(1);
    expect(found(3)).toEqual([]);
    expect(found(2.9, stamped(90))).toEqual([]);
  });
  test('is stamped in what reads better, as often as it takes, or set on calmer ground', () => {
    const white = ink('Slip', '#fdfdfb', 'white');
    const [finding] = found(1.5, stamped(), { ink: white, strength: 200, least: 3.2 });
    expect(finding?.message).toBe('The silhouette reads at only 1.5 : 1 at its worst place.');
    expect(finding?.fix?.label).toBe('Stamp it in Slip, twice');
    const mended = finding?.fix?.apply(stamped().recipe);
    expect(mended?.passes[0]?.placements[0]).toMatchObject({ inkId: 'Slip', params: { strength: 200 } });
    expect(found(1.5)[0]?.message).toMatch(/no stamping ink of the shelf reads better there/);
    expect(found(1.5)[0]?.fix).toBeUndefined();
  });
});

describe('designs over the blend', () => {
  if (!design) throw new Error('no design');
  const stencil = (of: ResolvedRecipe) => withPass(of, 'patternStencil', { ink: tarn, design });
  const three = withPass(stencil(stencil(plain)), 'silhouette', { ink: tarn, design });
  const found = (touches: readonly number[], of = three) =>
    check(crowded, of, {
      passes: of.recipe.passes.map(({ id }, i) => ({ ...reading(id, [9]), touches: touches[i] ?? 0 })),
    });

  test('are crowded from three on that lie on half of the panel', () => {
    expect(found([0.2, 0.2, 0.1])[0]?.message).toContain('on 50 % of it');
    expect(found([0.2, 0.2, 0.09])).toEqual([]);
    expect(found([0.4, 0.4], stencil(stencil(plain)))).toEqual([]);
  });
  test('the one that lies on least is left out by one press, and then all is well', () => {
    const fix = found([0.3, 0.1, 0.2])[0]?.fix;
    expect(fix?.label).toBe('Leave out pattern stencil 2');
    const mended = { ...three, recipe: fix?.apply(three.recipe) ?? three.recipe };
    expect(mended.recipe.passes.map(({ enabled }) => enabled)).toEqual([true, false, true]);
    expect(found([0.3, 0.1, 0.2], mended)).toEqual([]);
  });
});

describe('an ink lost on the card', () => {
  const kraft = { ...WHITE_CARD, id: 'kraft', name: 'kraft', colour: '#b08d64', finish: 'kraft' } as const;
  const pale = ink('Gorse Pale', '#f6e4b0', 'dye');
  const lost = resolvedOf([pale, tarn], kraft);
  const green = ink('Alder', '#3f8a4a', 'pigment');
  const golden = ink('Lantern', '#ffd800', 'pigment');

  test('gives way to one of its own hue, and to none where there is none: a green is no yellow', () => {
    const [finding] = check(lostInk, lost, { shelf: [green, golden] });
    expect(finding?.message).toMatch(/^Gorse Pale, a dye, is lost on kraft/);
    expect(finding?.fix?.label).toBe('Put Lantern there');
    // White softens a fade, and detail black is stamped: neither stands in for a rung.
    const others = [ink('Slip', '#fff3c0', 'white'), ink('Line', '#e8c000', 'detail')];
    expect(check(lostInk, lost, { shelf: others })[0]?.fix).toBeUndefined();
    const [none] = check(lostInk, lost, { shelf: [green] });
    expect(none?.message).toMatch(/is lost on kraft/);
    expect(none?.fix).toBeUndefined();
  });
});

describe('a resist on too dark a ground', () => {
  const [deep] = [ink('Sloe', '#1d1f3a', 'dye')];
  const resisted = withPass(resolvedOf([ink('Wine', '#5a2030'), tarn]), 'clearResist', {
    ...(design ? { design } : {}),
  });
  const coated = (strength: number) => withPass(resisted, 'coat', { ink: deep, params: { strength } });
  const told = (strength: number) =>
    check(darkGround, coated(strength), {
      shelf: [deep],
      passes: [reading('clearResist-1', [1.2])],
    })[0];
  test('is not told to lay the coat that lies there already', () => {
    expect(told(100)?.fix).toBeUndefined();
    expect(told(100)?.message).toBe(
      'The resist’s design reads at only 1.2 : 1 at its worst place: the ground is too dark even for the best coat there is. Three light inks under one dark.',
    );
    expect(told(40)?.message).toContain('the ground is too dark for this coat, or the coat too light');
  });
  test('a coat is only offered that lets the design read, on the ground as it is', () => {
    const offered = (ground: Parameters<typeof resolvedOf>[0], shelf: readonly Ink[]) => {
      const bare = withPass(resolvedOf(ground), 'clearResist', design ? { design } : {});
      return check(darkGround, bare, { shelf, passes: [reading('clearResist-1', [1])] })[0];
    };
    const light = [ink('Chaff', '#f8e7a0'), ink('Sky', '#bfe0ef')];
    const dark = offered(light, [deep]);
    expect(dark?.message).toBe('Nothing dark lies over the clear resist yet: its design is hardly seen.');
    expect(dark?.fix?.label).toBe('Coat it with Sloe');
    expect(dark?.key).toBe('dark ground clearResist-1 bare');
    expect(told(100)?.key).toBe('dark ground clearResist-1 coat-1');
    // Under wine and navy even the darkest coat shows nothing, and none is offered.
    expect(offered([ink('Wine', '#5a2030'), tarn], [deep])?.fix).toBeUndefined();
    expect(offered(light, [])?.fix).toBeUndefined();
  });
});

describe('a muddy joint', () => {
  const [red, green] = [ink('Hawberry', '#b3262f'), ink('Alder', '#5b8f3a')] as const;
  const muddy = resolvedOf([red, green]);
  const yellow = ink('Gorse', '#e3b20f');
  const brown = ink('Saggar', '#6b4a35');

  test('gets a choice of middle inks that are owned, blended and make no mud, the best first', () => {
    const shelf = [
      { ...yellow, id: 'wished', wished: true },
      ink('Soot', '#141416', 'detail'),
      ink('Weir', '#007a7c'),
      brown,
      yellow,
    ];
    const [finding] = check(muddyJoint, muddy, { shelf });
    expect(finding?.message).toMatch(/^Hawberry and Alder turn to .* where they meet\.$/);
    expect(finding?.choice?.label).toBe('Put a middle ink between …');
    const middles = finding?.choice?.among() ?? [];
    expect(middles.map(({ label }) => label)).toEqual(['Gorse', 'Saggar']);
    const mended = middles[0]?.apply(muddy.recipe);
    expect(mended?.rungs.map(({ inkId }) => inkId)).toEqual(['Hawberry', 'Gorse', 'Alder']);
  });
  test('is left as it is where nothing on the shelf would do, or the ladder is full', () => {
    const [finding] = check(muddyJoint, muddy);
    expect(finding?.choice?.among()).toEqual([]);
    expect(finding?.choice?.none).toMatch(/^No ink of the shelf/);
    const five = [red, green, ...[1, 2, 3].map((i) => ({ ...green, id: `green ${i}` }))];
    const full = resolvedOf(five);
    expect(full.recipe.rungs).toHaveLength(5);
    expect(addRung(full.recipe, 1, 'x').rungs).toHaveLength(5);
    const [told] = check(muddyJoint, full, { shelf: [brown] });
    expect(told?.message).toContain('where they meet');
    // There is no room for an ink or a strip between: only a narrower joint is left.
    expect([told?.fix?.label, told?.others, told?.choice]).toEqual([
      'Make the joint narrow',
      undefined,
      undefined,
    ]);
    const narrowed = told?.fix?.apply(full.recipe) ?? full.recipe;
    expect(narrowed.joints[0]?.width).toBeLessThan(5);
    const [left] = check(muddyJoint, { ...full, recipe: narrowed });
    expect(left?.fix).toBeUndefined();
  });

  test('may be left bare between, or made narrow', () => {
    const [finding] = check(muddyJoint, muddy);
    expect(finding?.fix?.label).toBe('Leave a bare strip between');
    expect(finding?.others?.map(({ label }) => label)).toEqual(['Make the joint narrow']);
    expect(finding?.fix?.apply(muddy.recipe).rungs.map(({ inkId }) => inkId)).toContain('bare-card');
  });
});

describe('the nearest that will do', () => {
  const near = { ...tarn, id: 'near', overWhite: '#204f7b' } as const;
  const far = ink('far', '#3a8f4a');
  test('ink is another one, owned, that shows on the card', () => {
    const any = () => true;
    expect(nearestShowing(tarn, [tarn, far, near], bareGround(WHITE_CARD), any)).toBe(near);
    expect(nearestShowing(tarn, [tarn, far, { ...near, wished: true }], bareGround(WHITE_CARD), any)).toBe(
      far,
    );
    expect(nearestShowing(tarn, [tarn, far, near], bareGround(WHITE_CARD), ({ id }) => id !== 'near')).toBe(
      far,
    );
    expect(nearestShowing(tarn, [tarn], bareGround(WHITE_CARD), any)).toBeUndefined();
    const dye = { ...near, kind: 'dye' } as const;
    expect(nearestShowing(tarn, [dye], bareGround(BLACK_CARD), any)).toBeUndefined();
  });
  test('card is another one, nearest in colour', () => {
    const cream = { ...WHITE_CARD, id: 'cream', colour: '#f6efdd' } as const;
    const cards = [WHITE_CARD, BLACK_CARD, cream];
    expect(nearestCard(WHITE_CARD, cards, () => true)).toBe(cream);
    expect(nearestCard(WHITE_CARD, cards, ({ id }) => id === 'black')).toBe(BLACK_CARD);
    expect(nearestCard(WHITE_CARD, [WHITE_CARD], () => true)).toBeUndefined();
  });
});

describe('what a maker is warned of before the first ink is down (common practice)', () => {
  const of = (kind: InkKindId) => [gorse, thrift, tarn].map((one) => ({ ...one, kind }));
  const messages = (rule: Rule, resolved: ResolvedRecipe, change: Partial<RuleInput> = {}) =>
    check(rule, resolved, change).map(({ message }) => message);

  test('a dye and a pigment wet into each other, mended by one of the same kind and hue', () => {
    const mixed = resolvedOf([
      { ...gorse, kind: 'pigment' },
      { ...tarn, kind: 'dye' },
    ]);
    const skerry = ink('Skerry', '#1a4878', 'pigment');
    const [finding] = check(mixedKinds, mixed, { shelf: [skerry, ink('Weir', '#007a7c', 'pigment')] });
    expect(finding?.message).toMatch(/^Tarn, a dye, dries while Gorse, a pigment, is still open/);
    expect(finding?.fix?.apply(mixed.recipe).rungs.map(({ inkId }) => inkId)).toEqual(['Gorse', 'Skerry']);
    // The other way round it is the other rung that is put another ink on.
    const turned = resolvedOf([...mixed.inks].toReversed());
    const [other] = check(mixedKinds, turned, { shelf: [skerry] });
    expect(other?.message).toMatch(/^Tarn, a dye, dries while Gorse, a pigment/);
    expect(other?.fix?.apply(turned.recipe).rungs.map(({ inkId }) => inkId)).toEqual(['Skerry', 'Gorse']);
    expect(messages(mixedKinds, resolvedOf(of('dye')))).toEqual([]);
    expect(
      messages(
        mixedKinds,
        resolvedOf([
          { ...gorse, kind: 'hybrid' },
          { ...tarn, kind: 'dye' },
        ]),
      ),
    ).toEqual([]);
  });

  test('water on inks that it does not move, but not where one of them is a dye', () => {
    const wetted = (inks: readonly Ink[]) =>
      withPass(resolvedOf(inks), 'waterStamp', design ? { design } : {});
    expect(messages(littleLifted, wetted(of('hybrid')))[0]).toContain('water takes little of hybrids');
    expect(messages(littleLifted, wetted([...of('hybrid').slice(1), ...of('dye').slice(0, 1)]))).toEqual([]);
    expect(messages(littleLifted, resolvedOf(of('pigment')))).toEqual([]);
  });

  test('clear powder over a white base', () => {
    const white = { ink: ink('Slip', '#fdfdfb', 'white') };
    const resisted = withPass(plain, 'clearResist', design ? { design } : {});
    expect(messages(greyedWhite, resisted)).toEqual([]);
    expect(messages(greyedWhite, withPass(resisted, 'whiteBase', white))[0]).toMatch(/turns it grey/);
  });

  test('tone on tone on a pale band, by its name', () => {
    const toned = (inks: readonly Ink[]) => withPass(resolvedOf(inks), 'toneStamp', design ? { design } : {});
    expect(messages(paleTone, toned([ink('Straw', '#f8e7a0'), tarn]))[0]).toContain(
      'on Straw it will hardly show',
    );
    expect(messages(paleTone, toned([thrift, tarn]))).toEqual([]);
  });

  test('a tool that goes one way on a card with a grain', () => {
    const grained = { ...WHITE_CARD, id: 'wc', name: 'cold-pressed', finish: 'watercolour' } as const;
    const rolled = resolvedOf([gorse, tarn], grained, { tool: 'brayer' });
    // Nearer in colour, and as grained.
    const linen = { ...grained, id: 'linen', finish: 'textured' } as const;
    const [finding] = check(oneWay, rolled, { cards: [linen, WHITE_CARD] });
    expect(finding?.message).toContain('leaves specks of bare card in the grain of cold-pressed');
    expect(finding?.fix?.apply(rolled.recipe).tool).toBe('brush');
    expect(finding?.others?.[0]?.apply(rolled.recipe).cardId).toBe(WHITE_CARD.id);
    expect(messages(oneWay, resolvedOf([gorse, tarn], WHITE_CARD, { tool: 'brayer' }))).toEqual([]);
  });

  test('a card of middling weight cockles only where it is wetted through', () => {
    const middling = { ...WHITE_CARD, grammage: 240 };
    const dry = resolvedOf([gorse, tarn], middling);
    expect(messages(thinCard, dry)).toEqual([]);
    expect(messages(thinCard, withPass(dry, 'splash'))[0]).toMatch(
      /^240 g\/m² cockles where it is wetted through/,
    );
    expect(messages(thinCard, withPass(resolvedOf([gorse, tarn]), 'splash'))).toEqual([]);
  });

  test('an edge is held against the coat that lies under it, too', () => {
    const deep = ink('Vetch', '#2a1f4a');
    const edged = (coated: boolean) =>
      withPass(
        coated ? withPass(plain, 'coat', { ink: deep, params: { strength: 100 } }) : plain,
        'darkCorners',
        {
          ink: tarn,
        },
      );
    expect(messages(paleEdge, edged(false))).toEqual([]);
    expect(messages(paleEdge, edged(true))[0]).toMatch(/Tarn is paler than Vetch and will not frame it/);
  });

  test('a dark ground is not called a busy one', () => {
    const stamped = withPass(plain, 'silhouette', {
      ink: ink('Soot', '#141416', 'detail'),
      ...(design ? { design } : {}),
      params: { strength: 100 },
    });
    const told = (ratios: readonly number[]) =>
      messages(lostImage, stamped, { passes: [reading('silhouette-1', ratios)] })[0];
    expect(told([1.3, 1.4, 1.5])).toMatch(/the ground is dark all over: set it on paler bands/);
    expect(told([1.3, 4, 6])).toMatch(/set it on calmer ground/);
  });
});

describe('a step that a maker’s own times make impossible', () => {
  const dyes = (many: number) =>
    resolvedOf([gorse, thrift, tarn].slice(0, many).map((one) => ({ ...one, kind: 'dye' as const })));
  const at = (resolved: ResolvedRecipe, layBand: number, goBack: number) =>
    check(undoable, resolved, { maker: { pace: { ...USUAL_PACE, layBand, goBack } } });

  test('is not told at the usual pace, or where nobody is at it', () => {
    expect(check(undoable, dyes(3))).toEqual([]);
    expect(at(dyes(3), USUAL_PACE.layBand, USUAL_PACE.goBack)).toEqual([]);
  });

  test('is told with the step, the ink and the minutes, and with what would help where no order does', () => {
    const [finding] = at(dyes(3), 20, 12);
    expect(finding?.message).toMatch(
      /^Back with .*: .* has dried in the join: it stays open for 2 min, .*At your own pace no order leaves time for it: a smaller panel, or an ink that stays open longer\.$/,
    );
    expect(finding?.fix).toBeUndefined();
    expect(finding?.key).toMatch(/^undoable back /);
  });

  test('is mended by an order of laying that leaves time, where there is one, and is gone then', () => {
    // A slow hybrid between two quick dyes: laid last, it is gone back over while it is open.
    const plain = dyes(3);
    const inks = plain.inks.map((one, i) => (i === 1 ? { ...one, kind: 'hybrid' as const } : one));
    const by = { ...plain, inks, recipe: { ...plain.recipe, school: 'paleFirst' as const } };
    const [finding] = at(by, 6, 14);
    expect(finding?.message).not.toMatch(/At your own pace/);
    expect(finding?.fix?.label).toBe('Both ends, then the middle');
    const mended = finding?.fix?.apply(by.recipe) ?? by.recipe;
    expect(mended).toEqual({ ...by.recipe, school: 'bothEnds' });
    expect(at({ ...by, recipe: mended }, 6, 14)).toEqual([]);
  });
});

test('greys are of one hue with each other, and with no colour; colours are within a fifth of a right angle or so', () => {
  // Of the greys one leans toward red, one toward blue.
  const [grey, darkGrey, red, brick, orange] = (
    ['#9c9495', '#46484c', '#c0272d', '#b4452f', '#e87823'] as const
  ).map((hex) => ink(hex, hex)) as [Ink, Ink, Ink, Ink, Ink];
  expect(isSameHue(grey, darkGrey)).toBe(true);
  expect(isSameHue(grey, red)).toBe(false);
  expect(isSameHue(red, grey)).toBe(false);
  expect(isSameHue(red, brick)).toBe(true);
  expect(isSameHue(red, orange)).toBe(false);
});

test('of three rungs one that is alike can be taken off by its name; of two there would be no ladder left', () => {
  const [leat, twin] = [ink('Leat', '#0097a7'), ink('Leat 2', '#0b9aa9')];
  const [finding] = check(alikeRungs, resolvedOf([leat, twin, gorse]));
  expect(finding?.fix?.label).toBe('Take Leat 2 off');
  const [alone] = check(alikeRungs, resolvedOf([leat, twin]));
  expect(alone?.message).toMatch(/^Leat and Leat 2 dry to about one colour/);
  expect(alone?.fix).toBeUndefined();
});
