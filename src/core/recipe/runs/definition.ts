import type { Point, Size } from '../../base/geometry';
import type { Millimetres } from '../../base/length';
import type { MeasureSpec, ParamsOf } from '../../base/params';

/** The parameters of a run; all of them are measured. */
export type RunSpecs = Readonly<Record<string, MeasureSpec>>;

interface RunBase<Id extends string, Specs extends RunSpecs> {
  readonly id: Id;
  readonly label: string;
  /** What it is called in the recipe's sentence, where so many inks follow: "a straight run". */
  readonly phrase: string;
  /** What it is for, in a sentence. */
  readonly description: string;
  readonly params: Specs;
  /** The parameters that a place on the panel stands for, such as a centre; absent where no handle moves the run. */
  readonly handle?: RunHandle<Specs>;
  /** Whether the ladder is laid from its middle out, as rings are. */
  readonly laidFromMiddle?: true;
}

/** A handle that moves a run as a whole. Methods, so that a run of known parameters is a run of some or other. */
export interface RunHandle<Specs extends RunSpecs> {
  readonly label: string;
  at(panel: Size, params: ParamsOf<Specs>): Point;
  moved(panel: Size, params: ParamsOf<Specs>, to: Point): ParamsOf<Specs>;
}

/** A run on which the ladder lies in bands, one after another. */
export interface BandRun<Id extends string = string, Specs extends RunSpecs = RunSpecs>
  extends RunBase<Id, Specs> {
  readonly layout: 'bands';
  layOn(panel: Size, params: ParamsOf<Specs>): BandGeometry;
}

/** A run on which each ink has places of its own and reaches out from them until it meets another. */
export interface PatchRun<Id extends string = string, Specs extends RunSpecs = RunSpecs>
  extends RunBase<Id, Specs> {
  readonly layout: 'patches';
  layOn(panel: Size, params: ParamsOf<Specs>, rungs: number): PatchLayout;
}

/** How the ladder lies on the panel. Adding a run is adding one of these in a file of its own, and a line in the table. */
export type Run = BandRun | PatchRun;

/** Bands on one panel. */
export interface BandGeometry {
  /** How far it is from where the first rung begins to where the last one ends. */
  readonly length: Millimetres;
  /** How far along the run a point lies. */
  readonly alongAt: (x: Millimetres, y: Millimetres) => Millimetres;
  /** Whether points side by side lie equally far along, so that a picture asks once a row. */
  readonly isHorizontal: boolean;
  /** Which way the ladder goes, as a unit vector; the brayer is rolled that way. */
  readonly toward: Point;
  /** A point of the panel that lies so far along: where the handle of a mark stands. */
  readonly handleAt: (along: Millimetres) => Point;
  /** All points of the panel that lie so far along, as an SVG path in mm. */
  readonly trace: (along: Millimetres) => string;
  /**
   * Where on the card the points so far along are marked: at least one place, on the card, told as all places are, up
   * from the foot or in from the left. The first is the one that is typed.
   */
  readonly markedAt: (along: Millimetres) => readonly [MarkPlace, ...MarkPlace[]];
  /** What a border between bands is called where one figure does not say where it lies: "line", "ring". */
  readonly bordersAre?: string;
  /** What else is to be found before marks can be, such as a centre. */
  readonly middle?: Point;
  /** How borders run from their marks on, in a sentence, where the marks do not say it. */
  readonly shape?: string;
  /** How the panel, or a strip, is turned in the hand while it is blended. */
  readonly turning: (piece: WorkPiece) => string;
  /** Where the first rung begins and where the last one ends, and how the brush moves toward it, in words. */
  readonly start: RunEnd;
  readonly end: RunEnd;
}

/** What is blended. */
export type WorkPiece = 'panel' | 'strip';

export interface RunEnd {
  readonly place: string;
  readonly toward: string;
}

/** A place for a mark, measured as a maker does: up from the foot, or in from the left. */
export interface MarkPlace {
  /** The edge or the line that it is on; absent where any upright or level line will do. */
  readonly on?: string;
  readonly from: 'foot' | 'left';
  readonly at: Millimetres;
  /** The point of the same line that lies so far from there. */
  readonly pointAt: (at: Millimetres) => Point;
}

/** Where a level border so far down from the top edge is marked: at any upright line, by one figure. */
export const levelMark = ({ width, height }: Size, down: Millimetres): MarkPlace => ({
  from: 'foot',
  at: height - down,
  pointAt: (at) => ({ x: width, y: height - at }),
});

/** Places of the inks on one panel. */
export interface PatchLayout {
  readonly places: readonly PatchPlace[];
  /** Over how many mm two neighbouring inks fade into each other. */
  readonly soft: Millimetres;
  /** How the panel is turned in the hand while it is blended. */
  readonly turning: string;
  /** How an unsteady hand moves the borders: the point whose ink lies here instead. Left out where it is steady. */
  readonly wander?: (x: Millimetres, y: Millimetres) => Point;
}

/** One place of one rung's ink. */
export interface PatchPlace extends Point {
  /** The rung's place in the ladder, from 0. */
  readonly rung: number;
  /** What it is called, where that says where it lies, such as a corner; others are told by figures. */
  readonly name?: string;
  /** How the panel is turned for it, where that is otherwise than for the others. */
  readonly turning?: string;
}

/** Writes down a run of bands; its parameters are inferred from their specs. */
export const defineBandRun = <const Id extends string, Specs extends RunSpecs>(
  run: Omit<BandRun<Id, Specs>, 'layout'>,
): BandRun<Id, Specs> => ({ ...run, layout: 'bands' });

/** Writes down a run of patches; all its joints are as wide as its `soft` says. */
export const definePatchRun = <
  const Id extends string,
  Specs extends RunSpecs & { readonly soft: MeasureSpec },
>(
  run: Omit<PatchRun<Id, Specs>, 'layout'>,
): PatchRun<Id, Specs> => ({ ...run, layout: 'patches' });
