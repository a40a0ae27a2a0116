import { Redo2, Undo2 } from 'lucide-react';
import { lazy, memo, Suspense, useState } from 'react';
import { CardSelect } from '../../app/CardSelect';
import { afterFirstPicture } from '../../app/panel/firstPicture';
import type { Shelf } from '../../app/session';
import type { Edit } from '../../app/useBench';
import type { Card } from '../../core/materials/card/card';
import type { Readings } from '../../core/readings/readings';
import { setPanel } from '../../core/recipe/editLadder';
import { PANEL_LIMITS, PANEL_SIZES, type Panel, samePanel } from '../../core/recipe/panel';
import type { Recipe } from '../../core/recipe/recipe';
import { RECIPE_LIMITS } from '../../core/recipe/recipe';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { redone, undone } from '../../store/draft';
import { useAppDispatch, useAppSelector } from '../../store/hooks';
import { viewSet } from '../../store/view';
import { Button } from '../../ui/Button';
import { LengthField } from '../../ui/LengthField';
import { Segmented } from '../../ui/Segmented';
import { Select } from '../../ui/Select';
import { TypedField } from '../../ui/TypedField';

const RecipeMenu = lazy(
  afterFirstPicture(() => import('./RecipeMenu').then((m) => ({ default: m.RecipeMenu }))),
);
const RunBar = lazy(afterFirstPicture(() => import('./RunBar').then((m) => ({ default: m.RunBar }))));
const VersionsDialog = lazy(() => import('./versions/VersionsDialog'));

interface Props {
  readonly name: string;
  readonly panel: Panel;
  readonly run: Recipe['run'];
  readonly tool: Recipe['tool'];
  readonly card: Card;
  readonly shelf: Shelf;
  readonly readings: Readings;
  readonly edit: Edit;
  /** A moment behind while the hand moves, so that a drag does not redraw all this. */
  readonly resolved: ResolvedRecipe;
}

/** What the recipe is called and lies on, and what can be done to the whole of it. */
export const BenchHeader = memo(function BenchHeader(props: Props) {
  const { name, panel, run, tool, card, shelf, readings, edit, resolved } = props;
  const [versions, setVersions] = useState(false);
  const dispatch = useAppDispatch();
  const canUndo = useAppSelector(({ draft }) => draft.past.length > 0);
  const canRedo = useAppSelector(({ draft }) => draft.future.length > 0);
  const wetness = useAppSelector(({ view }) => view.wetness);
  const rename = (wanted: string): string | undefined => {
    if (wanted.length > RECIPE_LIMITS.name) return `A name has at most ${RECIPE_LIMITS.name} letters.`;
    if (wanted === '') return 'A recipe needs a name.';
    edit((current) => ({ ...current, name: wanted }));
    return undefined;
  };
  return (
    <header className="space-y-2 px-4 pt-3 pb-2">
      <div className="flex flex-wrap items-center gap-2">
        <h1 className="sr-only">{name}</h1>
        <TypedField
          label="Name of the recipe"
          shown={name}
          onCommit={rename}
          className="heading w-[min(21rem,60vw)] border-transparent bg-transparent text-title hover:border-line"
        />
        <SaveSign />
        <Button
          look="bare"
          aria-label="Undo"
          title="Undo (Ctrl+Z)"
          disabled={!canUndo}
          onClick={() => dispatch(undone())}
        >
          <Undo2 size={17} aria-hidden="true" />
        </Button>
        <Button
          look="bare"
          aria-label="Redo"
          title="Redo (Ctrl+Shift+Z)"
          disabled={!canRedo}
          onClick={() => dispatch(redone())}
        >
          <Redo2 size={17} aria-hidden="true" />
        </Button>
        <Suspense fallback={<span className="w-16" />}>
          <RecipeMenu onVersions={() => setVersions(true)} />
        </Suspense>
      </div>
      <div className="flex flex-wrap items-center gap-2">
        <Segmented
          label="How the panel is shown"
          value={wetness}
          onChange={(next) => dispatch(viewSet({ wetness: next }))}
          options={[
            { value: 'dry', label: 'Dried', hint: 'As it is judged' },
            { value: 'wet', label: 'Wet', hint: 'As it looks under the brush' },
          ]}
        />
        <CardSelect
          cards={shelf.cards}
          value={card.id}
          onChange={(cardId) => edit((recipe) => ({ ...recipe, cardId }))}
          width="w-46"
        />
        <PanelChoice panel={panel} edit={edit} />
      </div>
      {versions && (
        <Suspense fallback={null}>
          <VersionsDialog resolved={resolved} shelf={shelf} onClose={() => setVersions(false)} />
        </Suspense>
      )}
      <Suspense fallback={<div className="min-h-7" />}>
        <RunBar
          {...{ run, panel, tool, readings, edit }}
          cards={shelf.cards}
          alsoOn={resolved.recipe.alsoOn}
        />
      </Suspense>
    </header>
  );
});

function SaveSign() {
  const save = useAppSelector(({ draft }) => draft.save);
  return (
    <span role="status" className="mr-auto w-14 text-mute">
      {save === 'saved' ? 'Saved' : save === 'unsaved' ? 'Saving' : 'Not saved'}
    </span>
  );
}

function PanelChoice({ panel, edit }: { readonly panel: Panel; readonly edit: Edit }) {
  const unit = useAppSelector(({ view }) => view.unit);
  const known = PANEL_SIZES.findIndex((size) => samePanel(size.panel, panel));
  const resize = (change: Partial<Panel>) =>
    edit((recipe) => setPanel(recipe, { ...recipe.panel, ...change }));
  return (
    <span className="inline-flex flex-wrap items-center gap-1.5">
      <Select
        label="Panel size"
        value={String(known)}
        options={[
          ...(known < 0 ? [{ value: '-1', label: 'own size' }] : []),
          ...PANEL_SIZES.map(({ label }, i) => ({ value: String(i), label })),
        ]}
        onChange={(i) => resize(PANEL_SIZES[Number(i)]?.panel ?? {})}
        width="w-40"
      />
      <LengthField
        label="Panel width"
        value={panel.width}
        unit={unit}
        range={PANEL_LIMITS}
        onChange={(width) => resize({ width })}
      />
      ×
      <LengthField
        label="Panel height"
        value={panel.height}
        unit={unit}
        range={PANEL_LIMITS}
        onChange={(height) => resize({ height })}
        suffix={unit}
      />
    </span>
  );
}
