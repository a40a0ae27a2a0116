import { useState } from 'react';
import { download } from '../../app/download';
import { useDatabase } from '../../app/session';
import { clearMark, type DataMark } from '../../data/mark';
import type { StorageFault } from '../../data/storage';
import { useAppStore } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { tellDate } from '../../ui/dates';

/** What is said where the storage cannot be used, and what can be done. */
export default function StoragePage({ fault }: { readonly fault: StorageFault }) {
  const told = TOLD[fault.kind];
  return (
    <main role="alert" className="mx-auto max-w-xl p-8">
      <h1 className="heading text-title">{told.title}</h1>
      <p className="mt-2 text-lead">{told.text}</p>
      {fault.kind === 'refused' && <p className="mt-2 text-mute">The browser says: {fault.reason}.</p>}
      {fault.kind === 'lost' && <Lost mark={fault.mark} />}
      <p className="mt-4 flex gap-2">
        <Button look="strong" onClick={() => location.reload()}>
          Reload the page
        </Button>
      </p>
    </main>
  );
}

const TOLD: Readonly<Record<StorageFault['kind'], { readonly title: string; readonly text: string }>> = {
  refused: {
    title: 'This browser keeps nothing for this page',
    text: 'Recipes, inks and cards are kept in the browser’s own storage, and it is refused here. Private windows and strict settings do that: allow storage (site data) for this address, or open it in another window, then reload.',
  },
  blocked: {
    title: 'Another tab is in the way',
    text: 'Another tab of this browser holds an older Tint Ladder open, and the storage cannot be brought up to date meanwhile. Close every other tab of this address; this page then goes on by itself, or reload it.',
  },
  newer: {
    title: 'A newer Tint Ladder made this',
    text: 'What is stored here was written by a newer version than this page is. Nothing is written by the older one, so that nothing is spoilt: reload the page to get the newer version.',
  },
  full: {
    title: 'There is no room on this disk',
    text: 'The storage cannot even be opened while the disk is full. Free some room, a hundred megabytes or so, then reload. What was stored is still there.',
  },
  lost: {
    title: 'What was stored here is gone',
    text: 'There was data in this browser before, and the browser has dropped it: it does that when a disk is full, or when its site data are cleared. The demo was not put over it.',
  },
};

/** When there was what, what of it is still in this page, and how to begin anew. */
function Lost({ mark }: { readonly mark: DataMark }) {
  const db = useDatabase();
  const store = useAppStore();
  const [isSure, setSure] = useState(false);
  const { recipe, stranded } = store.getState().draft;
  const left = [...(recipe ? [recipe] : []), ...stranded.map((one) => one.recipe)];
  return (
    <>
      <p className="mt-2">
        Last seen {tellDate(mark.lastSeen)}
        {mark.recipes > 0 && `, with ${mark.recipes} ${mark.recipes === 1 ? 'recipe' : 'recipes'}`}.{' '}
        {mark.lastBackup
          ? `A backup was written ${tellDate(mark.lastBackup)}: begin anew, then bring it in under Desk settings.`
          : 'No backup was written by this page.'}
      </p>
      {left.length > 0 && (
        <p className="mt-3">
          <Button
            onClick={() =>
              download('still-in-this-page.json', 'application/json', JSON.stringify(left, null, 2))
            }
          >
            Keep what is still in this page as a file
          </Button>
        </p>
      )}
      <p className="mt-3">
        <Button
          onClick={async () => {
            if (!isSure) return setSure(true);
            clearMark();
            await db.delete({ disableAutoOpen: true });
            location.assign('/');
          }}
        >
          {isSure ? 'Yes, begin anew with the demo' : 'Begin anew …'}
        </Button>
      </p>
    </>
  );
}
