import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Recipe } from '../core/recipe/recipe';
import { ink, resolvedOf } from '../testing/resolvedRecipes';
import {
  closed,
  conflicted,
  type Draft,
  draftReducer,
  edited,
  gestureEnded,
  opened,
  redone,
  saved,
  saveFailed,
  undone,
} from './draft';
import { makeStore } from './store';
import { rememberedView, viewSet } from './view';

const { recipe: first } = resolvedOf([ink('Gorse', '#f2c230'), ink('Tarn', '#1f4f7a')]);
const record = { id: first.id, recipe: first, revision: 3, createdAt: 0, updatedAt: 0 };
const start = draftReducer(undefined, opened(record));
const named = (name: string): Recipe => ({ ...first, name });

/** The way back and forth as a plain list of states with a place in it. */
interface Model {
  states: string[];
  at: number;
  gesture: string | null;
}
interface Move {
  readonly act: (draft: Draft) => Draft;
  readonly model: (model: Model) => void;
}
const change = (name: string, gesture?: string): Move => ({
  act: (draft) => draftReducer(draft, edited({ recipe: named(name), ...(gesture ? { gesture } : {}) })),
  model: (model) => {
    const goesOn = gesture !== undefined && gesture === model.gesture;
    model.states = [...model.states.slice(0, goesOn ? model.at : model.at + 1), name];
    model.at = model.states.length - 1;
    model.gesture = gesture ?? null;
  },
});
const step = (action: typeof undone | typeof redone, by: -1 | 1): Move => ({
  act: (draft) => draftReducer(draft, action()),
  model: (model) => {
    if (model.states[model.at + by] === undefined) return;
    model.at += by;
    model.gesture = null;
  },
});
const end: Move = {
  act: (draft) => draftReducer(draft, gestureEnded()),
  model: (model) => {
    model.gesture = null;
  },
};
const anyMove = fc.oneof(
  fc.tuple(fc.string(), fc.constantFrom(undefined, 'mark 1', 'mark 2')).map(([name, g]) => change(name, g)),
  fc.constant(step(undone, -1)),
  fc.constant(step(redone, 1)),
  fc.constant(end),
);

test('whatever is done, undone and done again: the draft is where a plain list of its states says', () => {
  fc.assert(
    fc.property(fc.array(anyMove, { maxLength: 40 }), (moves) => {
      const model: Model = { states: [first.name], at: 0, gesture: null };
      let draft = start;
      for (const { act, model: follow } of moves) {
        draft = act(draft);
        follow(model);
        expect(draft.recipe?.name).toBe(model.states[model.at]);
        expect(draft.past.map(({ name }) => name)).toEqual(model.states.slice(0, model.at));
        expect(draft.future.map(({ name }) => name)).toEqual(model.states.slice(model.at + 1));
      }
    }),
  );
});

describe('how the draft stands to what is stored', () => {
  const changed = draftReducer(start, edited({ recipe: named('changed') }));

  test('a change is unsaved until storage has just that; gone on since, it is unsaved still', () => {
    expect(changed.save).toBe('unsaved');
    const stored = { ...record, recipe: changed.recipe as Recipe, revision: 4 };
    expect(draftReducer(changed, saved(stored))).toMatchObject({ save: 'saved', revision: 4 });
    const goneOn = draftReducer(changed, edited({ recipe: named('further') }));
    expect(draftReducer(goneOn, saved(stored))).toMatchObject({ save: 'unsaved', revision: 4 });
    expect(draftReducer(changed, saved({ ...stored, id: 'another' }))).toBe(changed);
  });

  test('a conflict stays through further changes and undoing: only the maker ends it; a failed save is tried again', () => {
    const torn = draftReducer(changed, conflicted());
    expect(draftReducer(torn, edited({ recipe: named('further') })).save).toBe('conflict');
    expect(draftReducer(torn, undone()).save).toBe('conflict');
    expect(draftReducer(torn, opened(record)).save).toBe('saved');
    const failed = draftReducer(changed, saveFailed());
    expect(failed.save).toBe('failed');
    expect(draftReducer(failed, edited({ recipe: named('further') })).save).toBe('unsaved');
  });

  test('with nothing open there is nothing to change or to undo', () => {
    const empty = draftReducer(changed, closed());
    for (const action of [edited({ recipe: first }), undone(), redone(), conflicted()])
      expect(draftReducer(empty, action)).toBe(empty);
  });
});

test('of remembered settings only those come back that are still a choice', () => {
  const store = makeStore();
  store.dispatch(
    viewSet(
      rememberedView({
        unit: 'in',
        surround: 'pink',
        letterKeys: false,
        wetness: 3,
        numbers: true,
        grain: 'no',
        paper: 'A3',
      }),
    ),
  );
  expect(store.getState().view).toEqual({
    unit: 'in',
    wetness: 'dry',
    surround: 'light',
    letterKeys: false,
    numbers: true,
    grain: true,
    paper: 'A4',
  });
  expect(rememberedView({ grain: false })).toEqual({ grain: false });
  for (const odd of [undefined, null, 'in', 7, []]) expect(rememberedView(odd)).toEqual({});
});
