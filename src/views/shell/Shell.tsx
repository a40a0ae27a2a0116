import { lazy, Suspense, useCallback, useEffect, useMemo, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import { type Command, CommandProvider, useCommands } from '../../app/commands';
import { useSession } from '../../app/session';
import { TOUR_SETTING, TourContext } from '../../app/tour';
import { writeSetting } from '../../data/settings';
import { useAppDispatch, useAppSelector } from '../../store/hooks';
import { type Surround, viewSet } from '../../store/view';
import { Button } from '../../ui/Button';
import { Segmented } from '../../ui/Segmented';
import { Failed } from './Failed';

const Palette = lazy(() => import('./Palette'));
const Shortcuts = lazy(() => import('./Shortcuts'));
const Tour = lazy(() => import('./Tour'));

const VIEWS = [
  { to: '/bench', label: 'Bench' },
  { to: '/trios', label: 'Trios' },
  { to: '/shelf', label: 'Shelf' },
  { to: '/cards', label: 'Cards' },
  { to: '/designs', label: 'Designs' },
  { to: '/recipes', label: 'Recipes' },
] as const;

/** What stands around every view: the name, the ways to the views, units and surround, and what can be found by name. */
export function Shell() {
  return (
    <CommandProvider>
      <Frame />
    </CommandProvider>
  );
}

type Open = 'palette' | 'shortcuts' | 'tour';

function Frame() {
  const dispatch = useAppDispatch();
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const { db } = useSession();
  const { unit, surround } = useAppSelector(({ view }) => view);
  const [open, setOpen] = useState<Open>();
  const close = useCallback(() => setOpen(undefined), []);
  useEffect(() => {
    document.documentElement.dataset.surround = surround;
  }, [surround]);
  const startTour = useCallback(() => {
    if (!pathname.startsWith('/bench')) navigate('/bench');
    setOpen('tour');
  }, [navigate, pathname]);
  const endTour = useCallback(() => {
    setOpen(undefined);
    void writeSetting(db, TOUR_SETTING, 'done');
  }, [db]);
  useCommands(
    useMemo<readonly Command[]>(
      () => [
        { id: 'find', label: 'Find anything', group: 'Help', key: 'Ctrl+k', run: () => setOpen('palette') },
        { id: 'keys', label: 'Keys', group: 'Help', key: '?', run: () => setOpen('shortcuts') },
        { id: 'tour', label: 'Show me round the bench', group: 'Help', run: startTour },
        ...VIEWS.map(({ to, label }) => ({
          id: to,
          label: `Go to ${label}`,
          group: 'Views',
          run: () => navigate(to),
        })),
        {
          id: 'mm',
          label: 'Measure in millimetres',
          group: 'View',
          run: () => dispatch(viewSet({ unit: 'mm' })),
        },
        { id: 'in', label: 'Measure in inches', group: 'View', run: () => dispatch(viewSet({ unit: 'in' })) },
        ...(['light', 'middle', 'dark'] as const).map((name) => ({
          id: `surround-${name}`,
          label: `Surround ${name}`,
          group: 'View',
          run: () => dispatch(viewSet({ surround: name })),
        })),
      ],
      [dispatch, navigate, startTour],
    ),
  );
  return (
    <TourContext value={startTour}>
      <div className="flex min-h-full flex-col lg:h-full">
        <header
          className={`flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line bg-sheet px-4 py-2 print:hidden ${pathname.startsWith('/desk') ? 'max-lg:hidden' : ''}`}
        >
          <Button className="not-focus:sr-only" onClick={skipToMain}>
            Skip to the work
          </Button>
          <span className="heading flex items-center gap-2 text-title">
            <LadderSign />
            Tint Ladder
          </span>
          <nav aria-label="Views" className="mr-auto flex flex-wrap gap-x-1">
            {VIEWS.map(({ to, label }) => (
              <NavLink
                key={to}
                to={to}
                className="border-b-2 border-transparent px-2 py-1 aria-[current=page]:border-text aria-[current=page]:font-semibold"
              >
                {label}
              </NavLink>
            ))}
          </nav>
          <Button onClick={() => setOpen('palette')}>
            Find anything <kbd className="font-sans text-mute">Ctrl+K</kbd>
          </Button>
          <Button
            look="bare"
            aria-label="Keys and help"
            title="Keys and help (?)"
            onClick={() => setOpen('shortcuts')}
          >
            ?
          </Button>
          <Segmented<Surround>
            label="Surround"
            value={surround}
            onChange={(next) => dispatch(viewSet({ surround: next }))}
            options={[
              { value: 'light', label: 'Light', hint: 'A light grey surround' },
              { value: 'middle', label: 'Middle', hint: 'A middle grey surround, to judge colour in' },
              { value: 'dark', label: 'Dark', hint: 'A dark grey surround' },
            ]}
          />
          <Segmented
            label="Measure in"
            value={unit}
            onChange={(next) => dispatch(viewSet({ unit: next }))}
            options={[
              { value: 'mm', label: 'mm', hint: 'Millimetres' },
              { value: 'in', label: 'in', hint: 'Inches, to the nearest sixteenth' },
            ]}
          />
        </header>
        <ErrorBoundary FallbackComponent={Failed} resetKeys={[pathname]} onError={console.error}>
          <Suspense fallback={<p className="p-6 text-mute">Opening …</p>}>
            <Outlet />
          </Suspense>
        </ErrorBoundary>
        <Suspense fallback={null}>
          {open === 'palette' && <Palette onClose={close} />}
          {open === 'shortcuts' && <Shortcuts onTour={startTour} onClose={close} />}
          {open === 'tour' && <Tour onEnd={endTour} />}
        </Suspense>
      </div>
    </TourContext>
  );
}

/** Past the views and settings, for the keyboard (WCAG 2.2, 2.4.1). */
function skipToMain() {
  const main = document.querySelector('main');
  if (!main) return;
  main.tabIndex = -1;
  main.focus();
}

/** Three rungs, pale to dark. */
function LadderSign() {
  return (
    <svg aria-hidden="true" viewBox="0 0 20 22" className="h-5.5 w-5">
      <path d="M4 1v20M16 1v20" className="stroke-text" strokeWidth={2} strokeLinecap="round" />
      <path d="M4 6h12" stroke="#e2e2e2" strokeWidth={3} />
      <path d="M4 11h12" stroke="#8f8f8f" strokeWidth={3} />
      <path d="M4 16h12" stroke="#303030" strokeWidth={3} />
    </svg>
  );
}
