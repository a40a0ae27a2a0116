import type { PackedPicture } from '../core/files/packedPicture';

/**
 * Packs what is drawn as WebP; where the browser makes none, as JPEG: WebKit gives a PNG instead, many times as large.
 *
 * @param quality  0…1
 */
export async function packed(
  drawn: Pick<OffscreenCanvas, 'convertToBlob'>,
  quality: number,
): Promise<PackedPicture> {
  const asked = await drawn.convertToBlob({ type: 'image/webp', quality });
  const packed =
    asked.type === 'image/webp' ? asked : await drawn.convertToBlob({ type: 'image/jpeg', quality });
  return {
    type: packed.type as PackedPicture['type'],
    bytes: new Uint8Array(await packed.arrayBuffer()),
  };
}
