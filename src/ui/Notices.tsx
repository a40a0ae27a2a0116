import { Toast } from 'radix-ui';
import { createContext, type ReactNode, useCallback, useContext, useMemo, useState } from 'react';

/** Something to tell in passing, with a way to take back what was done. */
export interface Notice {
  readonly text: string;
  readonly undo?: () => void;
}

const NoticeContext = createContext<(notice: Notice) => void>(() => {});

/** Tells the maker something in passing. */
export const useNotify = () => useContext(NoticeContext);

/** How long a notice stays, in ms: long enough to reach for its button. */
const STAYS = 10_000;

export function NoticeProvider({ children }: { readonly children: ReactNode }) {
  const [notices, setNotices] = useState<readonly (Notice & { id: number })[]>([]);
  const notify = useCallback(
    (notice: Notice) =>
      setNotices((all) => [...all.slice(-2), { ...notice, id: Date.now() + Math.random() }]),
    [],
  );
  const drop = (id: number) => setNotices((all) => all.filter((notice) => notice.id !== id));
  const value = useMemo(() => notify, [notify]);
  return (
    <NoticeContext value={value}>
      <Toast.Provider duration={STAYS} swipeDirection="right">
        {children}
        {notices.map((notice) => (
          <Toast.Root
            key={notice.id}
            onOpenChange={(open) => !open && drop(notice.id)}
            className="flex items-center gap-4 rounded-[3px] bg-strong px-4 py-2.5 text-on-strong shadow-lg"
          >
            <Toast.Description>{notice.text}</Toast.Description>
            {notice.undo && (
              <Toast.Action
                altText="Undo, with Ctrl+Z on the bench"
                onClick={notice.undo}
                className="font-semibold underline underline-offset-4 focus-visible:outline-on-strong"
              >
                Undo
              </Toast.Action>
            )}
          </Toast.Root>
        ))}
        <Toast.Viewport className="fixed right-4 bottom-4 z-60 flex w-[min(24rem,90vw)] flex-col gap-2 print:hidden" />
      </Toast.Provider>
    </NoticeContext>
  );
}
