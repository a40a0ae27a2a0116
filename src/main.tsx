import { setNonce } from 'get-nonce';
import { lazy, type ReactNode, StrictMode, useEffect, useMemo, useState } from 'react';
import { createRoot } from 'react-dom/client';
import { ErrorBoundary } from 'react-error-boundary';
import { Provider } from 'react-redux';
import { BrowserRouter, Navigate, Route, Routes, useLocation } from 'react-router';
import type { Database } from './data/database';
import { comingDemo, type Demo } from './data/demo/demo';
import { comingMaterials } from './data/materials';
import './index.css';
import { firstPicture } from './app/panel/firstPicture';
import { readAhead, viewAhead } from './app/readAhead';
import { type Session, SessionProvider } from './app/session';
import { autosave } from './store/autosave';
import { opened } from './store/draft';
import { recallView } from './store/keepView';
import { type AppStore, makeStore } from './store/store';
import { leaveKeysToInputMethod } from './ui/inputMethod';
import { keepFocus } from './ui/keepFocus';
import { NoticeProvider } from './ui/Notices';
import { BenchView } from './views/bench/BenchView';
import { Failed } from './views/shell/Failed';
import { Shell } from './views/shell/Shell';
import { StorageGate } from './views/shell/StorageGate';
import { startPainting } from './workers/client';

// In the order in which they are likely to be wanted.
const TriosView = viewAhead(() => import('./views/trios/TriosView').then((m) => ({ default: m.TriosView })));
const ShelfView = viewAhead(() => import('./views/shelf/ShelfView').then((m) => ({ default: m.ShelfView })));
const RecipesView = viewAhead(() =>
  import('./views/recipes/RecipesView').then((m) => ({ default: m.RecipesView })),
);
const SittingsView = viewAhead(() =>
  import('./views/sittings/SittingsView').then((m) => ({ default: m.SittingsView })),
);
const LogView = viewAhead(() => import('./views/log/LogView').then((m) => ({ default: m.LogView })));
const PracticeView = viewAhead(() =>
  import('./views/practice/PracticeView').then((m) => ({ default: m.PracticeView })),
);
const CardsView = viewAhead(() => import('./views/cards/CardsView').then((m) => ({ default: m.CardsView })));
const DesignsView = viewAhead(() =>
  import('./views/designs/DesignsView').then((m) => ({ default: m.DesignsView })),
);
const PanelPage = viewAhead(() => import('./views/log/PanelPage').then((m) => ({ default: m.PanelPage })));
const SittingPage = viewAhead(() =>
  import('./views/sittings/SittingPage').then((m) => ({ default: m.SittingPage })),
);
const SittingDesk = lazy(() =>
  import('./views/sittings/SittingDesk').then((m) => ({ default: m.SittingDesk })),
);
const DeskView = lazy(() => import('./views/desk/DeskView').then((m) => ({ default: m.DeskView })));
const SheetView = lazy(() => import('./views/sheet/SheetView').then((m) => ({ default: m.SheetView })));

/** Where a view once was: what was asked of it there is asked of it where it is now. */
function Moved({ to }: { readonly to: string }) {
  const { search } = useLocation();
  return <Navigate to={`${to}${search}`} replace />;
}

function Views() {
  return (
    <BrowserRouter>
      <Routes>
        <Route element={<Shell />}>
          <Route index element={<Navigate to="/bench" replace />} />
          <Route path="bench/:recipeId?" element={<BenchView />} />
          <Route path="choose" element={<TriosView />} />
          <Route path="inks" element={<ShelfView />} />
          <Route path="trios" element={<Moved to="/choose" />} />
          <Route path="shelf" element={<Moved to="/inks" />} />
          <Route path="cards" element={<CardsView />} />
          <Route path="designs" element={<DesignsView />} />
          <Route path="recipes" element={<RecipesView />} />
          <Route path="log" element={<LogView />} />
          <Route path="log/:panelId" element={<PanelPage />} />
          <Route path="practice" element={<PracticeView />} />
          <Route path="sittings" element={<SittingsView />} />
          <Route path="sittings/:sittingId" element={<SittingPage />} />
          <Route path="sittings/:sittingId/desk" element={<SittingDesk />} />
          <Route path="sheet/:recipeId" element={<SheetView />} />
          <Route path="desk/:recipeId" element={<DeskView />} />
          <Route path="*" element={<Navigate to="/bench" replace />} />
        </Route>
      </Routes>
    </BrowserRouter>
  );
}

/**
 * Lays the demo's first recipe on the bench before it is stored, unless something else was asked for.
 *
 * @returns whether it lies there
 */
function layFirst([first]: Demo['recipes'], store: AppStore): boolean {
  if (!/^\/(bench\/?)?$/.test(window.location.pathname)) return false;
  window.history.replaceState(null, '', `/bench/${first.id}`);
  store.dispatch(opened(first));
  return true;
}

/** What keeps all that the maker has is not in the first script: a first look does without. */
async function dataFor(store: AppStore, coming: Demo | undefined, after: Promise<void>): Promise<Database> {
  await after;
  return (await import('./store/openData')).openData(store, coming);
}

/** What every view works with; drawn anew once the database is there. */
function WithSession({ children, ...known }: Omit<Session, 'db'> & { readonly children: ReactNode }) {
  const { data, autosave, coming } = known;
  const [db, setDb] = useState<Database>();
  // Where it does not come, the views that ask for it say so.
  useEffect(() => void data.then(setDb, () => {}), [data]);
  const session = useMemo(() => ({ data, db, autosave, coming }), [data, db, autosave, coming]);
  return <SessionProvider value={session}>{children}</SessionProvider>;
}

async function start(root: HTMLElement) {
  setNonce(document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce ?? '');
  leaveKeysToInputMethod();
  keepFocus();
  // The painter's script loads while the rest is made ready.
  startPainting();
  const store = makeStore();
  recallView(store);
  void readAhead();
  const demo = comingDemo();
  // What cannot be fetched is asked for once more, and its failure told, where it is wanted.
  const coming = demo && (await comingMaterials(demo).catch(() => undefined));
  const isLaid = demo !== undefined && coming !== undefined && layFirst(demo.recipes, store);
  const data = dataFor(store, demo, isLaid ? firstPicture : Promise.resolve());
  const autosaved = autosave(store, data);
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'hidden') void autosaved.flush();
  });
  window.addEventListener('pagehide', () => {
    // A name or a figure that is being typed is taken as it stands.
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
    autosaved.writeDown();
    void autosaved.flush();
  });
  createRoot(root).render(
    <StrictMode>
      <Provider store={store}>
        <WithSession data={data} autosave={autosaved} coming={coming}>
          <NoticeProvider>
            <StorageGate>
              <ErrorBoundary FallbackComponent={Failed} onError={console.error}>
                <Views />
              </ErrorBoundary>
            </StorageGate>
          </NoticeProvider>
        </WithSession>
      </Provider>
    </StrictMode>,
  );
}

const root = document.getElementById('root');
if (root) void start(root);
