/** A picture as a file has it. */
export interface PackedPicture {
  readonly type: 'image/webp' | 'image/jpeg' | 'image/png';
  readonly bytes: Uint8Array<ArrayBuffer>;
}

/** How the name of such a file ends. */
export const endingOf = ({ type }: Pick<PackedPicture, 'type'>): string => type.slice('image/'.length);

export const blobOf = ({ type, bytes }: PackedPicture): Blob => new Blob([bytes], { type });
