import { Redo2, Undo2 } from 'lucide-react';
import { lazy, memo, Suspense, useState } from 'react';
import { CardSelect } from '../../app/CardSelect';
import { afterFirstPicture } from '../../app/panel/firstPicture';
import type { Shelf } from '../../app/session';
import type { Edit } from '../../app/useBench';
import { formatBare, parseLength } from '../../core/base/length';
import type { Card } from '../../core/materials/card/card';
import type { Readings } from '../../core/readings/readings';
import { setPanel } from '../../core/recipe/editLadder';
import { PANEL_LIMITS, PANEL_SIZES, type Panel } from '../../core/recipe/panel';
import type { Kit, Recipe } from '../../core/recipe/recipe';
import { redone, undone } from '../../store/draft';
import { useAppDispatch, useAppSelector } from '../../store/hooks';
import { viewSet } from '../../store/view';
import { Button } from '../../ui/Button';
import { Segmented } from '../../ui/Segmented';
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
  readonly kit: Kit;
}

/** What the recipe is called and lies on, and what can be done to the whole of it. */
export const BenchHeader = memo(function BenchHeader(props: Props) {
  const { name, panel, run, tool, card, shelf, readings, edit, kit } = props;
  const [versions, setVersions] = useState(false);
  const dispatch = useAppDispatch();
  const canUndo = useAppSelector(({ draft }) => draft.past.length > 0);
  const canRedo = useAppSelector(({ draft }) => draft.future.length > 0);
  const wetness = useAppSelector(({ view }) => view.wetness);
  const rename = (wanted: string): string | undefined => {
    if (wanted.length > 120) return 'A name has at most 120 letters.';
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
          className="heading w-[min(21rem,60vw)] border-transparent bg-transparent text-[17px] hover:border-line"
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
          className="w-46"
        />
        <PanelChoice panel={panel} edit={edit} />
      </div>
      {versions && (
        <Suspense fallback={null}>
          <VersionsDialog kit={kit} shelf={shelf} onClose={() => setVersions(false)} />
        </Suspense>
      )}
      <Suspense fallback={<div className="min-h-7" />}>
        <RunBar {...{ run, tool, readings, edit }} />
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

const FIELD = 'frame min-h-7 max-w-full px-1 py-0.5';

const same = (p: Panel, q: Panel) =>
  Math.abs(p.width - q.width) < 0.01 && Math.abs(p.height - q.height) < 0.01;

function PanelChoice({ panel, edit }: { readonly panel: Panel; readonly edit: Edit }) {
  const unit = useAppSelector(({ view }) => view.unit);
  const known = PANEL_SIZES.findIndex((size) => same(size.panel, panel));
  const side =
    (key: keyof Panel) =>
    (text: string): string | undefined => {
      const mm = parseLength(text, unit);
      const { least, most } = PANEL_LIMITS;
      if (mm === undefined || mm < least || mm > most)
        return `Type a length from ${formatBare(least, unit)} to ${formatBare(most, unit)} ${unit}.`;
      edit((recipe) => setPanel(recipe, { ...recipe.panel, [key]: mm }));
      return undefined;
    };
  return (
    <span className="inline-flex flex-wrap items-center gap-1.5">
      <select
        aria-label="Panel size"
        value={known}
        onChange={(event) => {
          const size = PANEL_SIZES[Number(event.target.value)];
          if (size) edit((recipe) => setPanel(recipe, size.panel));
        }}
        className={`${FIELD} w-40`}
      >
        {known < 0 && <option value={-1}>own size</option>}
        {PANEL_SIZES.map(({ label }, i) => (
          <option key={label} value={i}>
            {label}
          </option>
        ))}
      </select>
      <TypedField
        label={`Panel width, ${unit}`}
        shown={formatBare(panel.width, unit)}
        onCommit={side('width')}
        className={unit === 'mm' ? 'w-14 text-right' : 'w-18 text-right'}
      />
      ×
      <TypedField
        label={`Panel height, ${unit}`}
        shown={formatBare(panel.height, unit)}
        onCommit={side('height')}
        className={unit === 'mm' ? 'w-14 text-right' : 'w-18 text-right'}
        suffix={unit}
      />
    </span>
  );
}
