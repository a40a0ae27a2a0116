import { useEffect, useState } from 'react';

/** An address for a picture's bytes, as long as they are shown. */
export function useObjectUrl(picture: Blob | null | undefined): string | undefined {
  const [address, setAddress] = useState<string>();
  useEffect(() => {
    if (!picture) return;
    const made = URL.createObjectURL(picture);
    setAddress(made);
    return () => URL.revokeObjectURL(made);
  }, [picture]);
  return address;
}
