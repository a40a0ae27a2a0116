import { useEffect, useRef } from 'react';

/** What is pasted anywhere on the page is given on; what it is not for goes where it was meant. */
export function usePaste(onPaste: (pasted: DataTransfer) => void): void {
  const latest = useRef(onPaste);
  latest.current = onPaste;
  useEffect(() => {
    const take = ({ clipboardData }: ClipboardEvent) => clipboardData && latest.current(clipboardData);
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
