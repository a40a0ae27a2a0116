import type { Point } from '../../base/geometry';
import type { Params } from '../../base/params';
import { coverageOf } from '../../engine/coverage';
import { neighboursOf } from '../../engine/neighbours';
import { INK_DEPTHS, type Ink, isBare } from '../../materials/ink/ink';
import { type BrushSet, INK_KINDS } from '../../materials/ink/kinds';
import { layingOf } from '../../recipe/laying';
import type { PassDeed } from '../../recipe/passes/definition';
import type { Effect } from '../../recipe/passes/effects';
import { passesInOrder, patchesOf } from '../../recipe/recipe';
import { contextsOf, placedPasses, type ResolvedRecipe } from '../../recipe/resolved';
import type { Sheet } from '../compile';
import { type Deed, isStrip, type LadderDeed, type On } from '../deeds';
import type { Step } from '../desk';
import { brushThing, inkThing } from '../finishing';
import type { GivenMark } from '../measuredWords';
import type { Minutes } from '../times';
import { type Cover, farthestOff, type Laid } from './face';

/** A step that cannot be done as it is told. */
export interface Refusal {
  /** The step's key and title. */
  readonly step: Pick<Step, 'key' | 'title'>;
  /** What is in the way, in a sentence. */
  readonly why: string;
  /** Whether the clock is: another order, an ink that stays open longer or quicker work would mend it. */
  readonly isLate: boolean;
}

/** What the hand finds at a place that a step works on is so much of the ink at least, to count as solid. */
const SOLID = 0.98;
/** What is laid at the end differs by no more than this from what the picture shows, coats. */
export const NEAR_ENOUGH = 0.02;
/** Minutes are sums of parts. */
const ROUNDING = 1e-6;

interface HeldBrush {
  readonly set: BrushSet;
  inks: readonly Ink[];
  charge: 'clean' | 'full' | 'worked' | 'touch';
}

/** A ladder in the making: which rungs are down, since when each fade is wet, how much of each join is blended. */
interface LadderState {
  readonly down: Set<number>;
  readonly wetAt: Map<string, Minutes>;
  readonly blended: Map<string, number>;
  readonly brewed: Map<string, number>;
}

/**
 * A hand that carries out a sheet step by step, knowing only what the steps tell it: brushes and what is on them, the
 * mat, the face of the panel and the clock. It says of each step that cannot be done why not, and goes on as if it had been.
 *
 * @param checksFace  whether what lies on the panel at the end is compared with the picture; it takes as long again
 */
export function tryOut(resolved: ResolvedRecipe, { steps }: Sheet, checksFace = false): Refusal[] {
  const hand = new Hand(resolved);
  for (const step of steps) hand.carryOut(step);
  hand.finish(checksFace);
  return hand.refusals;
}

/** So much of a full coat a touch of the pad lays at most, per cent. By eye. */
const MOST_OF_A_TOUCH = 50;

const setOf = ([ink]: readonly Ink[]): BrushSet => (ink ? INK_KINDS[ink.kind].brushSet : 'none');
const same = (p: readonly Ink[], q: readonly Ink[]): boolean =>
  p.length === q.length && p.every((ink) => q.some(({ id }) => id === ink.id));

class Hand {
  readonly refusals: Refusal[] = [];
  private readonly resolved: ResolvedRecipe;
  private step: Step | undefined;
  private clock: Minutes = 0;
  private readonly out = new Set<string>();
  private readonly marks = new Map<On, readonly GivenMark[]>();
  private readonly brushes = new Map<string, HeldBrush>();
  private matHolds: readonly Ink[] = [];
  private face: 'dry' | 'wet ink' | 'water' = 'dry';
  private isWarm = false;
  private readonly ladders = new Map<On, LadderState>();
  private readonly covers = new Map<string, Cover>();
  private readonly unbuffed = new Set<string>();
  private readonly done: Laid[] = [];
  private readonly parts: Float64Array;
  /** Of each placement of each pass, how many of its effects have been carried out. */
  private readonly carried = new Map<string, number>();

  constructor(resolved: ResolvedRecipe) {
    this.resolved = resolved;
    this.parts = new Float64Array(resolved.inks.length);
  }

  carryOut(step: Step): void {
    this.step = step;
    this.check(Math.abs(step.begins - this.clock) < ROUNDING, 'It begins before the last step is done.');
    for (const thing of step.needs)
      this.check(step.kind === 'prepare' || this.out.has(thing), `No ${thing} was laid out.`);
    for (const deed of step.deeds) this.carry(deed);
    this.clock = step.begins + (step.minutes ?? 0);
  }

  finish(checksFace: boolean): void {
    const { resolved } = this;
    const isInk = (rung: number) => resolved.inks[rung] && !isBare(resolved.inks[rung] as Ink);
    const { down, blended } = this.ladderOn('panel');
    for (const [rung, ink] of resolved.inks.entries())
      this.check(isBare(ink) || down.has(rung), `${ink.name} was never laid.`);
    for (const [p, q] of neighboursOf(resolved.recipe))
      if (isInk(p) && isInk(q))
        this.check(
          (blended.get(pairOf(p, q)) ?? 0) > 1 - ROUNDING,
          `The join of ${this.nameOf(p)} and ${this.nameOf(q)} was never gone back over.`,
        );
    for (const { effect } of this.covers.values())
      this.check(effect.lasts === 'for good' || effect.keepsOff('dye') === 0, 'A mask was never lifted.');
    this.check(this.unbuffed.size === 0, 'A resist was never buffed.');
    this.check(this.face === 'dry', 'The panel was never dried.');
    if (checksFace) {
      const off = farthestOff(resolved, this.done);
      this.check(off <= NEAR_ENOUGH, `What was laid is ${off.toFixed(2)} coats from what the picture shows.`);
    }
  }

  private check(holds: unknown, why: string, isLate = false): void {
    if (holds) return;
    const { key = '', title = '' } = this.step ?? {};
    this.refusals.push({ step: { key, title }, why, isLate });
  }

  private nameOf(rung: number): string {
    return this.resolved.inks[rung]?.name ?? '';
  }

  private ladderOn(on: On): LadderState {
    const known = this.ladders.get(on);
    if (known) return known;
    const empty = { down: new Set<number>(), wetAt: new Map(), blended: new Map(), brewed: new Map() };
    this.ladders.set(on, empty);
    return empty;
  }

  private carry(deed: Deed): void {
    switch (deed.does) {
      case 'lay out':
        for (const thing of deed.things) this.out.add(thing);
        return;
      case 'mark':
        this.giveMarks(deed.on, deed.marks);
        return;
      case 'wipe mat':
        this.clock += deed.minutes;
        this.matHolds = [];
        return;
      case 'clean': {
        const brush = this.brushes.get(deed.brush);
        this.check(brush, `Brush ${deed.brush} was never used.`);
        this.clock += deed.minutes;
        if (brush) Object.assign(brush, { inks: deed.how === 'wiped' ? brush.inks : [], charge: 'clean' });
        return;
      }
      case 'load':
        this.load(deed.brush, deed.inks, deed.load);
        return;
      case 'drop':
        this.check(this.matHolds.length > 0, 'No ink lies on the mat to drop it beside.');
        this.clock += deed.minutes;
        return;
      case 'dry':
        this.dryFace();
        this.clock += deed.minutes;
        return;
      case 'pass':
        this.doPass(deed.pass, deed.placement, deed.deed, deed.brush);
        this.clock += deed.minutes;
        return;
      default:
        this.work(deed);
    }
  }

  private giveMarks(on: On, marks: readonly GivenMark[]): void {
    const { width, height } = this.resolved.recipe.panel;
    if (on === 'panel')
      for (const { name, places } of marks) {
        const onCard = places.some(
          ({ point: { x, y } }) => x >= -0.01 && y >= -0.01 && x <= width + 0.01 && y <= height + 0.01,
        );
        this.check(onCard, `The mark ${name} lies off the card.`);
      }
    this.check(
      new Set(marks.map(({ name }) => name)).size === marks.length,
      'Two marks are told by one figure.',
    );
    this.marks.set(on, marks);
  }

  private load(letter: string, inks: readonly Ink[], load: 'full' | 'touch'): void {
    this.check(this.out.has(brushThing({ letter })), `Brush ${letter} was not laid out.`);
    for (const ink of inks) this.check(this.out.has(inkThing(ink)), `${ink.name} was not laid out.`);
    const set = setOf(inks);
    const brush = this.brushes.get(letter);
    if (brush) {
      this.check(brush.set === set, `Brush ${letter} is kept for ${brush.set}.`);
      const isClean = brush.charge === 'clean' && (brush.inks.length === 0 || kin(brush.inks, inks));
      this.check(same(brush.inks, inks) || isClean, `Brush ${letter} still holds ${namesOf(brush.inks)}.`);
    }
    this.check(
      this.matHolds.length === 0 || same(this.matHolds, inks) || load === 'touch',
      `The mat is still wet with ${namesOf(this.matHolds)}.`,
    );
    // A touch is taken from the pad itself.
    if (load === 'full') this.matHolds = inks;
    this.brushes.set(letter, { set, inks, charge: load });
  }

  /** A brush at work on a ladder. */
  private work(deed: LadderDeed): void {
    const brush = this.brushes.get(deed.brush);
    const inks =
      deed.does === 'brew' ? deed.between.map((rung) => this.inkOf(rung)) : [this.inkOf(deed.rung)];
    this.check(brush && same(brush.inks, inks), `Brush ${deed.brush} does not hold ${namesOf(inks)}.`);
    this.check(brush?.charge !== 'clean', `Brush ${deed.brush} holds no ink.`);
    this.check(this.face !== 'water', 'The panel is wet with water.');
    this.check(!this.isWarm, 'The powder on it is still warm.');
    const ladder = this.ladderOn(deed.on);
    switch (deed.does) {
      case 'lay':
        this.layRung(deed, ladder, brush);
        break;
      case 'fade':
      case 'wake':
        this.fade(deed, ladder);
        break;
      case 'go back':
        this.goBack(deed, ladder, brush, deed.part);
        break;
      case 'own half':
        this.check(
          (ladder.brewed.get(pairOf(deed.rung, deed.toward)) ?? 0) > 0,
          'Nothing was brewed in the strip yet.',
        );
        this.goBack(deed, ladder, brush, deed.part / 2);
        break;
      case 'brew':
        this.brew(deed, ladder);
        break;
    }
    if (brush) brush.charge = 'worked';
    this.clock += ['fade', 'wake', 'lay'].includes(deed.does) ? deed.minutes : 0;
    if (!isStrip(deed.on)) this.face = 'wet ink';
  }

  private inkOf(rung: number): Ink {
    return this.resolved.inks[rung] as Ink;
  }

  private layRung(
    { on, rung, land, extent, minutes }: Extract<LadderDeed, { does: 'lay' }>,
    ladder: LadderState,
    brush: HeldBrush | undefined,
  ): void {
    const isLoaded = brush?.charge === 'full' || (brush?.charge === 'touch' && this.isFaint(on));
    this.check(isLoaded, 'The brush is not loaded.');
    if (!isStrip(on))
      this.check(this.partAt(land, rung) >= this.solidest(rung), 'A loaded brush would land in a join.');
    if (extent) this.checkMarks(on, extent);
    ladder.down.add(rung);
    for (const other of this.resolved.inks.keys())
      if (other !== rung) ladder.wetAt.set(`edge ${rung} ${other}`, this.clock + minutes);
    if (on === 'panel')
      this.done.push({
        laid: 'rung',
        rung,
        covers: [...this.covers.values()],
        ...(extent ? { extent } : {}),
      });
    if (!isStrip(on)) this.dirty([this.inkOf(rung)]);
  }

  /** Whether the ladder goes on so thinly there that a touch of the pad is enough. */
  private isFaint(on: On): boolean {
    const coat = this.resolved.recipe.passes.find(({ id }) => on === `second coat ${id}`);
    const { strength }: Params = coat?.placements[0]?.params ?? {};
    return typeof strength === 'number' && strength <= MOST_OF_A_TOUCH;
  }

  private partAt({ x, y }: Point, rung: number): number {
    coverageOf(this.resolved.recipe)(x, y, this.parts);
    return this.parts[rung] ?? 0;
  }

  /** What counts as solid of a rung: where patches run into each other nothing is, and its middle has to do. */
  private solidest(rung: number): number {
    const own = patchesOf(this.resolved.recipe)?.places.filter((place) => place.rung === rung);
    return own ? Math.min(SOLID, Math.max(...own.map((place) => this.partAt(place, rung)))) : SOLID;
  }

  /** Where an ink ends inside the panel, a mark was given. */
  private checkMarks(
    on: On,
    extent: { readonly [Key in 'from' | 'solidFrom' | 'solidTo' | 'to']: number },
  ): void {
    const given = this.marks.get(isStrip(on) ? on : 'panel') ?? [];
    const places = [...new Set(Object.values(extent))];
    const unmarked = places.filter((along) => !given.some((mark) => Math.abs(mark.along - along) < 0.01));
    // Of a first or last rung two figures are the end of the panel.
    this.check(unmarked.length <= 1, 'It is measured by a mark that was never given.');
  }

  private fade(
    { does, rung, toward, minutes }: Extract<LadderDeed, { does: 'fade' | 'wake' }>,
    { down, wetAt }: LadderState,
  ): void {
    this.check(down.has(rung), `${this.nameOf(rung)} is not down yet.`);
    const met = wetAt.get(`${toward} ${rung}`);
    // What is woken lies where the other has not come yet.
    if (does === 'fade' && met !== undefined) this.checkOpen(toward, met, this.clock);
    wetAt.set(`${rung} ${toward}`, this.clock + minutes);
  }

  private goBack(
    deed: Extract<LadderDeed, { does: 'go back' } | { does: 'own half' }>,
    { wetAt, blended }: LadderState,
    brush: HeldBrush | undefined,
    part: number,
  ): void {
    const { rung, toward, minutes } = deed;
    this.check(brush?.charge !== 'full', 'A loaded brush would land in a join.');
    const met = wetAt.get(`${toward} ${rung}`);
    this.check(met !== undefined, `${this.nameOf(toward)} has not come into the join yet.`);
    this.clock += minutes;
    if (met !== undefined) this.checkOpen(toward, met, this.clock);
    const pair = pairOf(rung, toward);
    blended.set(pair, (blended.get(pair) ?? 0) + part);
  }

  private brew(deed: Extract<LadderDeed, { does: 'brew' }>, { wetAt, brewed }: LadderState): void {
    const [first, last] = deed.between;
    for (const [end, other] of [
      [first, last],
      [last, first],
    ] as const) {
      const edge = Math.max(
        wetAt.get(`edge ${end} ${other}`) ?? -Infinity,
        wetAt.get(`${end} ${other}`) ?? -Infinity,
      );
      this.checkOpen(end, edge, this.clock);
    }
    this.clock += deed.minutes;
    for (const [end, other] of [
      [first, last],
      [last, first],
    ] as const)
      wetAt.set(`${end} ${other}`, this.clock);
    brewed.set(pairOf(first, last), (brewed.get(pairOf(first, last)) ?? 0) + deed.part);
  }

  private checkOpen(rung: number, since: Minutes, at: Minutes): void {
    const ink = this.inkOf(rung);
    const openMinutes = INK_KINDS[ink.kind].openMinutes * layingOf(this.resolved).opens;
    this.check(
      at - since <= openMinutes + ROUNDING,
      `${ink.name} has dried in the join: it stays open for ${openMinutes} min, and this comes after ${(at - since).toFixed(1)}.`,
      true,
    );
  }

  /** Ink laid over a design that keeps it off lies on it until it is buffed. */
  private dirty(laid: readonly Ink[]): void {
    for (const [key, { effect }] of this.covers)
      if (effect.lasts === 'for good' && laid.some((ink) => !isBare(ink) && effect.keepsOff(ink.kind) > 0))
        this.unbuffed.add(key);
  }

  private dryFace(): void {
    this.face = 'dry';
    this.done.push({ laid: 'dried' });
  }

  private doPass(passId: string, placement: string | undefined, deed: PassDeed, letter?: string): void {
    const pass = passesInOrder(this.resolved.recipe).find(({ id }) => id === passId);
    if (!pass) throw new RangeError(`the recipe has no pass ${passId}`);
    const contexts = contextsOf(this.resolved, pass);
    const placed = placedPasses(this.resolved, pass);
    if (deed === 'dry') {
      this.dryFace();
      return;
    }
    if (deed === 'cool') {
      this.isWarm = false;
      return;
    }
    if (deed === 'melt') {
      this.check(this.face === 'dry', 'Powder on a wet face sticks everywhere.');
      this.isWarm = true;
      return;
    }
    for (const [i, { id, ink }] of contexts.entries()) {
      if (placement !== undefined && placement !== id) continue;
      const key = `${passId} ${id}`;
      const lies = placed[i];
      if (!lies) continue;
      if (deed === 'buff') this.unbuffed.delete(key);
      else if (deed === 'uncover') {
        this.check(this.covers.delete(key), 'There is nothing to take off.');
      } else this.next({ key, deed, lies, ink, letter });
    }
  }

  /** Carries out what comes next of a placement. */
  private next({
    key,
    deed,
    lies,
    ink,
    letter,
  }: {
    readonly key: string;
    readonly deed: 'lay' | 'stamp' | 'wet' | 'cover';
    readonly lies: ReturnType<typeof placedPasses>[number];
    readonly ink: Ink | undefined;
    readonly letter: string | undefined;
  }): void {
    const from = this.carried.get(key) ?? 0;
    const at = lies.effects.findIndex(({ kind }, i) => i >= from && kind !== 'dry');
    const effect = lies.effects[at];
    if (!effect || effect.kind === 'dry') {
      this.check(false, 'There is nothing left to lay.');
      return;
    }
    this.carried.set(key, at + 1);
    const fits = {
      lay: ['film', 'ladder', 'piece'],
      stamp: ['film', 'ladder'],
      wet: ['thin'],
      cover: ['guard'],
    };
    this.check(fits[deed].includes(effect.kind), `It would ${deed} what is to be laid as ${effect.kind}.`);
    this.check(!this.isWarm || deed === 'cover', 'The powder on it is still warm.');
    const onDry = lies.effects.slice(from, at).some(({ kind }) => kind === 'dry');
    if (onDry || deed === 'stamp') this.check(this.face !== 'wet ink', 'It would lie on wet ink.');
    this.check(this.face !== 'water' || deed === 'wet', 'The panel is wet with water.');
    this.lay(key, effect, lies, ink);
    if (letter && ink) {
      const brush = this.brushes.get(letter);
      this.check(brush && same(brush.inks, [ink]), `Brush ${letter} does not hold ${ink.name}.`);
      if (brush) brush.charge = 'worked';
    }
  }

  private lay(
    key: string,
    effect: Exclude<Effect, { kind: 'dry' }>,
    placed: Cover['placed'],
    ink: Ink | undefined,
  ): void {
    if (effect.kind === 'guard') {
      this.covers.set(key, { effect, placed, order: this.done.length });
      return;
    }
    const covers = [...this.covers].flatMap(([of, cover]) => (of === key ? [] : [cover]));
    this.done.push({ laid: 'effect', effect, placed, covers, ...(ink ? { ink } : {}) });
    if (effect.kind === 'thin') this.face = 'water';
    else if (effect.kind === 'piece') this.dryFace();
    else {
      this.face = 'wet ink';
      if (effect.kind === 'ladder') this.dirty(this.resolved.inks);
      else if (this.step?.brush && ink) this.dirty([ink]);
    }
  }
}

/** Depths of one colour, the second no paler than what a wiped brush still has a trace of; every white is one. */
const kin = (p: readonly Ink[], q: readonly Ink[]): boolean =>
  setOf(p) === 'white only'
    ? setOf(q) === 'white only'
    : p.length === 1 && q.length === 1 && p[0]?.family === q[0]?.family && depthOf(q) <= depthOf(p);
const depthOf = ([ink]: readonly Ink[]): number => (ink ? INK_DEPTHS.indexOf(ink.depth) : 0);
const namesOf = (inks: readonly Ink[]): string => inks.map(({ name }) => name).join(' and ');
const pairOf = (p: number, q: number): string => (p < q ? `${p} ${q}` : `${q} ${p}`);
