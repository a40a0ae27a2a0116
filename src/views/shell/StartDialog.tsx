import { proxy } from 'comlink';
import { Dialog } from 'radix-ui';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { InkChoice } from '../../app/InkChoice';
import { LadderPicture } from '../../app/panel/LadderPicture';
import { useRecipeActions } from '../../app/recipes/recipeActions';
import { type Shelf, useShelf } from '../../app/session';
import { useAnswer } from '../../app/useAnswer';
import { startRecipe } from '../../core/advise/startRecipe';
import { trioRecipe } from '../../core/advise/trioRecipe';
import { NO_CONSTRAINTS, type TrioQuery } from '../../core/choose/search/query';
import type { Card } from '../../core/materials/card/card';
import type { Ink } from '../../core/materials/ink/ink';
import { INK_KINDS } from '../../core/materials/ink/kinds';
import { usualCard, wholeFamilies } from '../../core/recipe/newRecipe';
import type { Recipe } from '../../core/recipe/recipe';
import { Button } from '../../ui/Button';
import { Modal } from '../../ui/Modal';
import { Segmented } from '../../ui/Segmented';
import { searcher } from '../../workers/client';

interface Props {
  readonly onTour: () => void;
  readonly onClose: () => void;
}

type Way = 'family' | 'pair' | 'resist' | 'chance';

const WAYS: Readonly<Record<Way, { readonly label: string; readonly told: string }>> = {
  family: {
    label: 'One colour in three depths',
    told: 'Press a colour: pale at the top, a third of each to the eye.',
  },
  pair: { label: 'Two inks I love', told: 'Choose two; what becomes of them is told on the bench.' },
  resist: {
    label: 'A resist, light and dark',
    told: 'Three light inks, a clear resist over them, and one dark over all.',
  },
  chance: { label: 'Chance', told: 'Three depths of a colour, drawn from all that your shelf can do.' },
};

/** What a new recipe starts from, as makers do; each way leads to the bench. */
export default function StartDialog({ onTour, onClose }: Props) {
  const shelf = useShelf();
  const navigate = useNavigate();
  const [way, setWay] = useState<Way>('family');
  const { openNew } = useRecipeActions();
  const card = shelf && usualCard(shelf.cards);
  const open = (recipe: Recipe) => {
    onClose();
    void openNew(recipe);
  };
  const go = (to: string) => () => {
    onClose();
    navigate(to);
  };
  return (
    <Modal lies="middle" className="w-[min(54rem,96vw)]" onClose={onClose}>
      <Dialog.Title className="heading text-title">A new recipe starts from …</Dialog.Title>
      <div className="mt-2 flex flex-wrap items-center gap-x-1">
        <Segmented<Way>
          label="What it starts from"
          value={way}
          onChange={setWay}
          options={Object.entries(WAYS).map(([value, { label }]) => ({ value: value as Way, label }))}
        />
        <Button look="bare" className="text-mute hover:text-text" onClick={go('/choose?way=match')}>
          A picture …
        </Button>
        <Button look="bare" className="text-mute hover:text-text" onClick={go('/choose')}>
          A trio found …
        </Button>
      </div>
      <p className="sentence mt-3 mb-3">{WAYS[way].told}</p>
      <div className="min-h-64">
        {!shelf ? (
          <p className="text-mute">Reading your shelf …</p>
        ) : !card ? (
          <p>A recipe needs a card, and the drawer has none. Add one under Cards.</p>
        ) : (
          <WayOf way={way} {...{ shelf, card }} onOpen={open} />
        )}
      </div>
      <p className="mt-4 flex justify-end gap-2">
        <Button look="bare" className="mr-auto underline underline-offset-4" onClick={onTour}>
          Show me round the bench
        </Button>
        <Button onClick={onClose}>Cancel</Button>
      </p>
    </Modal>
  );
}

interface WayProps {
  readonly shelf: Shelf;
  readonly card: Card;
  readonly onOpen: (recipe: Recipe) => void;
}

function WayOf({ way, ...props }: WayProps & { readonly way: Way }) {
  if (way === 'family') return <Families {...props} />;
  if (way === 'pair') return <Pair {...props} />;
  return <Drawn key={way} way={way} {...props} />;
}

const SIZE = { width: 76, height: 98 } as const;

interface PanelsProps {
  readonly of: readonly { readonly name: string; readonly inks: readonly Ink[] }[];
  readonly card: Card;
  readonly onChoose: (inks: readonly Ink[], name: string) => void;
}

/** Small panels to press. */
const Panels = ({ of, card, onChoose }: PanelsProps) => (
  <ul className="grid max-h-[52dvh] grid-cols-[repeat(auto-fill,minmax(6.25rem,1fr))] gap-2 overflow-y-auto p-1">
    {of.map(({ name, inks }) => (
      <li key={inks.map(({ id }) => id).join(' ')}>
        <button
          type="button"
          aria-label={`Start from ${name}`}
          onClick={() => onChoose(inks, name)}
          className="flex w-full flex-col items-center gap-1.5 rounded-[3px] p-2 hover:bg-field"
        >
          <LadderPicture {...{ inks, card }} wetness="dry" {...SIZE} />
          <span className="w-full text-center leading-tight font-semibold">{name}</span>
        </button>
      </li>
    ))}
  </ul>
);

function Families({ shelf, card, onOpen }: WayProps) {
  const families = useMemo(
    () => wholeFamilies(shelf.inks).map((inks) => ({ name: inks[0]?.family ?? '', inks })),
    [shelf.inks],
  );
  if (families.length === 0)
    return (
      <p>No colour of yours is there in three depths yet. Start from two inks, or add inks under Inks.</p>
    );
  return (
    <Panels
      of={families}
      card={card}
      onChoose={(inks, name) => onOpen(startRecipe(`${name} in three depths`, inks, card))}
    />
  );
}

function Pair({ shelf, card, onOpen }: WayProps) {
  const inks = useMemo(
    () => shelf.inks.filter(({ kind, wished }) => INK_KINDS[kind].blends && !wished),
    [shelf.inks],
  );
  const [ids, setIds] = useState<readonly [string, string]>(['', '']);
  const chosen = ids.flatMap((id) => inks.find((ink) => ink.id === id) ?? []);
  const two = chosen.length === 2 && ids[0] !== ids[1];
  return (
    <div className="flex flex-wrap gap-6">
      <div className="w-64 space-y-2">
        <InkChoice
          label="First ink"
          none="the first ink"
          inks={inks}
          value={ids[0]}
          onChange={(id) => setIds([id, ids[1]])}
        />
        <InkChoice
          label="Second ink"
          none="the second ink"
          inks={inks}
          value={ids[1]}
          onChange={(id) => setIds([ids[0], id])}
        />
        {ids[0] !== '' && ids[0] === ids[1] && <p role="status">Choose two different inks.</p>}
        <Button
          look="strong"
          disabled={!two}
          onClick={() => onOpen(startRecipe(chosen.map(({ name }) => name).join(' and '), chosen, card))}
        >
          Lay the two
        </Button>
      </div>
      {two && <LadderPicture inks={chosen} card={card} wetness="dry" width={150} height={194} />}
    </div>
  );
}

/** How many are shown to choose from. */
const SHOWN = 12;

/** Trios drawn by the search: by chance, or those fit to lie under one dark. */
function Drawn({ way, shelf, card, onOpen }: WayProps & { readonly way: Way }) {
  const found = useAnswer(
    useMemo(() => {
      const inks = shelf.inks.filter(({ kind }) => INK_KINDS[kind].blends);
      const query: TrioQuery = {
        relation: way === 'resist' ? 'lightAndDark' : 'tonal',
        constraints: { ...NO_CONSTRAINTS, ownedOnly: true },
        sort: way === 'chance' ? 'chance' : 'fit',
        seed: 1 + Math.floor(Math.random() * 9999),
        keep: 300,
      };
      return async () =>
        (
          await searcher().search(
            inks,
            card,
            query,
            proxy(() => {}),
          )
        )?.found.slice(0, SHOWN) ?? [];
    }, [way, shelf.inks, card]),
    'nothing',
  );
  if (!found) return <p role="status">Weighing every trio of your shelf …</p>;
  if (found.length === 0) return <p>Your shelf has none. Start from two inks, or add inks under Inks.</p>;
  return (
    <Panels
      of={found.map(({ inks }) => ({ name: inks.map(({ name }) => name).join(', '), inks }))}
      card={card}
      onChoose={(inks, name) =>
        onOpen(
          way === 'resist' ? trioRecipe(inks, card, 'lightAndDark', shelf) : startRecipe(name, inks, card),
        )
      }
    />
  );
}
