import { createContext, lazy, type ReactNode, Suspense, useCallback, useContext, useState } from 'react';
import type { Notice } from './notice';

const NoticeContext = createContext<(notice: Notice) => void>(() => {});

/** Tells the maker something in passing. */
export const useNotify = () => useContext(NoticeContext);

/** Loaded with the first notice there is. */
const NoticeList = lazy(() => import('./NoticeList'));

/** Whether it only says something, with nothing to press. */
const isWords = ({ undo, action, work }: Notice): boolean => !(undo || action || work);

/** The last few before another; what is under way stays, for its way out is there. Nothing is told twice at a time. */
const keptBefore = <One extends Notice>(all: readonly One[], next: Notice): readonly One[] =>
  all
    .filter((notice) => !(isWords(notice) && isWords(next) && notice.text === next.text))
    .filter((notice, i, others) => (notice.work ? notice.work !== next.work : i >= others.length - 2));

export function NoticeProvider({ children }: { readonly children: ReactNode }) {
  const [notices, setNotices] = useState<readonly (Notice & { id: number })[]>();
  const notify = useCallback(
    (notice: Notice) =>
      setNotices((all = []) => [...keptBefore(all, notice), { ...notice, id: Date.now() + Math.random() }]),
    [],
  );
  const drop = (id: number) => setNotices((all) => all?.filter((notice) => notice.id !== id));
  return (
    <NoticeContext value={notify}>
      {children}
      {notices && (
        <Suspense fallback={null}>
          <NoticeList notices={notices} onDrop={drop} />
        </Suspense>
      )}
    </NoticeContext>
  );
}
