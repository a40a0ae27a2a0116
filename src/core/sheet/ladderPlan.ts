import { INK_KINDS } from '../materials/ink/kinds';
import { type BrewMix, brewSlope } from '../readings/joints/brew';
import type { Setting } from './setting';
import type { Minutes } from './times';

/** One piece of blending a ladder, before it is put into words: its minutes are those of the brush on the card. */
export type Move =
  | {
      readonly move: 'lay';
      readonly rung: number;
      /** The neighbours it is faded toward in the same step, in order, with its minutes; the others wait. */
      readonly fades: readonly { readonly toward: number; readonly minutes: Minutes }[];
      readonly extent: 'faded' | 'to the middle' | 'solid';
      readonly minutes: Minutes;
      /** Of those, until it is solid. */
      readonly solid: Minutes;
    }
  /** Its fade drawn out again, so that the ink in it is wet once more; `section` of how many across the panel. */
  | {
      readonly move: 'wake';
      readonly rung: number;
      readonly over: number;
      readonly section: Section;
      /** Its fade through the join, or the soft edge at which it was to stop. */
      readonly extent: 'fade' | 'edge';
      readonly minutes: Minutes;
    }
  | {
      readonly move: 'into' | 'back' | 'own half';
      readonly rung: number;
      readonly over: number;
      readonly section: Section;
      readonly minutes: Minutes;
    }
  | {
      readonly move: 'brew';
      readonly between: readonly [number, number];
      readonly mixes: readonly BrewMix[];
      readonly section: Section;
      readonly minutes: Minutes;
    };

/** A part of the panel's width that is worked to the end before the next: the `at`th of `of`, from 0. */
export interface Section {
  readonly at: number;
  readonly of: number;
}

const WHOLE: Section = { at: 0, of: 1 };
/** A join is worked in at most so many sections: more of them would leave seams of their own. */
const MOST_SECTIONS = 4;
/** Drawing a fade out again takes this part of going back over the whole join. */
const WAKING = 0.5;
/** A tenth of a minute to spare: nobody works to the second. */
const SPARE = 0.1;

/** Minutes of wet work on one rung. */
interface RungMinutes {
  readonly solid: Minutes;
  /** Of its fade toward each neighbour. */
  readonly fade: (toward: number) => Minutes;
}

/**
 * The blend of a ladder as a row of moves that the inks leave time for. An ink comes into a join while the one before
 * is still open there, and going back ends while the newer one is; where plain laying is too slow the older fade is
 * drawn out again first, then the joins are worked apart from the solids, then in sections across the panel.
 *
 * Source of the open times: `INK_KINDS`; of the order of means: common practice.
 */
export function planLadder(setting: Setting): Move[] {
  const { school, order, resolved, brews } = setting;
  const [first, last] = order;
  if (school.brews && brews && order.length === 2 && resolved.inks.length === 2)
    return planBrew(setting, first as number, last as number);
  const clock = new Clock(setting);
  for (const [turn, rung] of order.entries()) {
    const meets = order.filter((other) => other !== rung && meet(setting, rung, other));
    const down = meets.filter((other) => order.indexOf(other) < turn).sort((p, q) => p - q);
    const later = meets.filter((other) => order.indexOf(other) > turn);
    layRung(clock, setting, rung, down, later);
  }
  return clock.moves;
}

const meet = ({ neighbours }: Setting, p: number, q: number): boolean =>
  neighbours.some(([lower, upper]) => lower === Math.min(p, q) && upper === Math.max(p, q));

/** Lays a rung and works its joins with those that are down, by the mildest means that the clock allows. */
function layRung(
  clock: Clock,
  setting: Setting,
  rung: number,
  down: readonly number[],
  later: readonly number[],
): void {
  const { pace, changing } = setting;
  const adding = addingMinutes(setting);
  const plain = clock.tried((one) => one.layWhole(rung, down, later));
  if (plain) {
    clock.become(plain);
    return;
  }
  const woken = clock.tried((one) => {
    for (const other of down)
      if (!one.staysOpen(other, rung, one.reachesJoinIn(rung) + pace.wipeMat + changing + adding))
        one.wake(other, rung, WHOLE);
    one.layWhole(rung, down, later);
  });
  if (woken) {
    clock.become(woken);
    return;
  }
  clock.laySolid(rung, later);
  for (const other of down) {
    const sections = clock.sectionsFor([rung], [other, rung], 1);
    for (let at = 0; at < sections; at++) {
      const section = { at, of: sections };
      clock.wake(other, rung, section);
      clock.into(rung, other, section);
      clock.back(other, rung, section);
    }
  }
}

/** How long a strip may be, in mm, that one mix will do for, and two; longer ones take three. By eye. */
const ONE_MIX = 40;
const TWO_MIXES = 80;

/** Two solid ends, then the strip between them in one to three mixes, and each end back into its own half. */
function planBrew(setting: Setting, first: number, last: number): Move[] {
  const { resolved, ground, joinWidth, tool, changing } = setting;
  const adding = addingMinutes(setting);
  const clock = new Clock(setting);
  clock.laySolid(first, [last], 'to the middle');
  clock.laySolid(last, [first], 'to the middle');
  const wide = joinWidth(first, last);
  const count = wide <= ONE_MIX ? 1 : wide <= TWO_MIXES ? 2 : 3;
  const [one, other] = [resolved.inks[first], resolved.inks[last]];
  if (!one || !other) return clock.moves;
  const mixes = brewSlope(one, other, ground, count, tool.hardness);
  const sections = clock.sectionsFor([first, last], [first, last], 2);
  for (let at = 0; at < sections; at++) {
    const section = { at, of: sections };
    for (const [end, over] of [
      [first, last],
      [last, first],
    ] as const)
      if (!clock.staysOpen(end, over, changing + adding + clock.brewing(first, last, mixes, sections)))
        clock.wake(end, over, section, 'edge');
    clock.brew([first, last], mixes, section);
    clock.ownHalf(first, last, section);
    clock.ownHalf(last, first, section);
  }
  return clock.moves;
}

/** The work so far with its minutes, and since when each fade is wet; says when a move comes too late. */
class Clock {
  readonly moves: Move[] = [];
  private now: Minutes = 0;
  private late = false;
  /** When a rung's fade toward another was last wet, by "rung toward". */
  private readonly wetAt = new Map<string, Minutes>();
  private readonly setting: Setting;

  constructor(setting: Setting) {
    this.setting = setting;
  }

  /** A copy on which something was tried; undefined where it came too late. */
  tried(work: (clock: Clock) => void): Clock | undefined {
    const copy = new Clock(this.setting);
    copy.moves.push(...this.moves);
    copy.now = this.now;
    for (const [key, at] of this.wetAt) copy.wetAt.set(key, at);
    work(copy);
    return copy.late ? undefined : copy;
  }

  become(other: Clock): void {
    this.moves.splice(0, this.moves.length, ...other.moves);
    this.now = other.now;
    for (const [key, at] of other.wetAt) this.wetAt.set(key, at);
  }

  /** Solid and all its fades in one go, then back with each neighbour that is down. */
  layWhole(rung: number, down: readonly number[], later: readonly number[]): void {
    const { solid, fade } = minutesOf(this.setting, rung);
    const fades = [...down, ...later].map((toward) => ({ toward, minutes: fade(toward) }));
    this.takeUp();
    let at = this.now + solid;
    for (const { toward, minutes } of fades) {
      if (down.includes(toward) && !this.isOpen(toward, rung, at)) this.late = true;
      at += minutes;
      this.wetAt.set(keyOf(rung, toward), at);
    }
    this.add({ move: 'lay', rung, fades, extent: 'faded', minutes: at - this.now, solid });
    for (const other of down) this.back(other, rung, WHOLE);
  }

  laySolid(rung: number, later: readonly number[], extent: 'solid' | 'to the middle' = 'solid'): void {
    const { solid, fade } = minutesOf(this.setting, rung);
    // An end that stops at the middle's strip keeps a soft edge there, and has no fade to lay.
    const fades = (extent === 'to the middle' ? [] : later).map((toward) => ({
      toward,
      minutes: fade(toward),
    }));
    const minutes = solid + fades.reduce((sum, one) => sum + one.minutes, 0);
    this.takeUp();
    let at = this.now + solid;
    this.add({ move: 'lay', rung, fades, extent, minutes, solid });
    for (const toward of later) this.wetAt.set(keyOf(rung, toward), this.now);
    // Each fade is wet from when it was laid, not from when the last of them was.
    for (const { toward, minutes: takes } of fades) {
      at += takes;
      this.wetAt.set(keyOf(rung, toward), at);
    }
  }

  wake(rung: number, over: number, section: Section, extent: 'fade' | 'edge' = 'fade'): void {
    this.changeInk();
    this.add({
      move: 'wake',
      rung,
      over,
      section,
      extent,
      minutes: Math.max(this.backMinutes(rung, over, section) * WAKING, QUICKEST),
    });
    this.wetAt.set(keyOf(rung, over), this.now);
  }

  into(rung: number, over: number, section: Section): void {
    const minutes = Math.max(minutesOf(this.setting, rung).fade(over) / section.of, QUICKEST);
    this.changeInk();
    if (!this.isOpen(over, rung, this.now)) this.late = true;
    this.add({ move: 'into', rung, over, section, minutes });
    this.wetAt.set(keyOf(rung, over), this.now);
  }

  back(rung: number, over: number, section: Section): void {
    this.changeInk();
    this.add({ move: 'back', rung, over, section, minutes: this.backMinutes(rung, over, section) });
    if (!this.isOpen(over, rung, this.now)) this.late = true;
  }

  brew(between: readonly [number, number], mixes: readonly BrewMix[], section: Section): void {
    this.takeUp();
    this.add({ move: 'brew', between, mixes, section, minutes: this.brewing(...between, mixes, section.of) });
    this.wetAt.set(keyOf(...between), this.now);
    this.wetAt.set(keyOf(between[1], between[0]), this.now);
  }

  ownHalf(rung: number, over: number, section: Section): void {
    this.changeInk();
    this.add({ move: 'own half', rung, over, section, minutes: this.backMinutes(rung, over, section) / 2 });
    if (!this.isOpen(over, rung, this.now)) this.late = true;
  }

  /** Minutes that loading and laying the mixes of a strip takes. */
  brewing(first: number, last: number, mixes: readonly BrewMix[], sections: number): Minutes {
    const { pace } = this.setting;
    const strip = minutesOf(this.setting, first).fade(last) + minutesOf(this.setting, last).fade(first);
    return pace.brew * mixes.length + strip / sections;
  }

  /** How many sections of a join leave time to go back over each while these inks are open, with so many changes of ink. */
  sectionsFor(rungs: readonly number[], [one, other]: readonly [number, number], changes: number): number {
    const open = Math.min(...rungs.map((rung) => openMinutes(this.setting, rung)));
    const left = open - SPARE - changes * this.setting.changing;
    return Math.min(Math.max(Math.ceil(this.backMinutes(one, other, WHOLE) / left), 1), MOST_SECTIONS);
  }

  /** Minutes from now until a rung that is laid whole comes into its first join. */
  reachesJoinIn(rung: number): Minutes {
    return minutesOf(this.setting, rung).solid;
  }

  /** Whether a rung's fade toward another will still be open in so many minutes. */
  staysOpen(rung: number, toward: number, minutes: Minutes): boolean {
    return this.isOpen(rung, toward, this.now + minutes);
  }

  private isOpen(rung: number, toward: number, at: Minutes): boolean {
    const since = this.wetAt.get(keyOf(rung, toward));
    return since !== undefined && at - since <= openMinutes(this.setting, rung) - SPARE;
  }

  private backMinutes(rung: number, over: number, { of }: Section): Minutes {
    const { pace, larger, tool } = this.setting;
    return (pace.goBack * tool.takes * larger.along(rung, over)) / of;
  }

  /** New ink: the mat is wiped of the one before, and what passes add goes beside it. */
  private takeUp(): void {
    const { pace, changing } = this.setting;
    if (this.moves.length > 0) this.now += pace.wipeMat + changing;
    this.now += addingMinutes(this.setting);
  }

  /** The brush that goes to work may have to be cleaned of another ink first. */
  private changeInk(): void {
    this.now += this.setting.changing;
  }

  private add(move: Move): void {
    this.moves.push(move);
    this.now += move.minutes;
  }
}

/** How long what passes add to an ink takes, each time that it is taken up. */
export const addingMinutes = ({ atEachInk }: Setting): Minutes =>
  atEachInk.reduce((sum, { minutes }) => sum + minutes, 0);

/** However little there is to be laid or to do on a join, the hand has to come to it. From memory. */
const QUICKEST: Minutes = 0.25;

const keyOf = (rung: number, toward: number): string => `${rung} ${toward}`;

/** How long a rung's ink stays blendable on the card. */
export const openMinutes = ({ resolved, opens }: Setting, rung: number): Minutes => {
  const ink = resolved.inks[rung];
  return ink ? INK_KINDS[ink.kind].openMinutes * opens : 0;
};

/** How the minutes a rung takes fall to its solid part and to its fades: by what lies where. */
function minutesOf(setting: Setting, rung: number): RungMinutes {
  const { pace, larger, tool, words } = setting;
  const parts = fadeParts(setting, rung);
  // A usual band is a third of a usual panel.
  const whole = pace.layBand * tool.takes * larger.over(3 * (words.areas[rung] ?? 0));
  const fading = parts.reduce((sum, { part }) => sum + part, 0);
  return {
    solid: Math.max(whole * (1 - fading), QUICKEST),
    fade: (toward) => whole * (parts.find((one) => one.toward === toward)?.part ?? 0),
  };
}

/** Of a run of patches so much of each is fade. By eye. */
const PATCH_FADE = 0.5;

/** The rungs that one meets on the panel. */
export const metBy = ({ neighbours }: Setting, rung: number): readonly number[] =>
  neighbours.filter((pair) => pair.includes(rung)).map(([p, q]) => (p === rung ? q : p));

/** What part of a rung's own ground its fade toward each neighbour takes. */
function fadeParts(setting: Setting, rung: number) {
  const { words } = setting;
  const toward = metBy(setting, rung);
  const extent = words.extent(rung);
  if (!extent) return toward.map((other) => ({ toward: other, part: PATCH_FADE / toward.length }));
  const { from, solidFrom, solidTo, to } = extent;
  // Half of a fade's length is what its ink would cover solid.
  const [before, after] = [(solidFrom - from) / 2, (to - solidTo) / 2];
  const whole = Math.max(solidTo - solidFrom + before + after, Number.EPSILON);
  return toward.map((other) => ({ toward: other, part: (other < rung ? before : after) / whole }));
}
