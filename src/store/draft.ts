import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import type { Recipe } from '../core/recipe/recipe';
import type { RecipeRecord } from '../data/records';

/** How the draft stands to what is stored. */
export type SaveState = 'saved' | 'unsaved' | 'conflict' | 'failed';

/** The recipe in hand, with the way back and forth through its changes. */
export interface Draft {
  readonly recipe: Recipe | null;
  /** The stored revision it was opened from or last saved as. */
  readonly revision: number;
  readonly past: readonly Recipe[];
  readonly future: readonly Recipe[];
  /** Edits that follow each other with the same gesture, as in one drag, are one step back. */
  readonly gesture: string | null;
  readonly save: SaveState;
  /** Recipes that were left while they could not be saved. */
  readonly stranded: readonly Stranded[];
}

/** A recipe that is not stored yet, and the revision it was changed from. */
export interface Stranded {
  readonly recipe: Recipe;
  readonly revision: number;
}

/** A stored recipe comes onto the bench; nothing of another one is kept. */
export const opened = createAction<RecipeRecord>('draft/opened');
/** The recipe is gone, or none is open. */
export const closed = createAction('draft/closed');
/** The maker changed the recipe; `gesture` names a run of changes that is undone as one. */
export const edited = createAction<{ recipe: Recipe; gesture?: string }>('draft/edited');
/** The hand is off the handle: the next change is a step of its own. */
export const gestureEnded = createAction('draft/gestureEnded');
export const undone = createAction('draft/undone');
export const redone = createAction('draft/redone');
/** Storage has what was sent to it; the maker may have gone on since. */
export const saved = createAction<RecipeRecord>('draft/saved');
/** Another tab has saved the recipe in between. */
export const conflicted = createAction('draft/conflicted');
/** The browser refused to store it. */
export const saveFailed = createAction('draft/saveFailed');

/** The recipe in hand is left although it could not be saved. */
export const leftBehind = createAction<Stranded>('draft/leftBehind');
/** One that was left behind is stored by now, or given up. */
export const retrieved = createAction<string>('draft/retrieved');

const EMPTY: Draft = {
  recipe: null,
  revision: 0,
  past: [],
  future: [],
  gesture: null,
  save: 'saved',
  stranded: [],
};

/** How many steps back are kept. */
const MAX_STEPS = 200;

/** A plain reducer: recipes are values compared by identity, which a drafting proxy would hide. */
export function draftReducer(draft: Draft = EMPTY, action: UnknownAction): Draft {
  if (opened.match(action)) return openedDraft(draft, action.payload);
  if (closed.match(action)) return { ...EMPTY, stranded: draft.stranded };
  if (leftBehind.match(action)) {
    const others = draft.stranded.filter(({ recipe }) => recipe.id !== action.payload.recipe.id);
    return { ...draft, stranded: [...others, action.payload] };
  }
  if (retrieved.match(action))
    return { ...draft, stranded: draft.stranded.filter(({ recipe }) => recipe.id !== action.payload) };
  if (!draft.recipe) return draft;

  if (edited.match(action)) {
    const { recipe, gesture = null } = action.payload;
    if (recipe === draft.recipe) return draft;
    const goesOn = gesture !== null && gesture === draft.gesture;
    const past = goesOn ? draft.past : [...draft.past, draft.recipe].slice(-MAX_STEPS);
    return changed(draft, { recipe, past, future: [], gesture });
  }
  if (gestureEnded.match(action)) return draft.gesture === null ? draft : { ...draft, gesture: null };
  if (undone.match(action)) {
    const recipe = draft.past.at(-1);
    if (!recipe) return draft;
    const past = draft.past.slice(0, -1);
    return changed(draft, { recipe, past, future: [draft.recipe, ...draft.future], gesture: null });
  }
  if (redone.match(action)) {
    const [recipe, ...future] = draft.future;
    if (!recipe) return draft;
    return changed(draft, { recipe, past: [...draft.past, draft.recipe], future, gesture: null });
  }
  if (saved.match(action)) {
    const { id, recipe, revision } = action.payload;
    if (id !== draft.recipe.id) return draft;
    return { ...draft, revision, save: recipe === draft.recipe ? 'saved' : 'unsaved' };
  }
  if (conflicted.match(action)) return { ...draft, save: 'conflict' };
  if (saveFailed.match(action)) return { ...draft, save: 'failed' };
  return draft;
}

/** A stored recipe on the bench; where it was left unsaved before, that comes back instead. */
function openedDraft({ stranded }: Draft, { id, recipe, revision }: RecipeRecord): Draft {
  const left = stranded.find((one) => one.recipe.id === id && one.revision === revision);
  const others = stranded.filter((one) => one !== left);
  return left
    ? { ...EMPTY, ...left, save: 'unsaved', stranded: others }
    : { ...EMPTY, recipe, revision, stranded: others };
}

/** The draft after a change: to be saved, unless it is in conflict, which only the maker resolves. */
const changed = (draft: Draft, change: Pick<Draft, 'recipe' | 'past' | 'future' | 'gesture'>): Draft => ({
  ...draft,
  ...change,
  save: draft.save === 'conflict' ? 'conflict' : 'unsaved',
});
