import { capitalised, listed } from '../base/words';
import type { Wetness } from '../engine/mixing';
import { type Progress, untouched } from '../engine/progress';
import { type Ink, isBare } from '../materials/ink/ink';
import type { Danger, LaterStep } from '../recipe/passes/definition';
import type { Recipe } from '../recipe/recipe';
import { type Brush, type BrushNeed, type BrushUse, type Cleaning, sameInks } from './brushes';
import type { Deed, Load } from './deeds';
import type { GivenMark } from './measuredWords';
import type { Setting } from './setting';
import type { Minutes } from './times';

export type StepKind = 'prepare' | 'lay' | 'brew' | 'go back' | 'pass' | 'dry' | 'check';

/** Something to lay out before the work begins. */
export interface LaidOut {
  readonly group: 'Card' | 'Inks' | 'Brushes' | 'Tools';
  readonly thing: string;
}

/** One numbered step of the order of work. */
export interface Step {
  /** What stays the same when the sheet is compiled anew: a note or a timing belongs to it. */
  readonly key: string;
  readonly kind: StepKind;
  readonly title: string;
  /** The measured work in one line. */
  readonly work: string;
  /** Brush, cleaning, hand: what else to mind. */
  readonly care: readonly string[];
  /** Those of its lines that are about this sheet's own brushes and mat: where several are worked at one table, they are not so. */
  readonly ownBrushes: readonly string[];
  /** What is laid out, in the step that prepares; each is ticked off. */
  readonly layOut?: readonly LaidOut[];
  readonly ink?: Ink;
  readonly brush?: Brush;
  /** Hands-on or waiting time; absent where the maker takes what it takes. */
  readonly minutes?: Minutes;
  /** Waited, in air or with the heat tool, not worked. */
  readonly waits?: 'air' | 'heat';
  /** Waited in air alone: the heat tool would spoil it. */
  readonly noHeat?: true;
  /** Done on the desk once, for all panels that are made there. */
  readonly once?: true;
  /** It comes while the ink of the step before is wet: a stamp is printed, paste rubbed clean, foil wiped. */
  readonly whileWet?: true;
  /** When it begins, in minutes from the first step, with all waiting before it. */
  readonly begins: Minutes;
  /** What has to lie ready for it, beside inks and brushes. */
  readonly needs: readonly string[];
  /** What in it can hurt. */
  readonly dangers: readonly Danger[];
  /** The marks it is measured by. */
  readonly marks: readonly GivenMark[];
  /** The same work for whoever carries it out. */
  readonly deeds: readonly Deed[];
  /** How the panel stands once it is done, and whether anything on it is still wet. */
  readonly after: Progress;
  readonly stands: Wetness;
  /** Where a design, an edge or a piece goes in this step, as SVG paths in mm. */
  readonly traces?: readonly string[];
  /** The maker's own words. */
  readonly note?: string;
}

/** Work that a pass has left to be done later. */
export interface Pending extends LaterStep {
  readonly pass: string;
  /** The place among the passes in order of work of the one that left it. */
  readonly from: number;
}

/** How far the work has come, step after step. */
export interface Desk {
  readonly steps: readonly Step[];
  readonly progress: Progress;
  /** Minutes with something in hand so far, and minutes in all. */
  readonly worked: Minutes;
  readonly clock: Minutes;
  /** What has been laid since all was last dry. */
  readonly wet: readonly Ink[];
  /** The inks that lie on the mat, none where they have dried on it; undefined before anything was laid on it. */
  readonly mat?: readonly Ink[];
  /** Whether the blend is down. */
  readonly blended: boolean;
  readonly pending: readonly Pending[];
  /** What has been taken to hand that must lie ready. */
  readonly things: ReadonlySet<string>;
}

export const clearDesk = (recipe: Recipe): Desk => ({
  steps: [],
  progress: untouched(recipe),
  worked: 0,
  clock: 0,
  wet: [],
  blended: false,
  pending: [],
  things: new Set(),
});

/** One piece of the work: what the desk looks like once it is done, with the brush it takes where it takes one. */
export type Piece =
  | { readonly need: BrushNeed; readonly job: (desk: Desk, use: BrushUse) => Desk }
  | { readonly need?: undefined; readonly job: (desk: Desk) => Desk };

/** What is none where a step does not tell it. */
type Lists = 'ownBrushes' | 'marks' | 'deeds' | 'needs' | 'dangers';
type Told = Omit<Step, Lists | 'after' | 'stands' | 'note' | 'begins'> & Partial<Pick<Step, Lists>>;

/** The desk with one more step done, as the panel stands by then. */
export function addStep(desk: Desk, { recipe }: { readonly recipe: Recipe }, told: Told): Desk {
  const note = recipe.notes?.[told.key];
  const done: Step = {
    ownBrushes: [],
    marks: [],
    deeds: [],
    needs: [],
    dangers: [],
    ...told,
    begins: desk.clock,
    after: desk.progress,
    stands: desk.wet.some((ink) => !isBare(ink)) ? 'wet' : 'dry',
    ...(note ? { note } : {}),
  };
  const { minutes = 0, waits, needs } = done;
  const mat = matAfter(done, desk.mat);
  return {
    ...desk,
    ...(mat ? { mat } : {}),
    steps: [...desk.steps, done],
    worked: desk.worked + (waits ? 0 : minutes),
    clock: desk.clock + minutes,
    things: new Set([...desk.things, ...needs]),
  };
}

/** What a step leaves on the mat. */
function matAfter({ deeds, waits }: Step, before: Desk['mat']): Desk['mat'] {
  const loaded = deeds.flatMap((deed) => (deed.does === 'load' && deed.load === 'full' ? [deed.inks] : []));
  const lies = loaded.at(-1) ?? before;
  return waits && lies ? [] : lies;
}

/** What is said, and what is done, before a brush goes to work: cleaned, loaded, or as it is. */
export interface TakenUp extends Pick<Step, 'care' | 'ownBrushes'> {
  /** How long the mat is wiped and the brush cleaned. */
  readonly minutes: Minutes;
  readonly deeds: readonly Deed[];
}

/**
 * A brush taken up with new ink. The mat is wiped first, unless nothing was laid on it yet, or the same inks still lie wet
 * on it, or only a touch is taken, which comes from the pad itself.
 */
export function takeUp(
  { mat }: Pick<Desk, 'mat'>,
  use: BrushUse,
  inks: readonly Ink[],
  setting: Setting,
  load: Load = 'full',
): TakenUp {
  const { brush, cleaned, isFresh } = use;
  const { tool, pace } = setting;
  const noun = `${capitalised(tool.noun)} ${brush.letter}`;
  const before = cleaned
    ? `${noun} worked with ${listed(cleaned.of.map(({ name }) => name))}: ${describeCleaning[cleaned.how]}`
    : isFresh
      ? mat
        ? `Fresh ${tool.noun}.`
        : ''
      : `${noun} holds it already.`;
  const wipes = load === 'full' && mat !== undefined && !sameInks(mat, inks);
  const line = `${wipes ? 'Wipe and dry the mat. ' : ''}${before}`.trim();
  const { deeds, minutes } = cleanedFirst(use, setting);
  const care = line ? [line] : [];
  return {
    care,
    ownBrushes: care,
    minutes: minutes + (wipes ? pace.wipeMat : 0),
    deeds: [
      ...(wipes ? [{ does: 'wipe mat', minutes: pace.wipeMat } as const] : []),
      ...deeds,
      { does: 'load', brush: brush.letter, inks, load },
    ],
  };
}

const describeCleaning = {
  wiped: 'wipe it on kitchen paper until no colour comes off.',
  rubbed: 'rub it on dry kitchen paper until it leaves no colour; washed, it would be damp.',
  washed: 'it has to be washed by now, and dry.',
} as const satisfies Record<Cleaning, string>;

/** Between depths of one colour it is wiped while the mat is; it is washed before, while something dries. */
function cleanedFirst(
  { brush, cleaned }: BrushUse,
  { changing }: Setting,
): Pick<TakenUp, 'deeds' | 'minutes'> {
  if (!cleaned) return { deeds: [], minutes: 0 };
  const minutes = cleaned.how === 'rubbed' ? changing : 0;
  return { deeds: [{ does: 'clean', brush: brush.letter, how: cleaned.how, minutes }], minutes };
}

/** A brush gone back with: with what it holds, or where that had to come off, with a touch of new ink. */
export function takeBack(use: BrushUse, ink: Ink, setting: Setting): TakenUp {
  const { brush, cleaned, touched } = use;
  const { tool } = setting;
  if (!touched) return { care: ['No new ink.'], ownBrushes: [], minutes: 0, deeds: [] };
  const noun = `${capitalised(tool.noun)} ${brush.letter}`;
  const first = cleaned
    ? `${noun} worked with ${listed(cleaned.of.map(({ name }) => name))}: ${describeCleaning[cleaned.how]} `
    : '';
  const { deeds, minutes } = cleanedFirst(use, setting);
  const care = [`${first}${tool.touching}: ${ink.name} again, hardly any.`];
  return {
    care,
    ownBrushes: care,
    minutes,
    deeds: [...deeds, { does: 'load', brush: brush.letter, inks: [ink], load: 'touch' }],
  };
}
