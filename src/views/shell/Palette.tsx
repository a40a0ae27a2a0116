import { Command } from 'cmdk';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useAllCommands, useTakeInk } from '../../app/commands';
import { type Findable, findAmong } from '../../app/find';
import { type Shelf, useDatabase, useShelf } from '../../app/session';
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
import { PALETTE_PLACE } from './palettePlace';

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
  typed,
  onType,
  onHelp,
  onClose,
}: {
  readonly typed: string;
  readonly onType: (typed: string) => void;
  readonly onHelp: () => void;
  readonly onClose: () => void;
}) {
  const db = useDatabase();
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
  const shown = found.slice(0, MOST);
  // The first stands chosen as soon as it is listed.
  const [picked, setPicked] = useState('');
  const chosen = shown.some(({ id }) => id === picked) ? picked : (shown[0]?.id ?? '');
  const take = ({ run }: Found) => {
    onClose();
    // What it opens takes the place of this dialog, once that is gone.
    queueMicrotask(run);
  };
  return (
    <Command.Dialog
      open
      value={chosen}
      onValueChange={setPicked}
      onKeyDown={(event) => {
        // Taken here: what is newly listed is marked a moment later, and Enter right after the last letter would do nothing.
        const first = shown.find(({ id }) => id === chosen);
        if (event.key !== 'Enter' || !first) return;
        event.preventDefault();
        take(first);
      }}
      shouldFilter={false}
      onOpenChange={(open) => !open && onClose()}
      label="Find anything"
      overlayClassName="fixed inset-0 z-40 bg-black/40"
      contentClassName={`${PALETTE_PLACE} p-2`}
    >
      <Command.Input
        value={typed}
        onValueChange={(now) => {
          setPicked('');
          onType(now);
        }}
        onFocus={({ currentTarget: field }) =>
          // The dialog selects what it gives the keys to: the next letter would take the place of those typed ahead.
          queueMicrotask(() => field.setSelectionRange(field.value.length, field.value.length))
        }
        placeholder="Type what to do, an ink, a colour, a recipe, a note"
        className="frame mb-2 min-h-11 w-full px-3 text-lead placeholder:text-mute"
      />
      <Command.List className="max-h-[55dvh] overflow-y-auto">
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
        {shown.map((thing) => (
          <Command.Item
            key={thing.id}
            value={thing.id}
            onSelect={() => take(thing)}
            className="flex min-h-8 cursor-pointer items-center gap-2.5 rounded-[2px] px-3 py-1.5 data-[selected=true]:bg-strong data-[selected=true]:text-on-strong max-sm:min-h-11"
          >
            {thing.dried && <InkDot ink={thing.dried.ink} className="size-4" />}
            <span className="min-w-0 flex-1 truncate">{thing.label}</span>
            {thing.dried && <span className="colour-name opacity-75">{plainColour(thing.dried.lab)}</span>}
            <span className="text-small opacity-75">{thing.key ?? thing.sort}</span>
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
        run: () => (takeInk ? takeInk(one.ink.id) : navigate(`/inks?ink=${one.ink.id}`)),
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
