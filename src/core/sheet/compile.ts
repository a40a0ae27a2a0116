import type { Unit } from '../base/length';
import { memo } from '../base/memo';
import { setsInBrush } from '../materials/ink/kinds';
import { isPrinted } from '../recipe/laying';
import type { Danger } from '../recipe/passes/definition';
import { PASS_KINDS, type Pass } from '../recipe/passes/passes';
import { passesInOrder } from '../recipe/recipe';
import type { ResolvedRecipe } from '../recipe/resolved';
import { TOOLS } from '../recipe/tools/tools';
import { type BrushNeed, type BrushUse, brushesFor, type OwnedBrushes } from './brushes';
import { cautionsOf } from './cautions';
import { clearDesk, type Desk, type Piece, type Step } from './desk';
import { check, isTimeToWash, prepared } from './finishing';
import { ladderPieces, onPanel } from './ladderPieces';
import { doLater, dry, isDueAfter, passPieces } from './passPieces';
import { onRubber, type Setting, settingOf } from './setting';
import { type StrayNote, strayNotes, tellStrayNote } from './strayNotes';
import { describeMinutes, type Minutes, type Pace, USUAL_PACE } from './times';

/** The order of work for one panel. */
export interface Sheet {
  readonly steps: readonly Step[];
  /** Sum of the steps with something in hand. */
  readonly workMinutes: Minutes;
  /** Sum of what is waited for. */
  readonly dryMinutes: Minutes;
  /** What the maker should know of the sheet as a whole. */
  readonly remarks: readonly string[];
  /** Notes whose steps are not among these. */
  readonly strayNotes: readonly StrayNote[];
  /** Cautions, each said once. */
  readonly cautions: readonly string[];
  /** What they are of. */
  readonly dangers: ReadonlySet<Danger>;
}

/** Brushes and daubers that the maker owns, by the set of inks they are kept for. */
export interface Owned {
  readonly brushes?: OwnedBrushes;
  readonly daubers?: OwnedBrushes;
}

/** What a sheet is compiled for: this maker's times and tools. */
export interface Maker {
  readonly pace?: Pace;
  readonly owned?: Owned;
}

/**
 * Compiles the order of work. Every figure comes from the recipe's geometry, written in `unit`: each ink is laid solid
 * well away from the join, faded by lifting pressure, and after each new ink its neighbours go back over the joins while
 * the clock allows. The last few are remembered: a bench shows the same sheet that its rules are tried on.
 */
export const compileSheet: (resolved: ResolvedRecipe, unit: Unit, maker?: Maker) => Sheet = memo(4, compile);

function compile(resolved: ResolvedRecipe, unit: Unit, { pace = USUAL_PACE, owned = {} }: Maker = {}): Sheet {
  const usual = settingOf(resolved, unit, pace);
  const { countedAs } = usual.tool;
  const counted = countedAs ? (owned[countedAs] ?? {}) : {};
  const wished = needsOf(piecesOf(usual));
  const isShort = brushesFor(wished, counted).some(({ cleaned }) => cleaned?.how === 'rubbed');
  const setting = isShort ? { ...usual, changing: RUBBING } : usual;
  const pieces = piecesOf(setting);
  const { uses, done } = workOff(pieces, needsOf(pieces), counted, setting);
  const dangers = new Set(done.steps.flatMap((step) => step.dangers));
  const steps = [prepared(done, setting, uses), ...done.steps];
  return {
    steps,
    workMinutes: done.worked,
    dryMinutes: done.clock - done.worked,
    remarks: remarksOf(setting, brushesFor(wished), uses),
    strayNotes: strayNotes(resolved, steps),
    cautions: cautionsOf(dangers),
    dangers,
  };
}

/** All the work but the preparing and the last look, in order. */
function piecesOf(setting: Setting): Piece[] {
  const passes = passesInOrder(setting.resolved.recipe);
  const isUnder = ({ kind }: Pass) => PASS_KINDS[kind].stage === 'under';
  const [under, over] = [passes.filter(isUnder), passes.filter((pass) => !isUnder(pass))];
  const blended: Piece = {
    job: (desk) => doLater({ ...desk, blended: true }, setting, isDueAfter(setting.resolved.inks)),
  };
  const end: Piece = {
    job: (desk) => {
      const dried = dry('end', setting)(desk);
      return doLater(dried, setting, ({ when }) => when !== 'inked');
    },
  };
  return [
    ...under.flatMap((pass, i) => passPieces(pass, i, setting)),
    ...ladderPieces(isPrinted(setting.resolved.recipe) ? onRubber(setting) : setting, onPanel(setting)),
    blended,
    ...over.flatMap((pass, i) => passPieces(pass, under.length + i, setting)),
    end,
  ];
}

/** How long a brush is rubbed on dry paper until it leaves no colour; from memory. */
const RUBBING: Minutes = 0.3;

const needsOf = (pieces: readonly Piece[]): BrushNeed[] => pieces.flatMap(({ need }) => need ?? []);

/** All the work with brushes shared out to it, and the last look. */
function workOff(
  pieces: readonly Piece[],
  needs: readonly BrushNeed[],
  owned: OwnedBrushes,
  setting: Setting,
): { readonly uses: readonly BrushUse[]; readonly done: Desk } {
  const uses = brushesFor(needs, owned);
  const left = uses.values();
  const done = [...pieces, check(setting, uses)].reduce<Desk>((desk, piece) => {
    if (!piece.need) return piece.job(desk);
    const { value: use } = left.next();
    if (!use) throw new RangeError('a step needs a brush that was not shared out');
    return piece.job(desk, use);
  }, clearDesk(setting.resolved.recipe));
  // A brush that could, or would have to, be washed while something dries is known by the steps that wait.
  const mayWash = uses.some(
    ({ cleaned, set, isFresh }) => cleaned?.how === 'rubbed' || (setsInBrush(set) && !isFresh),
  );
  if (!mayWash || needs.some(({ stretch }) => stretch !== undefined)) return { uses, done };
  const times = done.steps.flatMap(({ brush, begins, minutes = 0 }, at) => {
    const stretch = done.steps.slice(0, at).filter(isTimeToWash).length;
    return brush ? [{ stretch, begins, ends: begins + minutes }] : [];
  });
  return workOff(
    pieces,
    needs.map((need, i) => ({ ...need, stretch: 0, ...times[i] })),
    owned,
    setting,
  );
}

/** What is worth saying of a sheet on which brushes have to be shared, or no middle is brewed. */
function remarksOf(setting: Setting, wished: readonly BrushUse[], uses: readonly BrushUse[]): string[] {
  const { tool, school, resolved, brews } = setting;
  const count = (of: readonly BrushUse[]) => new Set(of.map(({ brush }) => brush.letter)).size;
  const [wants, has] = [count(wished), count(uses)];
  return [
    ...(has < wants
      ? [
          `This panel would take ${wants} ${tool.countedAs}; you own fewer, and ${has} will do: what works for two inks is cleaned between, and goes back with a touch of new ink. Expect a trace of the one in the other.`,
        ]
      : []),
    ...(school.brews && resolved.inks.length === 2 && !brews
      ? [
          'No middle is brewed of these two: it would be mud, or they may not share a brush. The ends are worked into each other; a middle ink, a bare strip between or a narrow join does better.',
        ]
      : []),
  ];
}

/** How long the work takes and what is waited for, before and between it as much as after. */
export const describeTimes = ({ workMinutes, dryMinutes }: Sheet): string =>
  `${describeMinutes(workMinutes)} at the desk, and ${describeMinutes(dryMinutes)} of drying`;

/** The sheet as plain text, a numbered step a paragraph. */
export function sheetText(resolved: ResolvedRecipe, unit: Unit, maker: Maker = {}): string {
  const sheet = compileSheet(resolved, unit, maker);
  const { noun } = TOOLS[resolved.recipe.tool];
  const steps = sheet.steps.map((step, i) => {
    const brush = step.brush ? ` [${noun} ${step.brush.letter}: ${step.brush.label}]` : '';
    const time = step.minutes ? ` (${describeMinutes(step.minutes)})` : '';
    const note = step.note ? [`Note: ${step.note}`] : [];
    const layOut = (step.layOut ?? []).map(({ thing }) => `[ ] ${thing}`);
    return [`${i + 1}. ${step.title}${brush}${time}`, step.work, ...layOut, ...step.care, ...note].join(
      '\n   ',
    );
  });
  return [
    resolved.recipe.name,
    `${settingOf(resolved, unit, maker.pace ?? USUAL_PACE).school.label}. ${describeTimes(sheet)}.`,
    ...sheet.remarks.map((remark) => `Mind: ${remark}`),
    ...sheet.cautions,
    ...steps,
    ...sheet.strayNotes.map(tellStrayNote),
  ].join('\n\n');
}
