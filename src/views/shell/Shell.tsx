import { Search, Settings2 } from 'lucide-react';
import { lazy, Suspense, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { NavLink, Outlet, useLocation, useNavigate, useNavigationType } from 'react-router';
import { type Command, CommandProvider, useCommands } from '../../app/commands';
import { ShelfProvider, useSession, useStoredShelf } from '../../app/session';
import { StartContext } from '../../app/start';
import { TOUR_SETTING, TourContext } from '../../app/tour';
import { writeSetting } from '../../data/settings';
import { useAppDispatch, useAppSelector } from '../../store/hooks';
import { viewSet } from '../../store/view';
import { Button } from '../../ui/Button';
import { catchFocus, focusMain } from '../../ui/focus';
import { DialogFailed, Failed, MenuFailed } from './Failed';
import { PALETTE_PLACE } from './palettePlace';
import { useTypedAhead } from './useTypedAhead';

/** On a phone the drawers, and what else stands at the head of the page, are behind one button. */
const Menu = lazy(() => import('../../ui/Menu').then((m) => ({ default: m.Menu })));
const palette = () => import('./Palette');
const Palette = lazy(palette);
const Help = lazy(() => import('./Help'));
const Tour = lazy(() => import('./Tour'));
const StartDialog = lazy(() => import('./StartDialog'));
const DeskSettings = lazy(() => import('./DeskSettings'));

/** The work, in the order it is done. */
const WORK = [
  { to: '/trios', label: 'Choose', also: [], words: 'search trios pick inks' },
  { to: '/bench', label: 'Bench', also: ['/sheet', '/desk'], words: 'panel recipe' },
  { to: '/sittings', label: 'Sittings', also: [], words: 'evening many panels schedule plan series' },
  { to: '/practice', label: 'Practice', also: [], words: 'train eye quiz exercise learn' },
] as const;
/** What the work is done with, and where it is kept. */
const DRAWERS = [
  { to: '/shelf', label: 'Inks' },
  { to: '/cards', label: 'Cards' },
  { to: '/designs', label: 'Designs' },
  { to: '/recipes', label: 'Recipes' },
  { to: '/log', label: 'Log' },
] as const;

/** Places inside the views that are looked for by what is done there. */
const PLACES = [
  {
    to: '/trios?way=bridge',
    label: 'Start from two inks',
    also: 'bridge middle between pair',
    group: 'Choose',
  },
  {
    to: '/trios?way=match',
    label: 'Match a picture',
    also: 'photo image photograph colours',
    group: 'Choose',
  },
  { to: '/trios?way=kept', label: 'Kept trios', also: 'saved favourites', group: 'Choose' },
  { to: '/shelf?new', label: 'Add an ink', also: 'new ink create', group: 'Inks' },
  {
    to: '/shelf?side=twins',
    label: 'Twins: inks nearly alike',
    also: 'duplicates same similar',
    group: 'Inks',
  },
  { to: '/shelf?side=gaps', label: 'Which ink next', also: 'gaps missing buy wish', group: 'Inks' },
  {
    to: '/cards?side=cutting',
    label: 'Cut a batch of cards',
    also: 'many sheets cutting fair series',
    group: 'Cards',
  },
  {
    to: '/log?side=lessons',
    label: 'What the log teaches',
    also: 'learn strength calibrate readings photograph',
    group: 'Log',
  },
  { to: '/log?side=swatches', label: 'Swatch book', also: 'print page read scan chart', group: 'Log' },
  {
    to: '/log?side=pads',
    label: 'Pads and brushes',
    also: 're-ink reink dry reminder calendar labels daubers wash',
    group: 'Log',
  },
  { to: '/log?side=figures', label: 'The log in figures', also: 'chart statistics used count', group: 'Log' },
  {
    to: '/cards?side=recipe',
    label: 'One recipe on all cards',
    also: 'compare cardstock kraft black',
    group: 'Cards',
  },
] as const;

/** What stands around every view: the name, the ways to the work and to the drawers, and what can be found by name. */
export function Shell() {
  return (
    <ShelfProvider value={useStoredShelf()}>
      <CommandProvider>
        <Frame />
      </CommandProvider>
    </ShelfProvider>
  );
}

/** At the desk, on a phone, every line is for the work. */
const isAtDesk = (pathname: string): boolean => pathname.startsWith('/desk') || pathname.endsWith('/desk');

/** How long a view is given to be drawn, ms. */
const FOCUS_AFTER = 300;
/** How long after the first view what finds things is fetched, ms. */
const FETCH_AFTER = 2500;

type Open = 'start' | 'palette' | 'help' | 'settings' | 'tour';

function Frame() {
  const dispatch = useAppDispatch();
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const { db } = useSession();
  const surround = useAppSelector(({ view }) => view.surround);
  const onBench = useAppSelector(({ draft }) => draft.recipe?.id);
  const [open, setOpen] = useState<Open>();
  const close = useCallback(() => setOpen(undefined), []);
  const [typed, setTyped] = useTypedAhead(open === 'palette', close);
  useEffect(() => {
    document.documentElement.dataset.surround = surround;
  }, [surround]);
  // A view that is gone to takes the keys, once it is there; on the first one they begin at the head of the page.
  const came = useRef(pathname);
  const how = useNavigationType();
  useEffect(() => {
    if (came.current === pathname) return;
    came.current = pathname;
    // Sent on from an address that stands for another.
    if (how === 'REPLACE') return;
    const timer = setTimeout(catchFocus, FOCUS_AFTER);
    return () => clearTimeout(timer);
  }, [pathname, how]);
  const startTour = useCallback(() => {
    if (!pathname.startsWith('/bench')) navigate('/bench');
    setOpen('tour');
  }, [navigate, pathname]);
  const askHelp = useCallback(() => setOpen('help'), []);
  // Fetched ahead, so that it is there at once.
  useEffect(() => {
    const timer = setTimeout(palette, FETCH_AFTER);
    return () => clearTimeout(timer);
  }, []);
  const askStart = useCallback(() => setOpen('start'), []);
  const endTour = useCallback(() => {
    setOpen(undefined);
    void writeSetting(db, TOUR_SETTING, 'done');
  }, [db]);
  useCommands(
    useMemo<readonly Command[]>(
      () => [
        {
          id: 'new',
          label: 'New recipe',
          also: 'create start begin add panel',
          group: 'Recipe',
          key: 'n',
          run: askStart,
        },
        { id: 'find', label: 'Find anything', group: 'Help', key: 'Ctrl+k', run: () => setOpen('palette') },
        {
          id: 'keys',
          label: 'Help: keys, words and how to',
          also: 'shortcuts glossary guide manual',
          group: 'Help',
          key: '?',
          run: () => setOpen('help'),
        },
        {
          id: 'tour',
          label: 'Show me round the bench',
          also: 'tour start first',
          group: 'Help',
          run: startTour,
        },
        {
          id: 'settings',
          label: 'Desk settings',
          also: 'preferences options units inches millimetres surround paper letter keys brushes owned',
          group: 'View',
          run: () => setOpen('settings'),
        },
        {
          id: 'backup',
          label: 'Backup: save everything, or bring it in',
          also: 'export import restore move computer all zip storage',
          group: 'View',
          run: () => setOpen('settings'),
        },
        ...[...WORK, ...DRAWERS.map((drawer) => ({ ...drawer, words: '' }))].map(({ to, label, words }) => ({
          id: to,
          label: `Go to ${label}`,
          also: words,
          group: 'Views',
          run: () => navigate(to),
        })),
        ...PLACES.map(({ to, ...place }) => ({ id: to, ...place, run: () => navigate(to) })),
        {
          id: 'mm',
          label: 'Measure in millimetres',
          also: 'units mm metric',
          group: 'View',
          run: () => dispatch(viewSet({ unit: 'mm' })),
        },
        {
          id: 'in',
          label: 'Measure in inches',
          also: 'units in imperial',
          group: 'View',
          run: () => dispatch(viewSet({ unit: 'in' })),
        },
        ...(['light', 'middle', 'dark'] as const).map((name) => ({
          id: `surround-${name}`,
          label: `Surround ${name}`,
          also: 'theme background grey mode',
          group: 'View',
          run: () => dispatch(viewSet({ surround: name })),
        })),
      ],
      [dispatch, navigate, startTour, askStart],
    ),
  );
  return (
    <TourContext value={startTour}>
      <StartContext value={askStart}>
        <div className="flex min-h-full flex-col lg:h-full">
          <header
            className={`flex min-h-12 items-center gap-x-3 border-b border-line bg-sheet px-4 print:hidden max-lg:px-2 ${isAtDesk(pathname) ? 'max-lg:hidden' : ''}`}
          >
            <Button className="not-focus:sr-only" onClick={focusMain}>
              Skip to the work
            </Button>
            <span className="heading flex items-center gap-2 text-lead">
              <span className="max-sm:hidden">
                <LadderSign />
              </span>
              <span className="max-lg:sr-only">Tint Ladder</span>
            </span>
            <nav
              aria-label="Views"
              className="mr-auto flex min-w-0 items-center overflow-x-auto max-md:w-full max-sm:justify-between lg:ml-3"
            >
              {WORK.map(({ to, label, also }) => (
                <NavLink
                  key={to}
                  // Straight to what lies on the bench: on the way by the bare address another press could be overtaken.
                  to={to === '/bench' && onBench ? `/bench/${onBench}` : to}
                  className={`heading rounded-[3px] px-3 py-1.5 hover:bg-field aria-[current=page]:bg-strong aria-[current=page]:text-on-strong max-lg:px-2 max-lg:py-3 ${also.some((path) => pathname.startsWith(path)) ? 'bg-strong text-on-strong' : ''}`}
                >
                  {label}
                </NavLink>
              ))}
              <span aria-hidden="true" className="mx-3 h-7 w-px shrink-0 bg-line max-md:hidden" />
              {DRAWERS.map(({ to, label }) => (
                <NavLink
                  key={to}
                  to={to}
                  className="rounded-[3px] px-2.5 py-1.5 text-mute hover:bg-field aria-[current=page]:font-semibold aria-[current=page]:text-text aria-[current=page]:underline aria-[current=page]:decoration-2 aria-[current=page]:underline-offset-8 max-md:hidden max-lg:py-3"
                >
                  {label}
                </NavLink>
              ))}
              <span className="md:hidden">
                <ErrorBoundary FallbackComponent={MenuFailed} onError={console.error}>
                  <Suspense fallback={null}>
                    <Menu
                      look="bare"
                      items={[
                        ...DRAWERS.map(({ to, label }) => ({ label, onSelect: () => navigate(to) })),
                        'line',
                        { label: 'Find anything', onSelect: () => setOpen('palette') },
                        { label: 'Desk settings', onSelect: () => setOpen('settings') },
                      ]}
                    >
                      <span className="block py-3">More</span>
                    </Menu>
                  </Suspense>
                </ErrorBoundary>
              </span>
            </nav>
            <Button
              aria-label="Find anything"
              className="max-lg:size-11 max-lg:justify-center max-md:hidden"
              onClick={() => setOpen('palette')}
            >
              <Search size={15} aria-hidden="true" className="lg:hidden" />
              <span className="max-lg:hidden">
                Find <kbd className="font-sans text-mute">Ctrl K</kbd>
              </span>
            </Button>
            <Button
              aria-label="Desk settings"
              className="max-lg:size-11 max-lg:justify-center max-md:hidden"
              onClick={() => setOpen('settings')}
            >
              <Settings2 size={16} aria-hidden="true" className="lg:hidden" />
              <span className="max-lg:hidden">Desk settings</span>
            </Button>
          </header>
          <ErrorBoundary FallbackComponent={Failed} resetKeys={[pathname]} onError={console.error}>
            <Suspense fallback={<p className="p-6 text-mute">Opening …</p>}>
              <Outlet />
            </Suspense>
          </ErrorBoundary>
          <ErrorBoundary
            FallbackComponent={DialogFailed}
            onError={(error) => {
              console.error(error);
              close();
            }}
          >
            <Suspense fallback={open === 'palette' ? <PaletteComes typed={typed} /> : null}>
              {open === 'palette' && (
                <Palette typed={typed} onType={setTyped} onHelp={askHelp} onClose={close} />
              )}
              {open === 'help' && <Help onTour={startTour} onClose={close} />}
              {open === 'start' && <StartDialog onTour={startTour} onClose={close} />}
              {open === 'settings' && <DeskSettings onHelp={() => setOpen('help')} onClose={close} />}
              {open === 'tour' && <Tour onEnd={endTour} />}
            </Suspense>
          </ErrorBoundary>
        </div>
      </StartContext>
    </TourContext>
  );
}

/** Stands where the palette will, with what has been typed for it. */
const PaletteComes = ({ typed }: { readonly typed: string }) => (
  <p role="status" className={`${PALETTE_PLACE} min-h-15 p-4 text-lead`}>
    {typed || 'Opening …'}
  </p>
);

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
