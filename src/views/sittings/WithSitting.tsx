import { useLiveQuery } from 'dexie-react-hooks';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { useDatabase } from '../../app/session';
import type { KnownSitting } from '../../core/make/sitting/known';
import type { SittingRecord } from '../../core/make/sitting/record';
import { readSitting } from '../../data/sittings';
import { PageTitle } from '../../ui/PageTitle';
import { useKnownSitting } from './useKnownSitting';

interface Props {
  readonly children: (record: SittingRecord, known: KnownSitting) => ReactNode;
}

/** Shows something of the sitting in the address, or says why it cannot be shown. */
export function WithSitting({ children }: Props) {
  const { sittingId = '' } = useParams();
  const db = useDatabase();
  const found = useLiveQuery(async () => ({ record: await readSitting(db, sittingId) }), [db, sittingId]);
  const known = useKnownSitting(found?.record);
  if (found && !found.record)
    return (
      <main className="p-8">
        <PageTitle of="This sitting is not here" />
        <h1 className="heading text-xl">This sitting is not here</h1>
        <p className="mt-1">It may have been taken away, or is kept in another browser.</p>
        <Link to="/sittings" className="mt-4 inline-block font-semibold underline underline-offset-4">
          Go to all sittings
        </Link>
      </main>
    );
  if (!found?.record || !known) return <p className="p-6 text-mute">Opening the sitting …</p>;
  return children(found.record, known);
}
