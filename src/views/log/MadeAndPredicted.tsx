import { useRef, useState } from 'react';
import { download } from '../../app/download';
import { PanelImage } from '../../app/log/PanelImage';
import { useDatabase } from '../../app/session';
import { useFileDrop } from '../../app/useFileDrop';
import { usePastedPicture } from '../../app/usePaste';
import { useSize } from '../../app/useSize';
import { endingOf } from '../../core/files/packedPicture';
import type { MadePanel } from '../../core/keep/log/made';
import { numberOf } from '../../core/keep/stand/evening';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import type { Database } from '../../data/database';
import { readPhoto } from '../../data/panels';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Menu } from '../../ui/Menu';
import { Segmented } from '../../ui/Segmented';
import { PhotoReader } from './PhotoReader';
import { useBringIn } from './useBringIn';

interface Props {
  readonly panel: MadePanel;
  readonly resolved: ResolvedRecipe | undefined;
}

const WAYS = [
  { value: 'beside', label: 'Side by side' },
  { value: 'wipe', label: 'Wiped' },
] as const;
type Way = (typeof WAYS)[number]['value'];
/** Room of each picture, px; on a phone both still stand side by side. */
const ROOM = { wide: { width: 300, height: 380 }, narrow: { width: 165, height: 230 } } as const;
const NARROW = 640;

/** The panel as predicted and as made, and the ways to bring in a photograph or readings. */
export function MadeAndPredicted({ panel, resolved }: Props) {
  const db = useDatabase();
  const [way, setWay] = useState<Way>('beside');
  const [isReading, setReading] = useState(false);
  const [keepsFull, setKeepsFull] = useState(false);
  const { busy, problem, bringIn, photographAtDesk, readAtDesk, keepReadings } = useBringIn(
    panel,
    resolved,
    () => setReading(true),
  );
  const [photo] = panel.photos ?? [];
  const box = useRef<HTMLDivElement>(null);
  const { width } = useSize(box);
  const room = width < NARROW ? ROOM.narrow : ROOM.wide;

  const drop = useFileDrop({
    takes: 'a photograph or readings',
    onFiles: ([file]) => void bringIn(file, keepsFull),
  });
  usePastedPicture((file) => {
    if (busy === undefined && !isReading) void bringIn(file, keepsFull);
  });
  const evening = numberOf(panel.id);
  return (
    <section aria-label="As predicted and as made" {...drop.getRootProps({ role: 'region' })}>
      <input {...drop.getInputProps({ 'aria-label': 'Photograph or readings of the panel' })} />
      <div className="mb-3 flex flex-wrap items-center gap-2">
        {photo && resolved && (
          <Segmented<Way> label="How they are compared" value={way} onChange={setWay} options={WAYS} />
        )}
        <Button look={photo ? 'plain' : 'strong'} disabled={busy !== undefined} onClick={drop.open}>
          {photo ? 'Another photograph or readings' : 'Add its photograph, or readings'}
        </Button>
        {!photo && <span className="text-mute max-sm:hidden">or drop or paste it here</span>}
        {photo && resolved && (
          <Button look={panel.readings.length > 0 ? 'plain' : 'strong'} onClick={() => setReading(true)}>
            Read the photograph
          </Button>
        )}
        {resolved && (
          <Menu
            disabled={busy !== undefined}
            items={[
              {
                label: 'Make and photograph it at the simulated desk',
                onSelect: () => void photographAtDesk(resolved, evening, keepsFull),
              },
              {
                label: 'Read it with the simulated colour reader',
                onSelect: () => void readAtDesk(resolved, evening),
              },
            ]}
          >
            Without a desk at hand
          </Menu>
        )}
        <Checkbox
          label="Keep it at full size, too"
          checked={keepsFull}
          onChange={({ target }) => setKeepsFull(target.checked)}
        />
        {photo?.fullSize !== undefined && (
          <Button look="bare" onClick={() => void saveFullSize(db, photo.fullSize ?? '', panel.number)}>
            Save the full size
          </Button>
        )}
        {busy && (
          <span role="status" className="text-mute">
            {busy}
          </span>
        )}
      </div>
      {problem && (
        <p role="alert" className="mb-3 max-w-xl border-l-2 border-text pl-3">
          {problem}
        </p>
      )}
      {photo && resolved && way === 'wipe' ? (
        <Wiped panel={panel} room={ROOM.wide} />
      ) : (
        <div ref={box} className="flex flex-wrap gap-x-3 gap-y-4 sm:gap-6">
          {resolved && (
            <Figure caption="as predicted">
              <PanelImage panel={panel} {...room} shows="predicted" />
            </Figure>
          )}
          {photo && (
            <Figure caption="as made">
              <PanelImage panel={panel} {...room} />
            </Figure>
          )}
        </div>
      )}
      {isReading && photo && panel.made && (
        <PhotoReader
          panel={panel}
          made={panel.made}
          photo={photo}
          onKeep={(readings) => {
            setReading(false);
            void keepReadings(readings);
          }}
          onClose={() => setReading(false)}
        />
      )}
    </section>
  );
}

async function saveFullSize(db: Database, id: string, number: number): Promise<void> {
  const photo = await readPhoto(db, id);
  if (photo) download(`panel-${number}.${endingOf(photo.type)}`, photo.type, photo.bytes);
}

const Figure = ({ caption, children }: { readonly caption: string; readonly children: React.ReactNode }) => (
  <figure>
    <div className="w-fit shadow-[0_1px_3px_#0006]">{children}</div>
    <figcaption className="mt-1 text-mute">{caption}</figcaption>
  </figure>
);

/** Both over each other, with a line between that can be moved. */
function Wiped({
  panel,
  room,
}: {
  readonly panel: MadePanel;
  readonly room: { readonly width: number; readonly height: number };
}) {
  const [at, setAt] = useState(50);
  return (
    <div>
      <div className="relative w-fit shadow-[0_1px_3px_#0006]">
        <PanelImage panel={panel} {...room} shows="predicted" />
        <div className="absolute inset-0" style={{ clipPath: `inset(0 0 0 ${at}%)` }}>
          <PanelImage panel={panel} {...room} />
        </div>
        <span aria-hidden="true" className="absolute inset-y-0 w-px bg-strong" style={{ left: `${at}%` }} />
      </div>
      <label className="mt-2 flex max-w-xs items-center gap-2 text-mute">
        predicted
        <input
          type="range"
          min={0}
          max={100}
          value={at}
          aria-label="Where the made panel begins, per cent from the left"
          onChange={({ target }) => setAt(Number(target.value))}
          className="flex-1 accent-(--strong)"
        />
        made
      </label>
    </div>
  );
}
