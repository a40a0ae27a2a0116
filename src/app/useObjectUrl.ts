import { useEffect, useState } from 'react';
import { blobOf, type PackedPicture } from '../core/files/packedPicture';

/** An address for a picture's bytes, as long as they are shown. */
export function useObjectUrl(picture: PackedPicture | null | undefined): string | undefined {
  const [address, setAddress] = useState<string>();
  useEffect(() => {
    if (!picture) return;
    const made = URL.createObjectURL(blobOf(picture));
    setAddress(made);
    return () => URL.revokeObjectURL(made);
  }, [picture]);
  return address;
}
