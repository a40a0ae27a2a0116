import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect } from 'react';
import { useDatabase } from '../../app/session';
import { TOUR_SETTING, useTour } from '../../app/tour';
import { readSetting, writeSetting } from '../../data/settings';
import { Button } from '../../ui/Button';
import { catchFocus } from '../../ui/focus';

/** Offered on the first visit until it is taken or put away; afterwards the tour is found under Keys and help. */
export function Invitation() {
  const db = useDatabase();
  const start = useTour();
  const state = useLiveQuery(async () => (await readSetting(db, TOUR_SETTING)) ?? 'new', [db]);
  const isOpen = state === 'new';
  // Taken or put away, it goes with the focus that was on it.
  useEffect(() => (isOpen ? () => void setTimeout(catchFocus) : undefined), [isOpen]);
  if (!isOpen) return null;
  return (
    <aside aria-label="First visit" className="flex items-center gap-1 border-t border-line px-2 py-1">
      <Button
        look="bare"
        className="whitespace-normal! text-left underline underline-offset-4"
        onClick={start}
      >
        First time? Show me round
      </Button>
      <Button
        look="bare"
        className="ml-auto text-mute"
        aria-label="Not now"
        title="Not now"
        onClick={() => void writeSetting(db, TOUR_SETTING, 'done')}
      >
        ×
      </Button>
    </aside>
  );
}
