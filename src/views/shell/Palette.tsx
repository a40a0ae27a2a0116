import { Command } from 'cmdk';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useAllCommands, useTakeInk } from '../../app/commands';
import { type Findable, findAmong } from '../../app/find';
import { type Shelf, useSession, useShelf } from '../../app/session';
import { useDriedShelf } from '../../app/useDriedShelf';
import { GLOSSARY } from '../../core/base/glossary';
import { nearColour, spokenColour } from '../../core/choose/shelf/colourWord';
import { bareGround } from '../../core/engine/blend';
import { plainColour } from '../../core/materials/colour/plainWords';
import { INK_KINDS } from '../../core/materials/ink/kinds';
import type { DriedInk } from '../../core/readings/driedShelf';
import { usualCard } from '../../core/recipe/newRecipe';
import { listRecipes } from '../../data/recipes';
import type { RecipeRecord } from '../../data/records';
import { InkDot } from '../../ui/InkDot';

/** Something that can be found, and what finding it does. */
interface Found extends Findable {
  readonly key?: string;
  readonly dried?: DriedInk;
  readonly run: () => void;
}

/** So many at the most; the rest is reached by typing more. */
const MOST = 40;
const MOST_BY_COLOUR = 8;

/** Everything that can be done or opened, by what people call it: commands, inks by name and colour, recipes, notes, cards, designs. */
export default function Palette({
  onHelp,
  onClose,
}: {
  readonly onHelp: () => void;
  readonly onClose: () => void;
}) {
  const [typed, setTyped] = useState('');
  const { db } = useSession();
  const recipes = useLiveQuery(() => listRecipes(db), [db]);
  const shelf = useShelf();
  const card = shelf && usualCard(shelf.cards);
  const dried = useDriedShelf(
    shelf?.inks ?? NO_INKS,
    useMemo(() => card && bareGround(card), [card]),
  );
  const things = useThings(recipes, shelf, dried, onHelp);
  const isReading = !recipes || !shelf;
  const found = useMemo(() => {
    if (typed.trim() === '') return things.filter(({ sort }) => !DRAWERS.has(sort));
    const named = findAmong(things, typed, !isReading);
    const spoken = spokenColour(typed);
    const inks = things.flatMap((thing) => (thing.dried ? [{ thing, lab: thing.dried.lab }] : []));
    const coloured = spoken
      ? nearColour(spoken, inks)
          .slice(0, MOST_BY_COLOUR)
          .map(({ thing }) => thing)
      : [];
    // A name that is met comes first, unless what was typed is a colour and nothing is called by it.
    return [...new Set([...named, ...coloured])];
  }, [things, typed, isReading]);
  return (
    <Command.Dialog
      open
      shouldFilter={false}
      onOpenChange={(open) => !open && onClose()}
      label="Find anything"
      overlayClassName="fixed inset-0 z-40 bg-black/40"
      contentClassName="fixed top-[12vh] left-1/2 z-50 w-[min(36rem,94vw)] -translate-x-1/2 rounded-[3px] border border-line bg-sheet p-2 shadow-xl"
    >
      <Command.Input
        value={typed}
        onValueChange={setTyped}
        placeholder="Type what to do, an ink, a colour, a recipe, a note"
        className="frame mb-2 min-h-11 w-full px-3 text-lead placeholder:text-mute"
      />
      <Command.List className="max-h-[55vh] overflow-y-auto">
        {found.length === 0 && (
          <Command.Item disabled value="nothing found" className="p-3">
            {isReading ? (
              'Reading your shelf and recipes …'
            ) : (
              <>
                Nothing is called “{typed}”. Look for what to do (new recipe, print, cut, export), an ink or a
                colour (turquoise, dusty pink), a recipe, a note to a step, a card, a design or a setting.
              </>
            )}
          </Command.Item>
        )}
        {found.slice(0, MOST).map(({ id, label, sort, key, dried: ink, run }) => (
          <Command.Item
            key={id}
            value={id}
            onSelect={() => {
              onClose();
              // What it opens takes the place of this dialog, once that is gone.
              queueMicrotask(run);
            }}
            className="flex min-h-8 cursor-pointer items-center gap-2.5 rounded-[2px] px-3 py-1.5 data-[selected=true]:bg-strong data-[selected=true]:text-on-strong max-sm:min-h-11"
          >
            {ink && <InkDot ink={ink.ink} className="size-4" />}
            <span className="min-w-0 flex-1 truncate">{label}</span>
            {ink && <span className="colour-name opacity-75">{plainColour(ink.lab)}</span>}
            <span className="text-small opacity-75">{key ?? sort}</span>
          </Command.Item>
        ))}
      </Command.List>
    </Command.Dialog>
  );
}

const NO_INKS: Shelf['inks'] = [];
/** What stands in drawers is found by typing; until then only what can be done is listed, and the recipes. */
const DRAWERS: ReadonlySet<string> = new Set(['ink', 'card', 'design', 'note', 'word']);

function useThings(
  recipes: readonly RecipeRecord[] | undefined,
  shelf: Shelf | undefined,
  dried: readonly DriedInk[],
  onHelp: () => void,
): readonly Found[] {
  const commands = useAllCommands();
  const navigate = useNavigate();
  const takeInk = useTakeInk();
  return useMemo(() => {
    const go = (to: string) => () => navigate(to);
    return [
      ...commands.map(({ group, ...command }) => ({ ...command, sort: group })),
      ...(recipes ?? []).map(({ id, recipe }) => ({
        id: `recipe ${id}`,
        label: recipe.name,
        sort: 'recipe',
        run: go(`/bench/${id}`),
      })),
      ...dried.map((one) => ({
        id: `ink ${one.ink.id}`,
        label: one.ink.name,
        also: [
          plainColour(one.lab),
          one.colour.name,
          INK_KINDS[one.ink.kind].label,
          one.ink.family,
          one.ink.note,
        ]
          .filter(Boolean)
          .join(' '),
        sort: 'ink',
        dried: one,
        run: () => (takeInk ? takeInk(one.ink.id) : navigate(`/shelf?ink=${one.ink.id}`)),
      })),
      ...(recipes ?? []).flatMap(({ id, recipe }) =>
        Object.entries(recipe.notes ?? {}).map(([step, note]) => ({
          id: `note ${id} ${step}`,
          label: note,
          also: recipe.name,
          sort: 'note',
          run: go(`/sheet/${id}`),
        })),
      ),
      ...GLOSSARY.map(({ term, meaning }) => ({
        id: `word ${term}`,
        label: `${term}: ${meaning}`,
        sort: 'word',
        run: onHelp,
      })),
      ...(shelf?.cards ?? []).map(({ id, name }) => ({
        id: `card ${id}`,
        label: name,
        sort: 'card',
        run: go('/cards'),
      })),
      ...(shelf?.designs ?? []).map(({ id, name, use }) => ({
        id: `design ${id}`,
        label: name,
        also: use,
        sort: 'design',
        run: go('/designs'),
      })),
    ];
  }, [commands, recipes, shelf, dried, takeInk, navigate, onHelp]);
}
