import type { Point, Size } from '../../base/geometry';
import type { Millimetres, Unit } from '../../base/length';
import type { ParamSpecs, Params, ParamsOf } from '../../base/params';
import type { Design, DesignUse } from '../../materials/design/design';
import type { Border } from '../../materials/design/placement';
import type { Ink } from '../../materials/ink/ink';
import { INK_KINDS, type InkKindId } from '../../materials/ink/kinds';
import type { Effect } from './effects';
import type { SurfaceDetail } from './surface';

/** Which inks a kind of pass can be laid in. */
export type InkNeed = 'blended' | 'stamped' | 'white';

/** What design a kind of pass is made with: the use it is meant for, and the one it starts with. */
export interface DesignNeed {
  readonly use: DesignUse;
  readonly starts?: string;
  readonly optional?: boolean;
}

/** What a placement of a pass is laid with and on. */
export interface PlacementContext<Specs extends ParamSpecs = ParamSpecs> {
  /** The placement's id. */
  readonly id: string;
  readonly panel: Size;
  /** How much wetter than a brush's the tool leaves the card (`Tool.wets`). */
  readonly wets: number;
  readonly params: ParamsOf<Specs>;
  readonly design?: Design;
  readonly ink?: Ink;
}

/** How one placement of a pass lies on one panel. */
export interface PlacedPass {
  /** Sharp borders; whatever an effect has inside them is smooth. */
  readonly borders: readonly Border[];
  readonly effects: readonly Effect[];
  /** How its surface looks from near by, beside its colour. */
  readonly surface?: readonly SurfaceDetail[];
  /** Over how many mm the narrowest of what is smooth fades; absent where nothing does. */
  readonly blend?: Millimetres;
  /** How much smaller than on the panel the ladder lies on a piece of its own; absent where it has none. */
  readonly shrinks?: number;
  /** Its borders as SVG paths in mm. */
  readonly traces: readonly string[];
  /** Where a parameter of its own is taken hold of on the panel, and what value a place there stands for. */
  readonly handle?: {
    readonly param: string;
    readonly at: Point;
    readonly valueAt: (to: Point) => number;
  };
}

/** What a step can hurt with; each is cautioned against once a sheet. */
export type Danger = 'heat' | 'blade' | 'steel' | 'powder' | 'tack spray';

/**
 * What a step does to the panel: lays or stamps what comes next among the effects of its pass, wets it, covers it (with a
 * mask, or a design melted on) and takes the cover off again, buffs what lies on it, lets it cool or dry.
 */
export type PassDeed = 'lay' | 'stamp' | 'wet' | 'cover' | 'melt' | 'uncover' | 'buff' | 'cool' | 'dry';

/** A piece of a pass's work, in words. */
export interface PassStep {
  readonly title: string;
  /** The measured work in one line. */
  readonly work: string;
  readonly care: readonly string[];
  readonly minutes: number;
  /** The ladder's stamp is inked again, so many times for each panel, beside once for each after the first. */
  readonly inksAgain?: { readonly times: number; readonly minutesAnInk: number };
  /** What it is told as where the ladder is printed from a stamp: it is done to the rubber. */
  readonly printed?: Pick<PassStep, 'title' | 'work' | 'care'>;
  /** The placement it lays, where each has a step of its own: then the picture grows with them. */
  readonly placement?: string;
  /** Waiting, not working; `heat` where it is done with the heat tool, at the maker's own pace. */
  readonly waits?: 'air' | 'heat';
  /** It cannot be hurried with the heat tool: that would spoil it. */
  readonly noHeat?: true;
  /** What is done to the panel, one thing after another; where left out it is laid, or where it waits dries. */
  readonly does?: readonly PassDeed[];
  /** Done while the ink of the step before is wet. */
  readonly whileWet?: true;
  /** Done on the desk once, for all panels that are made there. */
  readonly once?: true;
  /** What has to lie ready, beside inks and brushes. */
  readonly needs?: readonly string[];
  /**
   * The whole ladder is laid once more, right after it: on the panel, so strong as part of a full coat, per cent, or on a
   * piece of its own.
   */
  readonly ladder?:
    | { readonly on: 'the panel'; readonly strength: number }
    | { readonly on: 'a strip'; readonly size: Size };
  readonly dangers?: readonly Danger[];
}

/** A step of a pass that comes only after other work has been done. */
export interface LaterStep {
  /**
   * As soon as the blend is down; once it has dried; after each ink that is laid over it; or after so many passes that
   * follow.
   */
  readonly when: 'blended' | 'dry' | 'inked' | number;
  /** Of what is inked: only where some of it is of such a kind. */
  readonly of?: (kind: InkKindId) => boolean;
  readonly step: PassStep;
}

/** How a pass changes the way the tool lays the ladder: what streaks, patches and open time come to, 1 being as always. */
export interface LayingChange {
  readonly streaks: number;
  readonly mottle: number;
  readonly opens: number;
}

/** What is done each time that an ink of the ladder is taken up anew. */
export interface AtEachInk {
  readonly care: string;
  readonly minutes: number;
  readonly needs: readonly string[];
}

/** What is used up on the parts that a design covers: so much a square metre of them. */
export interface Taken {
  readonly thing: string;
  readonly unit: 'g' | 'ml';
  readonly perSquareMetre: number;
}

/** What is so of every pass of a kind, for whoever must know it without knowing which kind it is. */
export interface PassFacts {
  readonly label: string;
  /** What it is for, in a sentence. */
  readonly description: string;
  /** Before the blend, on the card, or over it. */
  readonly stage: 'under' | 'over';
  /** The most placements, and what one is called where there may be several. */
  readonly placements: { readonly max: number; readonly noun: string };
  /** Whether it lies on what has dried: what is wet is dried before. */
  readonly needsDry: boolean;
  /** A coat of white that colours show on, where the card would swallow them. */
  readonly isBase?: true;
  /** An even coat of one ink over everything. */
  readonly coversAll?: true;
  /** A clear design from which later coats are buffed off, so that what is under it shows. */
  readonly keepsGround?: true;
  /** It frames the blend: an ink paler than the blend frames nothing. */
  readonly frames?: true;
  /** It rubs or wets the face of the panel, and smudges what is not set. */
  readonly rubs?: true;
  /** It works the wet blend: it comes before all else that goes over that. */
  readonly worksWet?: true;
  /** It only dries what is wet. */
  readonly sets?: true;
  /** What it does where no colour changes by it, in words. */
  readonly unseen?: string;
  /** It wets the card through. */
  readonly wetsThrough?: true;
  /** Its stencil gets wet: from the cloth over it, or when what was drawn through it is washed off. */
  readonly wetsStencil?: true;
  /** It takes ink off again with water. */
  readonly lifts?: true;
  /** It is clear powder, melted on. */
  readonly clearPowder?: true;
  /** The ladder is laid on its stamp instead of on the card, and printed. */
  readonly printsLadder?: true;
  /** It lays the ladder's own inks over themselves. */
  readonly sameInks?: true;
  /** A thing of its own, laid over what is there: where it hides a design, that is not for want of contrast. */
  readonly standsAlone?: true;
  /** Whether its shape is to stand out from what lies beside it; that of every design is, unless it says otherwise. */
  readonly standsOut?: boolean;
  /** The finest lines that hold, mm: melted powder runs, cut card and stencils break, water spreads. */
  readonly finestLine?: Millimetres;
}

/** A kind of pass. Adding one is adding one of these in a file of its own, and a line in the table. */
export interface PassKind<
  Id extends string = string,
  Specs extends ParamSpecs = ParamSpecs,
  Inked extends InkNeed | undefined = InkNeed | undefined,
  Drawn extends DesignNeed | undefined = DesignNeed | undefined,
> extends PassFacts {
  readonly id: Id;
  readonly params: Specs;
  readonly ink: Inked;
  readonly design: Drawn;
  /** Methods, so that a kind of known parameters is a kind of some or other. */
  layOn(context: PlacementContext<Specs>): PlacedPass;
  /** The work of all its placements, in order. */
  steps(contexts: readonly PlacementContext<Specs>[], unit: Unit): readonly PassStep[];
  /** How it changes the laying of the ladder itself. */
  changesLaying?(contexts: readonly PlacementContext<Specs>[]): Partial<LayingChange>;
  /** What it adds to each laying of an ink of the ladder. */
  atEachInk?(contexts: readonly PlacementContext<Specs>[]): readonly AtEachInk[];
  /** What it leaves to be done later. */
  later?(contexts: readonly PlacementContext<Specs>[]): readonly LaterStep[];
  /** What its design takes of powder or paste. */
  takes?(params: ParamsOf<Specs>): Taken | undefined;
  /** Of one that lies evenly over everything: how many coats of its ink it is. */
  evenCoats?(params: ParamsOf<Specs>): number;
}

interface Draft<Id, Specs extends ParamSpecs, Inked, Drawn> extends PassFacts {
  readonly id: Id;
  readonly params: Specs;
  readonly ink?: Inked;
  readonly design?: Drawn;
  layOn(context: PlacementContext<Specs>): PlacedPass;
  steps(contexts: readonly PlacementContext<Specs>[], unit: Unit): readonly PassStep[];
  /** How it changes the laying of the ladder itself. */
  changesLaying?(contexts: readonly PlacementContext<Specs>[]): Partial<LayingChange>;
  /** What it adds to each laying of an ink of the ladder. */
  atEachInk?(contexts: readonly PlacementContext<Specs>[]): readonly AtEachInk[];
  /** What it leaves to be done later. */
  later?(contexts: readonly PlacementContext<Specs>[]): readonly LaterStep[];
  /** What its design takes of powder or paste. */
  takes?(params: ParamsOf<Specs>): Taken | undefined;
  /** Of one that lies evenly over everything: how many coats of its ink it is. */
  evenCoats?(params: ParamsOf<Specs>): number;
}

/** Writes down a kind of pass; its parameters, and whether it takes an ink and a design, are inferred. */
export const definePass = <
  const Id extends string,
  Specs extends ParamSpecs,
  const Inked extends InkNeed | undefined = undefined,
  const Drawn extends DesignNeed | undefined = undefined,
>(
  draft: Draft<Id, Specs, Inked, Drawn>,
): PassKind<Id, Specs, Inked, Drawn> => ({
  ...draft,
  ink: draft.ink as Inked,
  design: draft.design as Drawn,
});

/** One laying-on of a pass, of whatever kind: where, how, and in which ink. */
export interface AnyPlacement {
  /** The same as long as the placement is in its pass. */
  readonly id: string;
  readonly inkId?: string;
  readonly params: Params;
}

/** Where a kind takes an ink its placements have one; where it does not they cannot. */
export type PlacementOf<Kind extends PassKind> = {
  readonly id: string;
  readonly params: ParamsOf<Kind['params']>;
} & (Kind['ink'] extends InkNeed ? { readonly inkId: string } : { readonly inkId?: never });

/** One operation beside the blend itself, of one kind. */
export type PassOf<Kind extends PassKind> = {
  /** The same as long as the pass is in the recipe. */
  readonly id: string;
  readonly kind: Kind['id'];
  /** Left out it stays in the list and does nothing. */
  readonly enabled: boolean;
  /** At least one. */
  readonly placements: readonly PlacementOf<Kind>[];
} & (Kind['design'] extends DesignNeed ? { readonly designId?: string } : { readonly designId?: never });

/** Whether an ink will do for what a pass asks for. */
export function inkSuits(need: InkNeed, { kind }: Ink): boolean {
  const { blends, brushSet } = INK_KINDS[kind];
  if (kind === 'bare') return false;
  if (need === 'white') return brushSet === 'white only' || brushSet === 'pigment';
  return need === 'stamped' || blends;
}
