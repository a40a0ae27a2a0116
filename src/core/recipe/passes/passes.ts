import type { Unit } from '../../base/length';
import type { ParamSpec, Params } from '../../base/params';
import type { Design, DesignUse } from '../../materials/design/design';
import type { Ink } from '../../materials/ink/ink';
import { INK_KINDS } from '../../materials/ink/kinds';
import type { Panel } from '../panel';
import { clearResist } from './clearResist';
import { coat } from './coat';
import { darkCorners } from './darkCorners';
import { edge } from './edge';
import { edgeStencil } from './edgeStencil';
import type { PassLie } from './effects';
import { greetingStrip } from './greetingStrip';
import { heatSet } from './heatSet';
import { horizon } from './horizon';
import { lift } from './lift';
import { mask } from './mask';
import { paste } from './paste';
import { patternStencil } from './patternStencil';
import { penDots } from './penDots';
import { secondCoat } from './secondCoat';
import { shield } from './shield';
import { silhouette } from './silhouette';
import { splash } from './splash';
import { toneResist } from './toneResist';
import { toneStamp } from './toneStamp';
import { waterStamp } from './waterStamp';
import { whiteBase } from './whiteBase';

export type PassKindId =
  | 'whiteBase'
  | 'toneResist'
  | 'paste'
  | 'mask'
  | 'edge'
  | 'darkCorners'
  | 'horizon'
  | 'secondCoat'
  | 'heatSet'
  | 'clearResist'
  | 'shield'
  | 'patternStencil'
  | 'edgeStencil'
  | 'coat'
  | 'lift'
  | 'splash'
  | 'waterStamp'
  | 'toneStamp'
  | 'silhouette'
  | 'greetingStrip'
  | 'penDots';

/** One laying-on of a pass: where, how, and in which ink. */
export interface Placement {
  /** Where its kind takes an ink. */
  readonly inkId?: string;
  readonly params: Params;
}

/** One operation beside the blend itself. */
export interface Pass {
  /** The same as long as the pass is in the recipe. */
  readonly id: string;
  readonly kind: PassKindId;
  /** Switched off it stays in the list and does nothing. */
  readonly on: boolean;
  /** Where its kind takes a design. */
  readonly designId?: string;
  /** At least one. */
  readonly placements: readonly Placement[];
}

/** What a placement is laid with and on. */
export interface Scene {
  readonly panel: Panel;
  readonly params: Params;
  readonly design?: Design;
  readonly ink?: Ink;
}

/** What a step can hurt with; each is cautioned against once a sheet. */
export type Danger = 'heat' | 'blade' | 'steel' | 'powder';

/** A piece of a pass's work, in words. */
export interface PassStep {
  readonly title: string;
  /** The measured work in one line. */
  readonly work: string;
  readonly care: readonly string[];
  readonly minutes: number;
  /** Waiting, not working. */
  readonly waits?: boolean;
  readonly dangers?: readonly Danger[];
}

/** Which inks a kind of pass can be laid in. */
export type InkNeed = 'blended' | 'stamped' | 'white';

/** A sort of pass. Adding one is adding one of these in a file of its own. */
export interface PassKind {
  readonly id: PassKindId;
  readonly label: string;
  /** What it is for, in a sentence. */
  readonly explains: string;
  /** Before the blend, on the card, or over it. */
  readonly stage: 'under' | 'over';
  readonly ink?: InkNeed;
  /** The use of designs it is meant for, and the one it starts with; absent where it takes none. */
  readonly design?: { readonly use: DesignUse; readonly starts?: string; readonly optional?: boolean };
  /** The most placements, and what one is called where there may be several. */
  readonly placements: { readonly most: number; readonly noun: string };
  readonly params: readonly ParamSpec[];
  /** Whether it lies on what has dried: what is wet is dried before. */
  readonly dries: boolean;
  readonly on: (scene: Scene) => PassLie;
  /** The work of all its placements, in order. */
  readonly steps: (scenes: readonly Scene[], unit: Unit) => readonly PassStep[];
}

/** In the order they are offered: before the blend, into it, over it. */
export const PASS_KINDS: Readonly<Record<PassKindId, PassKind>> = {
  whiteBase,
  toneResist,
  paste,
  mask,
  edge,
  darkCorners,
  horizon,
  secondCoat,
  heatSet,
  clearResist,
  coat,
  shield,
  patternStencil,
  edgeStencil,
  lift,
  splash,
  waterStamp,
  toneStamp,
  silhouette,
  greetingStrip,
  penDots,
};
export const PASS_KIND_IDS = Object.keys(PASS_KINDS) as readonly PassKindId[];

/** The most passes in a recipe, and placements in all of them: as many as a panel could bear. */
export const PASS_LIMITS = { passes: 16, placements: 40 } as const;

/** What a pass is called among others: with a number where there are several of its kind. */
export function passName(passes: readonly Pass[], { id, kind }: Pass): string {
  const alike = passes.filter((other) => other.kind === kind);
  const { label } = PASS_KINDS[kind];
  return alike.length > 1 ? `${label} ${alike.findIndex((other) => other.id === id) + 1}` : label;
}

/** Whether an ink will do for what a pass asks for. */
export function inkDoes(need: InkNeed, { kind }: Ink): boolean {
  const { blends, brushSet } = INK_KINDS[kind];
  if (kind === 'bare') return false;
  if (need === 'white') return brushSet === 'white only' || brushSet === 'pigment';
  return need === 'stamped' || blends;
}
