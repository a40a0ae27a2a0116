import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';

/** Whether the page is being printed: what the screen has only in part can be drawn whole for it. */
export function useIsPrinted(): boolean {
  const [isPrinted, setIsPrinted] = useState(false);
  useEffect(() => {
    // The browser prints what is there when this returns.
    const begin = () => flushSync(() => setIsPrinted(true));
    const end = () => setIsPrinted(false);
    window.addEventListener('beforeprint', begin);
    window.addEventListener('afterprint', end);
    return () => {
      window.removeEventListener('beforeprint', begin);
      window.removeEventListener('afterprint', end);
    };
  }, []);
  return isPrinted;
}
