import { useCallback, useMemo } from 'react';
import type { PackedPicture } from '../../core/files/packedPicture';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { pictureSign, readThumbnail, thumbnailOf, writeThumbnail } from '../../data/thumbnails';
import { useAppSelector } from '../../store/hooks';
import { useDatabase } from '../session';
import { useAnswer } from '../useAnswer';
import { useObjectUrl } from '../useObjectUrl';
import { PanelPicture } from './PanelPicture';

interface Props {
  readonly resolved: ResolvedRecipe;
  /** CSS px. */
  readonly width: number;
  readonly height: number;
  readonly label: string;
}

/** The small picture of a recipe: the stored one at once, painted and stored anew where what it shows has changed. */
export function StoredPicture({ resolved, width, height, label }: Props) {
  const db = useDatabase();
  const { id } = resolved.recipe;
  const isPlain = useAppSelector(({ view }) => !view.grain);
  const found = useAnswer(
    useMemo(
      () => async () => {
        const [sign, kept] = await Promise.all([pictureSign(resolved, isPlain), readThumbnail(db, id)]);
        const of = thumbnailOf(sign, height);
        return { of, picture: kept?.of === of ? kept.picture : undefined };
      },
      [db, id, resolved, height, isPlain],
    ),
  );
  const keep = useCallback(
    (canvas: HTMLCanvasElement) =>
      canvas.toBlob(async (blob) => {
        if (!blob || !found) return;
        const type = blob.type as PackedPicture['type'];
        const bytes = new Uint8Array(await blob.arrayBuffer());
        await writeThumbnail(db, { id, of: found.of, picture: { type, bytes } });
      }, 'image/webp'),
    [db, id, found],
  );
  const address = useObjectUrl(found?.picture);
  if (!found) return <span className="block bg-field" style={{ width, height }} />;
  if (!found.picture)
    return <PanelPicture resolved={resolved} wetness="dry" {...{ width, height, label }} onPainted={keep} />;
  return (
    <img src={address} alt={label} width={width} height={height} className="block" data-painted="stored" />
  );
}
