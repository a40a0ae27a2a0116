import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { dayOf } from '../../core/base/day';
import { counted } from '../../core/base/words';
import { type InkLesson, type Lessons, tellTaught, withLesson } from '../../core/keep/learn/lessons';
import { withChange } from '../../core/keep/log/changes';
import { type MadePanel, madeOf } from '../../core/keep/log/made';
import type { StepTime } from '../../core/keep/log/stepTime';
import { settle } from '../../core/recipe/editLadder';
import type { Recipe } from '../../core/recipe/recipe';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { changeRows } from '../../data/changes';
import type { Database } from '../../data/database';
import { changePanel, listPanels, logPanel, removePanels, restorePanels } from '../../data/panels';
import { useNotify } from '../../ui/Notices';
import { logWorker } from '../../workers/client';
import { heard } from '../../workers/door';
import { once } from '../once';
import { useRecipeActions } from '../recipes/recipeActions';
import { useDatabase, useSession } from '../session';

/** Today as a log has it. */
export const today = (): string => dayOf(Date.now());

/** What can be done with panels that were made; the same from the desk, the bench and the log. */
export function useLogActions() {
  const db = useDatabase();
  const { autosave } = useSession();
  const navigate = useNavigate();
  const notify = useNotify();
  const recipes = useRecipeActions();
  return useMemo(
    () => ({
      /** Logs the recipe in hand as a panel made today, and opens its page. */
      log: once(async (resolved: ResolvedRecipe, times: readonly StepTime[] = []) => {
        await autosave.flush();
        const panel = await logPanel(db, {
          date: today(),
          name: resolved.recipe.name,
          made: madeOf(resolved),
          readings: [],
          ...(times.length > 0 ? { times } : {}),
        });
        navigate(`/log/${panel.id}`);
      }),
      /** Changes what is said of a panel; `part` may go by what is said of it by then. */
      async change({ id }: MadePanel, part: Partial<MadePanel> | ((now: MadePanel) => Partial<MadePanel>)) {
        await changePanel(db, id, (now) => ({ ...now, ...(typeof part === 'function' ? part(now) : part) }));
      },
      async remove(panels: readonly MadePanel[]) {
        const gone = await removePanels(
          db,
          panels.map(({ id }) => id),
        );
        navigate('/log');
        notify({
          text: `${counted(gone.length, 'panel')} taken out of the log.`,
          undo: () => void restorePanels(db, gone),
        });
      },
      /** Opens the recipe as it was, as a new one; with what was to be done differently where that is asked for. */
      async again(panel: MadePanel, isChanged: boolean) {
        if (!panel.made) return;
        const { recipe } = panel.made;
        const changed = isChanged
          ? (panel.changes ?? []).reduce<Recipe>((now, change) => withChange(now, change), recipe)
          : recipe;
        await recipes.openNew(settle(changed));
      },
      /** Learns from the whole log anew, and puts what is taken on the shelf. */
      async learn(onStep: (done: number) => void = () => {}): Promise<Lessons> {
        const { lessons, cardTints, undo } = await learnFromLog(db, onStep);
        const taken = lessons.inks.filter(({ isTaken }) => isTaken);
        const [first] = taken.toSorted(byStrangeness);
        for (const { card, readings, off } of cardTints)
          notify({
            text: `${card.name} has a tint of its own, ΔE00 ${off.toFixed(1)} from what was predicted, by ${counted(readings, 'bare place')}.`,
          });
        notify({
          text: first
            ? `${counted(taken.length, 'ink')} learned from ${counted(lessons.readings, 'reading')}. ${tellTaught(first.ink, first.taught)}`
            : tellNothingTaken(lessons),
          ...(first ? { undo: () => void undo() } : {}),
        });
        return lessons;
      },
    }),
    [db, autosave, navigate, notify, recipes],
  );
}

/** Why nothing is taken: nothing was read, or what was read is as it was said to be. */
const tellNothingTaken = ({ readings, before }: Lessons): string =>
  readings === 0
    ? 'The log teaches nothing yet: read a panel first.'
    : `${counted(readings, 'reading')} ${readings === 1 ? 'lies' : 'lie'} ΔE00 ${before.median.toFixed(1)} from what was predicted, at the median: the inks are as their swatches say, and nothing is learned.`;

/** What is farthest from what its swatch says first. */
const byStrangeness = (p: InkLesson, q: InkLesson): number =>
  Math.abs(Math.log(q.taught.strength)) - Math.abs(Math.log(p.taught.strength));

async function learnFromLog(db: Database, onStep: (done: number) => void) {
  const [log, shelf, cards] = [await listPanels(db), await db.inks.toArray(), await db.cards.toArray()];
  const swatches = await db.swatches.toArray();
  const { lessons, dryBacks, cardTints } = await heard(onStep, (report) =>
    logWorker().learn(log, shelf, cards, swatches, report),
  );
  const byId = new Map(lessons.inks.map((lesson) => [lesson.ink.id, lesson]));
  const dryById = new Map(dryBacks.map(({ ink, dryBack }) => [ink.id, dryBack]));
  // Learning takes a while: what was changed on the shelf meanwhile stays.
  const inks = await changeRows(db.inks, [...new Set([...byId.keys(), ...dryById.keys()])], (ink) => {
    const [lesson, dryBack] = [byId.get(ink.id), dryById.get(ink.id)];
    return { ...withLesson(ink, lesson), ...(dryBack === undefined ? {} : { dryBack }) };
  });
  const tints = new Map(cardTints.map(({ card, colour }) => [card.id, colour]));
  const tinted = await changeRows(db.cards, [...tints.keys()], (card) => {
    const colour = tints.get(card.id);
    return colour ? { ...card, colour } : card;
  });
  const undo = async () => {
    await inks.undo();
    await tinted.undo();
  };
  return { lessons, cardTints, undo };
}
