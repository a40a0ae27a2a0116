import { lazy, Suspense, useCallback, useEffect, useRef, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Outlet, useLocation, useNavigate, useNavigationType } from 'react-router';
import { CommandProvider } from '../../app/commands';
import { ShelfProvider, useSession, useStoredShelf } from '../../app/session';
import { StartContext } from '../../app/start';
import { TOUR_SETTING, TourContext } from '../../app/tour';
import { writeSetting } from '../../data/settings';
import { useAppSelector } from '../../store/hooks';
import { LeftContext } from '../../ui/asLeft';
import { catchFocus } from '../../ui/focus';
import { DialogFailed, Failed } from './Failed';
import { Header } from './Header';
import { PALETTE_PLACE } from './palettePlace';
import { type Open, useShellCommands } from './useShellCommands';
import { useStrayDrop } from './useStrayDrop';
import { useTypedAhead } from './useTypedAhead';

const palette = () => import('./Palette');
const Palette = lazy(palette);
const Help = lazy(() => import('./Help'));
const Tour = lazy(() => import('./Tour'));
const StartDialog = lazy(() => import('./StartDialog'));
const DeskSettings = lazy(() => import('./DeskSettings'));

/** What stands around every view: the name, the ways to the work and to the drawers, and what can be found by name. */
export function Shell() {
  const [left] = useState(() => new Map<string, unknown>());
  return (
    <ShelfProvider value={useStoredShelf()}>
      <LeftContext value={left}>
        <CommandProvider>
          <Frame />
        </CommandProvider>
      </LeftContext>
    </ShelfProvider>
  );
}

/** How long a view is given to be drawn, ms. */
const FOCUS_AFTER = 300;
/** How long after the first view what finds things is fetched, ms. */
const FETCH_AFTER = 2500;

function Frame() {
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const { data } = useSession();
  const surround = useAppSelector(({ view }) => view.surround);
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
    void data.then((db) => writeSetting(db, TOUR_SETTING, 'done'));
  }, [data]);
  useShellCommands(setOpen, startTour);
  useStrayDrop();
  return (
    <TourContext value={startTour}>
      <StartContext value={askStart}>
        <div className="flex min-h-full flex-col lg:h-full">
          <Header onOpen={setOpen} />
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
