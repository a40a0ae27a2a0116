import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useState } from 'react';
import type { PackedPicture } from '../../core/files/packedPicture';
import { type MadePanel, type PanelPhoto, resolveMade } from '../../core/keep/log/made';
import { readPhoto } from '../../data/panels';
import { readThumbnail, writeThumbnail } from '../../data/thumbnails';
import { logWorker } from '../../workers/client';
import { StoredPicture } from '../panel/StoredPicture';
import { useDatabase } from '../session';
import { useObjectUrl } from '../useObjectUrl';

interface Props {
  readonly panel: MadePanel;
  /** CSS px of the room it has: it is as large as fits. */
  readonly width: number;
  readonly height: number;
  /** What is shown: the photograph where there is one, or the prediction whatever there is. */
  readonly shows?: 'made' | 'predicted';
}

/** A panel of the log as it was made: its photograph flattened, or else its prediction. */
export function PanelImage({ panel, width, height, shows = 'made' }: Props) {
  const [photo] = panel.photos ?? [];
  const size = panel.made?.recipe.panel;
  const shape = size ? size.width / size.height : 0.8;
  const [w, h] = [Math.min(width, height * shape), Math.min(height, width / shape)].map(Math.round) as [
    number,
    number,
  ];
  const resolved = useMemo(() => {
    if (!panel.made) return undefined;
    const made = resolveMade(panel.made);
    return { ...made, recipe: { ...made.recipe, id: panel.id } };
  }, [panel]);
  if (photo && shows === 'made')
    return (
      <Photo photo={photo} width={w} height={h} label={`Photograph of No ${panel.number}, ${panel.name}`} />
    );
  if (!resolved)
    return (
      <span className="grid place-items-center bg-field text-mute" style={{ width: w, height: h }}>
        no picture
      </span>
    );
  return (
    <StoredPicture
      resolved={resolved}
      width={w}
      height={h}
      label={`Prediction of No ${panel.number}, ${panel.name}`}
    />
  );
}

interface PhotoProps {
  readonly photo: PanelPhoto;
  readonly width: number;
  readonly height: number;
  readonly label: string;
}

/** A photograph, flattened to its panel where its corners are known; made once and kept small beside it. */
function Photo({ photo, width, height, label }: PhotoProps) {
  const db = useDatabase();
  const ratio = Math.min(window.devicePixelRatio || 1, 2);
  const key = `photo ${photo.id} ${width}`;
  const of = JSON.stringify([photo.corners, width, height, ratio]);
  // Shown also where it finds no room to be kept.
  const [made, setMade] = useState<{ readonly of: string; readonly picture: PackedPicture }>();
  const picture = useLiveQuery(async () => {
    const kept = await readThumbnail(db, key);
    return kept?.of === of ? kept.picture : null;
  }, [db, key, of]);
  useEffect(() => {
    if (picture !== null) return;
    void (async () => {
      const whole = await readPhoto(db, photo.id);
      if (!whole) return;
      const shown = await logWorker().shownPhoto(
        whole,
        photo.corners,
        Math.round(width * ratio),
        Math.round(height * ratio),
      );
      setMade({ of, picture: shown });
      await writeThumbnail(db, { id: key, of, picture: shown });
    })();
  }, [db, picture, photo, key, of, width, height, ratio]);
  const address = useObjectUrl(made?.of === of ? made.picture : picture);
  if (!address) return <span className="block bg-field" style={{ width, height }} />;
  return (
    <img
      src={address}
      alt={label}
      width={width}
      height={height}
      className="block object-cover"
      style={{ width, height }}
    />
  );
}
