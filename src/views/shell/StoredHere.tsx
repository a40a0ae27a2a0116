import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { download } from '../../app/download';
import { useDatabase } from '../../app/session';
import { fileNameOf } from '../../core/base/names';
import { dropDamaged, listDamaged } from '../../data/damaged';
import { Button } from '../../ui/Button';
import { useNotify } from '../../ui/Notices';

/** How much is stored, whether the browser may drop it, and what of it is damaged. */
export function StoredHere() {
  const db = useDatabase();
  const notify = useNotify();
  const damaged = useLiveQuery(() => listDamaged(db), [db]) ?? [];
  const { used, left, isKept, ask } = useRoom();
  return (
    <section aria-label="Stored here" className="space-y-2">
      <h3 className="font-semibold">Stored in this browser</h3>
      <p className="text-small text-mute">
        {used === undefined ? 'This browser does not say how much.' : `${megabytes(used)} used`}
        {left !== undefined && `, ${megabytes(left)} left`}.{' '}
        {isKept
          ? 'The browser has promised to keep it.'
          : 'The browser may drop it when the disk is full, and some do after a week without a visit: keep backups.'}
      </p>
      {isKept === false && (
        <Button onClick={() => void ask().then((given) => !given && notify({ text: REFUSED }))}>
          Ask the browser to keep it
        </Button>
      )}
      {damaged.length > 0 && (
        <>
          <p>These records are damaged and left out everywhere; all others are as they were.</p>
          <ul aria-label="Damaged" className="space-y-1">
            {damaged.map((one) => (
              <li key={`${one.table} ${one.id}`} className="flex items-center gap-2">
                <span className="flex-1 truncate">
                  {one.name} <span className="text-mute">({one.table})</span>
                </span>
                <Button
                  aria-label={`Keep as a file: ${one.name}`}
                  onClick={() =>
                    download(
                      `${fileNameOf(one.name)}.json`,
                      'application/json',
                      JSON.stringify(one.value, null, 2),
                    )
                  }
                >
                  Keep as a file
                </Button>
                <Button
                  look="bare"
                  aria-label={`Take out ${one.name}`}
                  onClick={async () => {
                    const undo = await dropDamaged(db, one);
                    notify({ text: `${one.name} is out.`, undo: () => void undo() });
                  }}
                >
                  Take out
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

const REFUSED =
  'The browser did not promise it. Using the page often, or installing it, makes it more willing.';

const megabytes = (bytes: number): string =>
  bytes < 1e9 ? `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB` : `${(bytes / 1e9).toFixed(0)} GB`;

/** How much room is used and left, and whether the browser keeps it; undefined where it does not say. */
function useRoom() {
  const [room, setRoom] = useState<{ used?: number; left?: number; isKept?: boolean }>({});
  useEffect(() => {
    let wanted = true;
    const look = async () => {
      const estimate = await navigator.storage?.estimate?.();
      const isKept = await navigator.storage?.persisted?.();
      if (!wanted) return;
      setRoom({
        ...(estimate?.usage === undefined ? {} : { used: estimate.usage }),
        ...(estimate?.quota === undefined ? {} : { left: estimate.quota - (estimate.usage ?? 0) }),
        ...(isKept === undefined ? {} : { isKept }),
      });
    };
    void look();
    return () => {
      wanted = false;
    };
  }, []);
  const ask = async (): Promise<boolean> => {
    const isKept = (await navigator.storage?.persist?.()) ?? false;
    setRoom((now) => ({ ...now, isKept }));
    return isKept;
  };
  return { ...room, ask };
}
