import { setNonce } from 'get-nonce';
import { lazy, StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { ErrorBoundary } from 'react-error-boundary';
import { Provider } from 'react-redux';
import { BrowserRouter, Navigate, Route, Routes, useLocation } from 'react-router';
import { Database } from './data/database';
import { takeJournal } from './data/journal';
import { writeMark } from './data/mark';
import { comingMaterials } from './data/materials';
import { isSoundRecipe } from './data/sound';
import { openStorage } from './data/storage';
import './index.css';
import { readAhead, viewAhead } from './app/readAhead';
import { SessionProvider } from './app/session';
import { autosave } from './store/autosave';
import { closed, opened } from './store/draft';
import { keepView, recallView } from './store/keepView';
import { copiesKept, faultFound } from './store/storage';
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

/** Whether it looked like a first visit, and there was a database after all. */
const isTakenForFirst = (db: Database): boolean => db.coming !== undefined && db.isOpen() && !db.isFresh;

/** Lays the demo's first recipe on the bench before it is stored, unless something else was asked for. */
function layFirst(db: Database, store: AppStore): void {
  if (!db.coming || isTakenForFirst(db) || !/^\/(bench\/?)?$/.test(window.location.pathname)) return;
  const [first] = db.coming.recipes;
  window.history.replaceState(null, '', `/bench/${first.id}`);
  store.dispatch(opened(first));
}

async function start(root: HTMLElement) {
  setNonce(document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce ?? '');
  leaveKeysToInputMethod();
  keepFocus();
  // The painter's script loads while the database opens.
  startPainting();
  const db = new Database();
  const store = makeStore();
  recallView(store);
  const autosaved = autosave(store, db);
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'hidden') void autosaved.flush();
  });
  window.addEventListener('pagehide', () => {
    // A name or a figure that is being typed is taken as it stands.
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
    autosaved.writeDown();
    void autosaved.flush();
  });
  void openStorage(db, (fault) => store.dispatch(faultFound(fault))).then(async (isUsable) => {
    if (!isUsable) return;
    store.dispatch(faultFound(undefined));
    if (isTakenForFirst(db) && store.getState().draft.recipe) {
      // The bench begins again with what is here.
      store.dispatch(closed());
      writeMark({ recipes: await db.recipes.count() });
      return window.location.replace('/bench');
    }
    // Not wanted on the first screen, and so not in the first script.
    if (db.isFresh)
      void import('./data/demo/sittings').then(({ demoSittings }) =>
        db.sittings.bulkPut(demoSittings(new Date())),
      );
    await keepView(store, db);
    // Neither is this.
    void import('./data/panels').then(({ tidyPhotos }) => tidyPhotos(db));
    const copies = await takeJournal(db, isSoundRecipe);
    if (copies.length > 0) store.dispatch(copiesKept(copies));
    writeMark({ recipes: await db.recipes.count() });
  });
  void readAhead();
  // What cannot be fetched is asked for once more, and its failure told, where it is wanted.
  const coming = await comingMaterials(db).catch(() => undefined);
  if (coming) layFirst(db, store);
  const session = { db, autosave: autosaved, coming };
  createRoot(root).render(
    <StrictMode>
      <Provider store={store}>
        <SessionProvider value={session}>
          <NoticeProvider>
            <StorageGate>
              <ErrorBoundary FallbackComponent={Failed} onError={console.error}>
                <Views />
              </ErrorBoundary>
            </StorageGate>
          </NoticeProvider>
        </SessionProvider>
      </Provider>
    </StrictMode>,
  );
}

const root = document.getElementById('root');
if (root) void start(root);
