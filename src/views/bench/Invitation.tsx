import { useLiveQuery } from 'dexie-react-hooks';
import { useSession } from '../../app/session';
import { TOUR_SETTING, useTour } from '../../app/tour';
import { readSetting, writeSetting } from '../../data/settings';
import { Button } from '../../ui/Button';

/** Offered on the first visit until it is taken or put away; afterwards the tour is found under Keys and help. */
export function Invitation() {
  const { db } = useSession();
  const start = useTour();
  const state = useLiveQuery(async () => (await readSetting(db, TOUR_SETTING)) ?? 'new', [db]);
  if (state !== 'new') return null;
  return (
    <aside aria-label="First visit" className="border-t-2 border-text bg-field px-4 py-2">
      <p className="font-semibold">First time at the bench?</p>
      <p className="mt-1 flex gap-2">
        <Button look="strong" onClick={start}>
          Show me round
        </Button>
        <Button onClick={() => void writeSetting(db, TOUR_SETTING, 'done')}>Not now</Button>
      </p>
    </aside>
  );
}
