import { lazy, Suspense, useCallback, useEffect, useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { afterFirstPicture, firstPicture } from '../../app/panel/firstPicture';
import { WithKit } from '../../app/recipes/WithKit';
import { type Shelf, useSession } from '../../app/session';
import { useEdit, useReadings } from '../../app/useBench';
import { useDriedShelf } from '../../app/useDriedShelf';
import { BARE } from '../../core/materials/ink/ink';
import type { DriedInk } from '../../core/readings/driedShelf';
import { addRung, nearestRung, placeForNew, setInk } from '../../core/recipe/editLadder';
import { type Kit, RUNG_LIMITS } from '../../core/recipe/recipe';
import { latestRecipe } from '../../data/recipes';
import { opened } from '../../store/draft';
import { useAppDispatch, useAppSelector, useAppStore } from '../../store/hooks';
import { Segmented } from '../../ui/Segmented';
import { BenchHeader } from './BenchHeader';
import { Conflict } from './Conflict';
import { Invitation } from './Invitation';
import { PanelBoard } from './PanelBoard';
import { useAddPass } from './passes/useAddPass';
import { usePassReadings } from './passes/usePassReadings';
import { ReadingsColumn } from './ReadingsColumn';
import { useCalm } from './useCalm';
import { useDroppedRecipe } from './useDroppedRecipe';

/** Loaded beside the rest, with what they compute by; the panel does not wait for them. */
const StepsStrip = lazy(
  afterFirstPicture(() => import('./StepsStrip').then((m) => ({ default: m.StepsStrip }))),
);
const ValueRail = lazy(
  afterFirstPicture(() => import('./ValueRail').then((m) => ({ default: m.ValueRail }))),
);

const BenchCommands = lazy(
  afterFirstPicture(() => import('./BenchCommands').then((m) => ({ default: m.BenchCommands }))),
);
const Mind = lazy(afterFirstPicture(() => import('./Mind').then((m) => ({ default: m.Mind }))));
const PassesColumn = lazy(() => import('./passes/PassesColumn').then((m) => ({ default: m.PassesColumn })));

/** The main view: one recipe on the bench, with the rail, the panel, its readings and its order of work. */
export function BenchView() {
  const { recipeId } = useParams();
  const { db } = useSession();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const store = useAppStore();

  useEffect(() => {
    if (recipeId) return;
    latestRecipe(db).then((latest) => {
      if (latest && store.getState().draft.recipe === null) dispatch(opened(latest));
      const onBench = store.getState().draft.recipe?.id;
      navigate(onBench ? `/bench/${onBench}` : '/recipes', { replace: true });
    });
  }, [db, recipeId, navigate, dispatch, store]);

  return <WithKit waiting="Opening the bench …">{(kit, shelf) => <Bench kit={kit} shelf={shelf} />}</WithKit>;
}

type Side = 'readings' | 'passes';

/** Where the next ink pressed on the rail goes. */
type Target = 'nearest' | 'new' | `${number}`;

function Bench({ kit, shelf }: { readonly kit: Kit; readonly shelf: Shelf }) {
  const { unit, wetness } = useAppSelector(({ view }) => view);
  const [target, setTarget] = useState<Target>('nearest');
  const { edit, endGesture } = useEdit();
  const readings = useReadings(kit);
  const [side, setSide] = useState<Side>('readings');
  const [pass, setPass] = useState<string>();
  const showPass = useCallback((id: string) => {
    setSide('passes');
    setPass(id);
  }, []);
  const drop = useDroppedRecipe();
  const dried = useDriedShelf(
    useMemo(() => [...shelf.inks, BARE], [shelf.inks]),
    kit.card,
    firstPicture,
  );
  const rungIds = useMemo(() => kit.inks.map(({ id }) => id), [kit.inks]);
  // The panel follows the hand at once; what is written about it may come a moment later.
  const calm = useCalm(useMemo(() => ({ kit, readings }), [kit, readings]));
  const addOne = useAddPass(calm.kit, shelf, edit, showPass);
  const passes = usePassReadings(calm.kit, shelf.inks);
  const full = rungIds.length >= RUNG_LIMITS.most;
  const aimed = target === 'new' && full ? 'nearest' : target;
  const aimedRung = aimed === 'nearest' || aimed === 'new' ? undefined : Number(aimed);

  const pick = useCallback(
    ({ ink, lab }: DriedInk) => {
      const colours = readings.rungs.map((rung) => rung.lab);
      if (aimed === 'new') edit((recipe) => addRung(recipe, placeForNew(colours, lab.l), ink.id));
      else edit((recipe) => setInk(recipe, aimedRung ?? nearestRung(colours, lab.l), ink.id));
      setTarget('nearest');
    },
    [readings, aimed, aimedRung, edit],
  );
  const aim = useCallback(
    (rung: number) => setTarget((now) => (now === `${rung}` ? 'nearest' : `${rung}`)),
    [],
  );

  return (
    <main
      {...drop.target}
      className="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[15.5rem_minmax(0,1fr)_20.5rem] lg:grid-rows-[minmax(0,1fr)_auto]"
    >
      <section
        aria-label="Value rail"
        data-tour="rail"
        className="order-2 flex min-h-[30rem] flex-col border-line bg-pane lg:order-none lg:min-h-0 lg:border-r"
      >
        <header className="space-y-2 px-4 pt-3 pb-1">
          <h2 className="heading text-[15px]">Value rail</h2>
          <div className="flex items-center gap-2">
            <span className="text-mute">Ink goes on</span>
            <Segmented
              label="Where the next ink goes"
              value={aimedRung === undefined ? (aimed as 'nearest' | 'new') : 'chosen'}
              onChange={(next) => setTarget(next === 'chosen' ? `${aimedRung ?? 0}` : next)}
              options={[
                { value: 'nearest', label: 'nearest', hint: 'The rung nearest in lightness' },
                ...(aimedRung === undefined
                  ? []
                  : [{ value: 'chosen' as const, label: `rung ${aimedRung + 1}` }]),
                ...(full
                  ? []
                  : [{ value: 'new' as const, label: 'new rung', hint: 'A further rung, up to five' }]),
              ]}
            />
          </div>
        </header>
        <Suspense fallback={<p className="px-4 text-mute">Drying the shelf …</p>}>
          <ValueRail
            shelf={dried}
            rungs={rungIds}
            onPick={pick}
            aimed={aimedRung === undefined ? undefined : rungIds[aimedRung]}
            goesTo={
              aimed === 'new'
                ? 'a new rung'
                : aimedRung === undefined
                  ? 'the nearest rung'
                  : `rung ${aimedRung + 1}`
            }
          />
        </Suspense>
        <Invitation />
      </section>
      <section aria-label="Panel" className="order-1 flex min-h-0 min-w-0 flex-col bg-mat lg:order-none">
        <BenchHeader
          name={kit.recipe.name}
          panel={kit.recipe.panel}
          run={kit.recipe.run}
          tool={kit.recipe.tool}
          card={kit.card}
          shelf={shelf}
          readings={readings}
          edit={edit}
          kit={calm.kit}
        />
        <Conflict />
        <PanelBoard
          kit={kit}
          shelf={shelf.inks}
          unit={unit}
          wetness={wetness}
          edit={edit}
          onDone={endGesture}
          selected={side === 'passes' ? pass : undefined}
        />
      </section>
      <div className="order-3 flex min-h-0 flex-col border-line bg-pane lg:order-none lg:border-l">
        <div className="border-b border-line px-4 pt-3 pb-2">
          <Segmented<Side>
            label="What stands beside the panel"
            value={side}
            onChange={setSide}
            options={[
              { value: 'readings', label: 'Readings' },
              {
                value: 'passes',
                label: kit.recipe.passes.length > 0 ? `Passes, ${kit.recipe.passes.length}` : 'Passes',
                hint: 'What is done before the blend and over it',
              },
            ]}
          />
        </div>
        {side === 'readings' ? (
          <ReadingsColumn
            kit={calm.kit}
            readings={calm.readings}
            unit={unit}
            edit={edit}
            target={aimedRung}
            onTarget={aim}
          />
        ) : (
          <Suspense fallback={<p className="p-4 text-mute">Setting out the passes …</p>}>
            <PassesColumn
              kit={kit}
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
          <Mind {...calm} passes={passes} shelf={shelf} edit={edit} />
        </Suspense>
      </div>
      <div className="order-4 min-w-0 lg:col-span-3">
        <Suspense fallback={<div className="h-36 border-t border-line bg-sheet" />}>
          <StepsStrip kit={calm.kit} unit={unit} edit={edit} />
        </Suspense>
      </div>
      <Suspense fallback={null}>
        <BenchCommands readings={readings} edit={edit} onAdd={addOne} />
      </Suspense>
      {drop.refusal}
    </main>
  );
}
