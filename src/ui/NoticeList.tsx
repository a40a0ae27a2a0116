import { Toast } from 'radix-ui';
import { useEffect, useSyncExternalStore } from 'react';
import type { Notice } from './notice';
import { ProgressBar } from './ProgressBar';
import type { Work } from './work';

/** How long a notice stays, in ms: long enough to reach for its button. */
const STAYS = 10_000;

interface Props {
  readonly notices: readonly (Notice & { readonly id: number })[];
  readonly onDrop: (id: number) => void;
}

/** Notices at the foot of the page, each until it has been read. */
export default function NoticeList({ notices, onDrop }: Props) {
  return (
    <Toast.Provider duration={STAYS} swipeDirection="right">
      {notices.map((notice) => (
        <Toast.Root
          key={notice.id}
          // What waits to be taken stays until it is.
          {...(notice.action || notice.work ? { duration: Number.POSITIVE_INFINITY } : {})}
          onOpenChange={(open) => !open && onDrop(notice.id)}
          className="flex items-center gap-4 rounded-[3px] bg-strong px-4 py-2.5 text-on-strong shadow-lg"
        >
          <Toast.Description>{notice.text}</Toast.Description>
          {notice.work && (
            <WorkUnderWay work={notice.work} label={notice.text} onEnd={() => onDrop(notice.id)} />
          )}
          {notice.action && (
            <Way told={notice.action.label} onTake={notice.action.run}>
              {notice.action.label}
            </Way>
          )}
          {notice.undo && (
            <Way told="Undo, with Ctrl+Z on the bench" onTake={notice.undo}>
              Undo
            </Way>
          )}
        </Toast.Root>
      ))}
      <Toast.Viewport className="fixed right-4 bottom-4 z-60 flex w-[min(24rem,90vw)] flex-col gap-2 print:hidden" />
    </Toast.Provider>
  );
}

/** How far it is, and a way out. */
function WorkUnderWay({
  work,
  label,
  onEnd,
}: {
  readonly work: Work;
  readonly label: string;
  readonly onEnd: () => void;
}) {
  const isDone = useSyncExternalStore(work.subscribe, work.isDone);
  useEffect(() => {
    if (isDone) onEnd();
  }, [isDone, onEnd]);
  return (
    <>
      <ProgressBar work={work} label={label} />
      <Way told="Stop" onTake={work.stop}>
        Stop
      </Way>
    </>
  );
}

/** Something that a notice offers to do. */
const Way = ({
  told,
  onTake,
  children,
}: {
  readonly told: string;
  readonly onTake: () => void;
  readonly children: string;
}) => (
  <Toast.Action
    altText={told}
    onClick={onTake}
    className="font-semibold underline underline-offset-4 focus-visible:outline-on-strong"
  >
    {children}
  </Toast.Action>
);
