import { Star } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { StoredPicture } from '../../app/panel/StoredPicture';
import { useRecipeActions } from '../../app/recipes/recipeActions';
import { useDatabase } from '../../app/session';
import { TileWall } from '../../app/TileWall';
import type { Tags } from '../../app/useTags';
import { cleanName } from '../../core/base/names';
import { renameRecipe } from '../../data/recipes';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { tellDate } from '../../ui/dates';
import { Menu } from '../../ui/Menu';
import { TypedField } from '../../ui/TypedField';
import type { RecipeRow } from './filterRecipes';
import { TakenRecipes } from './TakenRecipes';

interface Props {
  readonly rows: readonly RecipeRow[];
  readonly known: readonly string[];
  readonly tags: Tags;
}

/** Width a recipe asks for, height it takes with the room around it, and how high its picture is, px. */
const CARD = { width: 224, height: 372, picture: 224 } as const;

/** Recipes as small true pictures; only those in sight are drawn, so a thousand scroll like ten. */
export function RecipeGallery({ rows, known, tags }: Props) {
  const [taken, setTaken] = useState<ReadonlySet<string>>(new Set());
  const chosen = useMemo(() => rows.filter(({ id }) => taken.has(id)), [rows, taken]);
  const take = (id: string, on: boolean) =>
    setTaken((now) => new Set(on ? [...now, id] : [...now].filter((one) => one !== id)));
  return (
    <>
      <div className="flex min-h-11 flex-wrap items-center gap-2 border-y border-line px-4 py-1">
        <p aria-live="polite" className="mr-2 w-24 text-mute max-sm:w-full">
          {chosen.length === 0 ? 'None selected' : `${chosen.length} selected`}
        </p>
        <TakenRecipes rows={chosen} known={known} tags={tags} onDone={() => setTaken(new Set())} />
      </div>
      <TileWall label="Recipes" items={rows} tile={CARD}>
        {(row) => (
          <RecipeCard row={row} tags={tags} isTaken={taken.has(row.id)} onTake={(on) => take(row.id, on)} />
        )}
      </TileWall>
    </>
  );
}

interface CardProps {
  readonly row: RecipeRow;
  readonly tags: Tags;
  readonly isTaken: boolean;
  readonly onTake: (on: boolean) => void;
}

function RecipeCard({ row, tags, isTaken, onTake }: CardProps) {
  const db = useDatabase();
  const actions = useRecipeActions();
  const { record, resolved, isFavourite } = row;
  const { recipe } = record;
  const { panel } = recipe;
  const scale = Math.min(CARD.picture / panel.height, (CARD.width - 48) / panel.width);
  const rename = (typed: string): string | undefined => {
    const name = cleanName(typed);
    if (name === '' || name.length > 120) return 'A name has 1 to 120 letters.';
    void renameRecipe(db, recipe.id, name);
    return undefined;
  };
  return (
    <article
      aria-label={recipe.name}
      className={`flex h-full flex-col p-3 ${isTaken ? 'bg-field' : 'bg-pane'}`}
    >
      <div className="flex items-center justify-between">
        <Checkbox
          aria-label={`Select ${recipe.name}`}
          checked={isTaken}
          onChange={({ target }) => onTake(target.checked)}
        />
        <Button
          look="bare"
          aria-pressed={isFavourite}
          aria-label={`${recipe.name} is a favourite`}
          title="Favourite"
          onClick={() => tags.favour([recipe.id], !isFavourite)}
        >
          <Star size={15} aria-hidden="true" fill={isFavourite ? 'currentColor' : 'none'} />
        </Button>
      </div>
      <Link
        to={`/bench/${recipe.id}`}
        aria-label={`Open ${recipe.name} on the bench`}
        className="mx-auto mb-2 grid place-items-center"
        style={{ height: CARD.picture }}
      >
        <span className="block shadow-[0_1px_3px_#0006,0_6px_14px_-6px_#0006]">
          <StoredPicture
            resolved={resolved}
            width={Math.round(panel.width * scale)}
            height={Math.round(panel.height * scale)}
            label={`Panel of ${recipe.name}`}
          />
        </span>
      </Link>
      <div className="flex items-start gap-1">
        <div className="min-w-0 flex-1">
          <TypedField
            label={`Name of ${recipe.name}`}
            shown={recipe.name}
            onCommit={rename}
            isWide
            className="heading border-transparent bg-transparent hover:border-line"
          />
          <p className="truncate px-1.5 text-small">{resolved.inks.map(({ name }) => name).join(', ')}</p>
          <p className="truncate px-1.5 text-small text-mute">
            {[
              ...(resolved.missing ? ['something of it is gone'] : []),
              tellDate(record.updatedAt),
              ...row.tags,
            ].join(' · ')}
          </p>
        </div>
        <Menu
          label={`More for ${recipe.name}`}
          look="bare"
          items={[
            { label: 'Duplicate', onSelect: () => void actions.duplicate(recipe) },
            { label: 'Export', onSelect: () => void actions.download(resolved) },
            { label: 'Delete', onSelect: () => void actions.removeAll([record]) },
          ]}
        >
          …
        </Menu>
      </div>
    </article>
  );
}
