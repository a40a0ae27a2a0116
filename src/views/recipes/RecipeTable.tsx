import { createColumnHelper } from '@tanstack/react-table';
import { useMemo } from 'react';
import { Link } from 'react-router';
import type { Tags } from '../../app/useTags';
import { RUNS } from '../../core/recipe/runs/runs';
import { tellDate } from '../../ui/dates';
import { DrawerTable } from '../../ui/table/DrawerTable';
import type { RecipeRow } from './filterRecipes';
import { TakenRecipes } from './TakenRecipes';

interface Props {
  readonly rows: readonly RecipeRow[];
  readonly known: readonly string[];
  readonly tags: Tags;
}

/** Recipes as a list. */
export function RecipeTable({ rows, known, tags }: Props) {
  const columns = useMemo(() => {
    const column = createColumnHelper<RecipeRow>();
    return [
      column.accessor(({ record }) => record.recipe.name, {
        id: 'name',
        header: 'Name',
        size: 240,
        enableHiding: false,
        cell: ({ getValue, row }) => (
          <Link
            to={`/bench/${row.id}`}
            aria-label={`Open ${getValue()} on the bench`}
            className="font-semibold underline-offset-4 hover:underline"
          >
            {getValue()}
          </Link>
        ),
      }),
      column.accessor(({ ladder }) => ladder.inks.map(({ name }) => name).join(', '), {
        id: 'inks',
        header: 'Inks',
        size: 260,
      }),
      column.accessor(({ ladder }) => ladder.card.name, { id: 'card', header: 'Card' }),
      column.accessor(({ record }) => RUNS[record.recipe.run.id].label, { id: 'run', header: 'Run' }),
      column.accessor(({ record }) => record.recipe.passes.length, { id: 'over', header: 'Over the blend' }),
      column.accessor(({ tags: own }) => own.join(', '), { id: 'tags', header: 'Tags' }),
      column.accessor(({ isFavourite }) => (isFavourite ? 'favourite' : ''), {
        id: 'favourite',
        header: 'Favourite',
      }),
      column.accessor(({ record }) => record.updatedAt, {
        id: 'changed',
        header: 'Changed',
        sortDescFirst: true,
        cell: ({ getValue }) => tellDate(getValue()),
      }),
      column.accessor(({ record }) => record.createdAt, {
        id: 'made',
        header: 'Begun',
        cell: ({ getValue }) => tellDate(getValue()),
      }),
    ];
  }, []);
  return (
    <DrawerTable
      label="Recipes"
      nameOf={({ record }) => record.recipe.name}
      rows={rows}
      columns={columns}
      sorted={[{ id: 'changed', desc: true }]}
      hidden={['made', 'favourite']}
      actions={(taken, drop) => <TakenRecipes rows={taken} known={known} tags={tags} onDone={drop} />}
    />
  );
}
