import { useRecipeActions } from '../../app/recipes/recipeActions';
import { TagMenu } from '../../app/TagMenu';
import type { Tags } from '../../app/useTags';
import { Button } from '../../ui/Button';
import type { RecipeRow } from './filterRecipes';

interface Props {
  readonly rows: readonly RecipeRow[];
  readonly known: readonly string[];
  readonly tags: Tags;
  readonly onDone: () => void;
}

/** What can be done with several recipes at once. */
export function TakenRecipes({ rows, known, tags, onDone }: Props) {
  const actions = useRecipeActions();
  const ids = rows.map(({ id }) => id);
  const whole = rows.map(({ resolved }) => resolved);
  const none = rows.length === 0;
  return (
    <>
      <TagMenu ids={ids} known={known} tags={tags} />
      <Button disabled={none} onClick={() => tags.favour(ids, !rows.every(({ isFavourite }) => isFavourite))}>
        {!none && rows.every(({ isFavourite }) => isFavourite) ? 'No favourites' : 'Favourites'}
      </Button>
      <Button disabled={none} onClick={() => void actions.downloadAll(whole)}>
        Export
      </Button>
      <Button
        disabled={none}
        onClick={() => {
          void actions.removeAll(rows.map(({ record }) => record));
          onDone();
        }}
      >
        Delete
      </Button>
    </>
  );
}
