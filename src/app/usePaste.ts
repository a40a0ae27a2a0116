import { useEffect, useEffectEvent } from 'react';

/** What is pasted anywhere on the page is given on; what it is not for goes where it was meant. */
export function usePaste(onPaste: (pasted: DataTransfer) => void): void {
  const take = useEffectEvent(({ clipboardData }: ClipboardEvent) => clipboardData && onPaste(clipboardData));
  useEffect(() => {
    window.addEventListener('paste', take);
    return () => window.removeEventListener('paste', take);
  }, []);
}

/** A picture that is pasted anywhere on the page. */
export const usePastedPicture = (onPicture: (file: File) => void): void =>
  usePaste(({ files }) => {
    const picture = [...files].find(({ type }) => type.startsWith('image/'));
    if (picture) onPicture(picture);
  });

/** What such a picture is called: the system's own name for it says nothing. */
export const PASTED_PICTURE = 'Pasted picture';
