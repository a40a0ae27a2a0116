/** A picture as a file has it. */
export interface PackedPicture {
  readonly type: 'image/webp' | 'image/jpeg' | 'image/png';
  readonly bytes: Uint8Array<ArrayBuffer>;
}

/** How the name of a picture's file ends, by its type: `image/webp` as `webp`. */
export const endingOf = (type: string): string => type.slice('image/'.length);

export const blobOf = ({ type, bytes }: PackedPicture): Blob => new Blob([bytes], { type });
