import { useCallback, useMemo } from 'react';
import { LadderPicture } from '../../app/panel/LadderPicture';
import { useRecipeActions } from '../../app/recipes/recipeActions';
import { useDatabase } from '../../app/session';
import { trioKey } from '../../core/choose/search/query';
import type { Card } from '../../core/materials/card/card';
import type { Ink } from '../../core/materials/ink/ink';
import { readingsOf } from '../../core/readings/readings';
import { newRecipe } from '../../core/recipe/newRecipe';
import { dropTrio, keepTrio, restoreTrio } from '../../data/kept';
import type { KeptTrio } from '../../data/records';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { useNotify } from '../../ui/Notices';

/** Puts a trio by, or takes it off again; both can be undone. */
export function useKeep(card: Card) {
  const db = useDatabase();
  const notify = useNotify();
  return useCallback(
    async (inks: readonly Ink[], isKept: boolean) => {
      const names = inks.map(({ name }) => name).join(', ');
      const id = trioKey(inks.map((ink) => ink.id));
      if (!isKept) {
        await keepTrio(db, inks, card.id);
        return notify({ text: `${names} is kept.`, undo: () => void dropTrio(db, id) });
      }
      const before = await db.kept.get(id);
      await dropTrio(db, id);
      notify({
        text: `${names} is no longer kept.`,
        ...(before ? { undo: () => void restoreTrio(db, before) } : {}),
      });
    },
    [db, card.id, notify],
  );
}

interface Props {
  readonly kept: readonly KeptTrio[];
  readonly inks: readonly Ink[];
  readonly cards: readonly Card[];
}

/** Trios put by, the last one first, each on the card it was kept for. */
export function KeptTrios({ kept, inks, cards }: Props) {
  const found = kept.flatMap((one) => {
    const own = one.inkIds.flatMap((id) => inks.find((ink) => ink.id === id) ?? []);
    const card = cards.find(({ id }) => id === one.cardId) ?? cards[0];
    return card && own.length === one.inkIds.length ? [{ id: one.id, own, card }] : [];
  });
  if (kept.length === 0)
    return <p className="p-6">Nothing is kept yet. Search trios, and press Keep on those to come back to.</p>;
  return (
    <section aria-label="Kept trios" className="min-h-0 flex-1 overflow-y-auto p-4">
      {found.length < kept.length && (
        <p className="mb-3">
          {kept.length - found.length} more cannot be shown: an ink of theirs is off the shelf.
        </p>
      )}
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(9.75rem,1fr))] gap-3">
        {found.map(({ id, own, card }) => (
          <KeptCard key={id} inks={own} card={card} />
        ))}
      </ul>
    </section>
  );
}

function KeptCard({ inks, card }: { readonly inks: readonly Ink[]; readonly card: Card }) {
  const wetness = useAppSelector(({ view }) => view.wetness);
  const { openNew } = useRecipeActions();
  const keep = useKeep(card);
  const { joints } = useMemo(() => readingsOf({ card, inks }), [card, inks]);
  const names = inks.map(({ name }) => name).join(', ');
  return (
    <li className="flex flex-col bg-pane p-3">
      <LadderPicture inks={inks} card={card} wetness={wetness} width={132} height={171} />
      <p className="mt-2 font-semibold">{names}</p>
      <p className="text-small">{joints.map(({ headline }) => headline).join('; ')}</p>
      <p className="text-small text-mute">on {card.name}</p>
      <div className="mt-auto flex flex-wrap gap-1 pt-2">
        <Button
          aria-label={`Open ${names} on the bench`}
          onClick={() => void openNew(newRecipe(names, inks, card))}
        >
          Open
        </Button>
        <Button aria-label={`Take off ${names}`} onClick={() => keep(inks, true)}>
          Take off
        </Button>
      </div>
    </li>
  );
}
