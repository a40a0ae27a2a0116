import { lazy, Suspense, useCallback, useEffect, useState } from 'react';
import { Navigate, useNavigate, useParams } from 'react-router';
import { afterFirstPicture } from '../../app/panel/firstPicture';
import { useRecipeActions } from '../../app/recipes/recipeActions';
import { WithRecipe } from '../../app/recipes/WithRecipe';
import { type Shelf, useSession } from '../../app/session';
import { useEdit } from '../../app/useBench';
import { memoOf } from '../../core/base/memo';
import { BARE, type Ink } from '../../core/materials/ink/ink';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { latestRecipe } from '../../data/recipes';
import { opened } from '../../store/draft';
import { useAppDispatch, useAppSelector } from '../../store/hooks';
import { BenchHeader } from './BenchHeader';
import { type Look, WHOLE } from './look';
import { PanelBoard } from './PanelBoard';
import { useAddPass } from './passes/useAddPass';
import { usePassReadings } from './passes/usePassReadings';
import type { Side } from './SideTabs';
import { useAim } from './useAim';
import { useCalm } from './useCalm';
import { useDroppedRecipe } from './useDroppedRecipe';

/** Loaded beside the rest, with what they compute by; the panel does not wait for them. */
const RailColumn = lazy(
  afterFirstPicture(() => import('./RailColumn').then((m) => ({ default: m.RailColumn }))),
);
const StepsStrip = lazy(
  afterFirstPicture(() => import('./StepsStrip').then((m) => ({ default: m.StepsStrip }))),
);
const BenchCommands = lazy(
  afterFirstPicture(() => import('./BenchCommands').then((m) => ({ default: m.BenchCommands }))),
);
const ReadingsColumn = lazy(
  afterFirstPicture(() => import('./ReadingsColumn').then((m) => ({ default: m.ReadingsColumn }))),
);
const SearchAhead = lazy(
  afterFirstPicture(() => import('./SearchAhead').then((m) => ({ default: m.SearchAhead }))),
);
const Conflict = lazy(afterFirstPicture(() => import('./Conflict').then((m) => ({ default: m.Conflict }))));
const SideTabs = lazy(afterFirstPicture(() => import('./SideTabs').then((m) => ({ default: m.SideTabs }))));
const RuleFindings = lazy(
  afterFirstPicture(() => import('./RuleFindings').then((m) => ({ default: m.RuleFindings }))),
);
const MissingParts = lazy(() => import('./MissingParts').then((m) => ({ default: m.MissingParts })));
const SeenDialog = lazy(() => import('./seen/SeenDialog'));
const PassesColumn = lazy(() => import('./passes/PassesColumn').then((m) => ({ default: m.PassesColumn })));

/** The main view: one recipe on the bench, with the rail, the panel, its readings and its order of work. */
export function BenchView() {
  const { recipeId } = useParams();
  const { db } = useSession();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const onBench = useAppSelector(({ draft }) => draft.recipe?.id);

  useEffect(() => {
    if (!db || recipeId || onBench) return;
    latestRecipe(db).then((latest) => {
      if (latest) dispatch(opened(latest));
      else navigate('/recipes', { replace: true });
    });
  }, [db, recipeId, onBench, navigate, dispatch]);

  if (!recipeId && onBench) return <Navigate to={`/bench/${onBench}`} replace />;
  return (
    <WithRecipe waiting="Opening the bench …">
      {(resolved, shelf) => <Bench resolved={resolved} shelf={shelf} />}
    </WithRecipe>
  );
}

/** The inks, and bare card, which a rung may be of. */
const withBare = memoOf((inks: readonly Ink[]): readonly Ink[] => [...inks, BARE]);

function Bench({ resolved, shelf }: { readonly resolved: ResolvedRecipe; readonly shelf: Shelf }) {
  const { unit, wetness } = useAppSelector(({ view }) => view);
  const { edit, endGesture } = useEdit();
  const inks = withBare(shelf.inks);
  const [side, setSide] = useState<Side>('readings');
  const [pass, setPass] = useState<string>();
  const [seen, setSeen] = useState(false);
  const [look, setLook] = useState<Look>(WHOLE);
  const onLook = useCallback((change: Partial<Look>) => setLook((now) => ({ ...now, ...change })), []);
  const navigate = useNavigate();
  const actions = useRecipeActions();
  const recipeId = resolved.recipe.id;
  const go = useCallback(
    (where: 'sheet' | 'desk') => void navigate(`/${where}/${recipeId}`),
    [navigate, recipeId],
  );
  const askSeen = useCallback(() => setSeen(true), []);
  const showPass = useCallback((id: string) => {
    setSide('passes');
    setPass(id);
  }, []);
  const drop = useDroppedRecipe();
  // The panel follows the hand at once; what is written about it may come a moment later.
  const calm = useCalm(resolved);
  const passOn = useCallback(() => void actions.download(calm), [actions, calm]);
  const addOne = useAddPass(calm, shelf, edit, showPass);
  const passes = usePassReadings(calm, shelf.inks);
  const { aim, aimAt, setChosen, addRung } = useAim(resolved.recipe);

  return (
    <main
      {...drop.target}
      className="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[14.75rem_minmax(0,1fr)_20rem] lg:grid-rows-[1fr_auto] 2xl:grid-cols-[19rem_minmax(0,1fr)_24rem]"
    >
      <Suspense
        fallback={
          <div className="order-2 min-h-[30rem] border-line bg-pane lg:order-none lg:min-h-112 lg:border-r" />
        }
      >
        <RailColumn {...{ resolved, inks, aim, edit }} onAim={setChosen} />
      </Suspense>
      <section aria-label="Panel" className="order-1 flex min-w-0 flex-col bg-mat lg:order-none">
        <BenchHeader {...{ shelf, edit, look, onLook }} resolved={calm} onAddRung={addRung} />
        <Suspense fallback={null}>
          <Conflict resolved={resolved} />
        </Suspense>
        {resolved.missing && (
          <Suspense fallback={null}>
            <MissingParts missing={resolved.missing} />
          </Suspense>
        )}
        <PanelBoard
          {...{ resolved, unit, wetness, edit, look, onLook }}
          onDone={endGesture}
          selected={side === 'passes' ? pass : undefined}
        />
      </section>
      <div className="order-3 flex min-h-0 flex-col border-line bg-pane lg:order-none lg:border-l">
        <div className="flex items-center border-b border-line px-3 pt-2">
          <Suspense fallback={<span className="min-h-8" />}>
            <SideTabs side={side} passes={resolved.recipe.passes.length} onSide={setSide} onSeen={askSeen} />
          </Suspense>
        </div>
        {side === 'readings' ? (
          <Suspense fallback={<p className="p-4 text-mute">Reading the ladder …</p>}>
            <ReadingsColumn
              {...{ inks, unit, edit }}
              resolved={calm}
              aimed={typeof aim === 'object' ? aim.rung : undefined}
              onAim={aimAt}
            />
          </Suspense>
        ) : (
          <Suspense fallback={<p className="p-4 text-mute">Setting out the passes …</p>}>
            <PassesColumn
              resolved={resolved}
              shelf={shelf}
              readings={passes}
              edit={edit}
              selected={pass}
              onSelect={setPass}
              onAdd={addOne}
            />
          </Suspense>
        )}
        <Suspense fallback={null}>
          <RuleFindings {...{ passes, shelf, edit }} resolved={calm} isBehind={calm !== resolved} />
        </Suspense>
      </div>
      <div className="order-4 min-w-0 lg:col-span-3">
        <Suspense fallback={<div className="h-46 border-t border-line bg-sheet" />}>
          <StepsStrip resolved={calm} unit={unit} edit={edit} />
        </Suspense>
      </div>
      <Suspense fallback={null}>
        <BenchCommands
          {...{ edit, look, onLook }}
          resolved={calm}
          onAdd={addOne}
          onSeen={askSeen}
          onExport={passOn}
          onGo={go}
        />
      </Suspense>
      {/* By itself: the keys are not to wait for it. */}
      <Suspense fallback={null}>
        <SearchAhead shelf={shelf} recipe={resolved.recipe} />
      </Suspense>
      {seen && (
        <Suspense fallback={null}>
          <SeenDialog {...{ resolved, edit }} shelf={shelf.inks} onClose={() => setSeen(false)} />
        </Suspense>
      )}
      {drop.refusal}
    </main>
  );
}
