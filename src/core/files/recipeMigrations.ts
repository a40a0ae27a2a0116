import { isPlain } from './plain';

/** Brings the `recipe` of a file, or of a database, from one version's shape to the next. */
export interface RecipeMigration {
  readonly from: number;
  readonly title: string;
  /** Nothing is known of the value yet: what does not fit is left for the reader to refuse. */
  readonly up: (recipe: Loose) => Record<string, unknown>;
  /** The same for each ink that comes with it, where inks changed. */
  readonly upInk?: (ink: Loose) => Record<string, unknown>;
}

/** A value of a file, as it is before it is checked. */
type Loose = Readonly<Record<string, unknown>>;

/** Today's version of a recipe, in files and in the database. */
export const RECIPE_VERSION = 6;

/** All of them, oldest first. One that has been released is never edited. */
export const RECIPE_MIGRATIONS: readonly RecipeMigration[] = [
  {
    from: 1,
    title: 'runs have numbers, something may lie over the ladder, and a tool is named',
    up: ({ run, ...recipe }) => ({
      ...recipe,
      run: typeof run === 'string' ? { id: run, params: {} } : run,
      overs: [],
      tool: 'brush',
    }),
  },
  {
    from: 2,
    title: 'what lies over the ladder is passes, in the order of work',
    up: ({ overs, notes, ...recipe }) => ({
      ...recipe,
      passes: Array.isArray(overs) ? laidInOrder(overs).map(passOf) : overs,
      ...(notes === undefined ? {} : { notes: renamedNotes(notes) }),
    }),
  },
  {
    from: 3,
    title: 'rungs and placements have ids, choices are words, and a pass is enabled',
    up: ({ rungs, passes, notes, ...recipe }) => ({
      ...recipe,
      rungs: withIds(rungs, 'r'),
      passes: Array.isArray(passes) ? passes.map(passInWords) : passes,
      ...(notes === undefined ? {} : { notes: notesById(notes, passes) }),
    }),
  },
  {
    from: 4,
    title: 'a resist always cools, a silhouette says how it is set, a stencil what it is of',
    up: ({ passes, ...recipe }) => ({
      ...recipe,
      passes: Array.isArray(passes) ? passes.map(passThatCanBeDone) : passes,
    }),
  },
  {
    from: 5,
    title: 'how strongly an ink stands is its strength, and inks carry what panels have taught of them',
    up: (recipe) => ({ ...recipe }),
    upInk: ({ potency, ...ink }) => ({ ...ink, ...(potency === undefined ? {} : { strength: potency }) }),
  },
];

/** What kinds of version 4 were given in version 5, where they do not have it yet. */
const ADDED: Readonly<Record<string, Readonly<Record<string, string | number>>>> = {
  silhouette: { set: 'left', inked: 'whole' },
  paste: { material: 'plastic' },
  lift: { material: 'plastic' },
  patternStencil: { material: 'plastic' },
  edgeStencil: { material: 'plastic', edge: 'upper', body: 0 },
};

function passThatCanBeDone(pass: unknown): unknown {
  if (!isPlain(pass) || !Array.isArray(pass.placements)) return pass;
  const changed = (params: unknown): unknown => {
    if (!isPlain(params)) return params;
    const { cool, ...others } = params;
    const kept = pass.kind === 'clearResist' ? others : params;
    return { ...ADDED[String(pass.kind)], ...kept };
  };
  return {
    ...pass,
    placements: pass.placements.map((one: unknown) =>
      isPlain(one) ? { ...one, params: changed(one.params) } : one,
    ),
  };
}

/** Each record of a list with an id made of a letter and its place, counted from 1. */
const withIds = (list: unknown, letter: string): unknown =>
  Array.isArray(list)
    ? list.map((one, i) => (isPlain(one) ? { id: `${letter}${i + 1}`, ...one } : one))
    : list;

/** The words that choices of version 3 stood for, by kind and key; `*` is every kind. A number is a place among them. */
const WORDS: Readonly<Record<string, Readonly<Record<string, readonly string[]>>>> = {
  '*': { flip: ['no', 'yes'], repeat: ['no', 'tiles'] },
  whiteBase: { coats: ['one', 'two'], dried: ['wet', 'dried'] },
  clearResist: { cool: ['no', 'minute'] },
  edgeStencil: { scrap: ['no', 'yes'], hold: ['hand', 'tape', 'spray'] },
  greetingStrip: { way: ['left', 'right'], shadow: ['no', 'black'] },
  splash: { after: ['dabbed', 'minute', 'dried'] },
  penDots: { pen: ['white', 'gold', 'silver'] },
};

function passInWords(pass: unknown): unknown {
  if (!isPlain(pass)) return pass;
  const { on, placements, ...rest } = pass;
  const words = { ...WORDS['*'], ...WORDS[String(pass.kind)] };
  const inWords = (params: unknown): unknown =>
    isPlain(params)
      ? Object.fromEntries(
          Object.entries(params).map(([key, value]) => [key, words[key]?.[Number(value)] ?? value]),
        )
      : params;
  const named = withIds(placements, 'p');
  return {
    ...rest,
    enabled: on,
    placements: Array.isArray(named)
      ? named.map((one) => (isPlain(one) ? { ...one, params: inWords(one.params) } : one))
      : named,
  };
}

/** Kinds of version 3 whose steps stood one a placement, counted from 0. */
const A_STEP_A_PLACEMENT: readonly unknown[] = [
  'patternStencil',
  'edgeStencil',
  'lift',
  'waterStamp',
  'silhouette',
];

/** Steps were named by places: `lay 0`, `back 1 over 0`, and of a pass `pass lift-1 0`. */
function notesById(notes: unknown, passes: unknown): unknown {
  if (!isPlain(notes)) return notes;
  const stepwise = new Set(
    Array.isArray(passes)
      ? passes.flatMap((pass) =>
          isPlain(pass) && A_STEP_A_PLACEMENT.includes(pass.kind) ? [String(pass.id)] : [],
        )
      : [],
  );
  const rung = (place: string) => `r${Number(place) + 1}`;
  const renamed = (key: string): string =>
    key
      .replace(/^lay (\d+)$/, (_, place) => `lay ${rung(place)}`)
      .replace(/^back (\d+) over (\d+)$/, (_, one, other) => `back ${rung(one)} over ${rung(other)}`)
      .replace(/^pass (\S+) (\d+)$/, (whole, id, place) =>
        stepwise.has(id) ? `pass ${id} p${Number(place) + 1}` : whole,
      );
  return Object.fromEntries(Object.entries(notes).map(([key, note]) => [renamed(key), note]));
}

/** What was worked into the wet ladder came before what lay on the dried one, wherever it stood in the list. */
function laidInOrder(overs: readonly unknown[]): readonly unknown[] {
  const isWet = (over: unknown) => isPlain(over) && (over.id === 'edge' || over.id === 'darkCorners');
  return [...overs.filter(isWet), ...overs.filter((over) => !isWet(over))];
}

const passOf = (over: unknown): unknown =>
  isPlain(over)
    ? {
        id: over.id,
        kind: over.id,
        on: true,
        placements: [{ inkId: over.inkId, params: over.params }],
      }
    : over;

/** Steps of one of these were `over edge`. */
const renamedNotes = (notes: unknown): unknown =>
  isPlain(notes)
    ? Object.fromEntries(
        Object.entries(notes).map(([key, note]) => [key.replace(/^over (\w+)$/, 'pass $1 0'), note]),
      )
    : notes;

/** A recipe of one version in the shape of a later one. */
export const recipeAt = (
  recipe: Readonly<Record<string, unknown>>,
  from: number,
  to: number,
): Record<string, unknown> =>
  RECIPE_MIGRATIONS.filter((step) => step.from >= from && step.from < to).reduce<Record<string, unknown>>(
    (older, { up }) => up(older),
    recipe,
  );

/** An ink of one version of files in the shape of a later one. */
export const inkAt = (ink: Loose, from: number, to: number = RECIPE_VERSION): Record<string, unknown> =>
  RECIPE_MIGRATIONS.filter((step) => step.from >= from && step.from < to).reduce<Record<string, unknown>>(
    (older, { upInk }) => upInk?.(older) ?? older,
    ink,
  );

/** A recipe of an earlier version in today's shape. */
export const migrateRecipe = (
  recipe: Readonly<Record<string, unknown>>,
  version: number,
): Record<string, unknown> => recipeAt(recipe, version, Number.POSITIVE_INFINITY);
