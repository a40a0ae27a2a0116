import { useEffect } from 'react';
import { useNotify } from '../../ui/Notices';

/**
 * A file that is dropped where nothing takes one would be opened by the browser, beside the application or in its place. It
 * is let fall, and where files are taken is said. Words that are dragged, and a field that takes files itself, are left
 * alone.
 */
export function useStrayDrop(): void {
  const notify = useNotify();
  useEffect(() => {
    // Between the views, which come first, and the document, where those that take files catch what misses them.
    const page = document.documentElement;
    const isStray = ({ defaultPrevented, dataTransfer, target }: DragEvent) =>
      !defaultPrevented &&
      dataTransfer?.types.includes('Files') === true &&
      !(target instanceof HTMLInputElement && target.type === 'file');
    const onOver = (event: DragEvent) => {
      if (isStray(event)) event.preventDefault();
    };
    const onDrop = (event: DragEvent) => {
      if (!isStray(event)) return;
      event.preventDefault();
      notify({
        text: 'No file is taken here. Recipes are taken on the bench and among the recipes, photographs by a panel of the log, tables of inks among the inks, drawings among the designs.',
      });
    };
    page.addEventListener('dragover', onOver);
    page.addEventListener('drop', onDrop);
    return () => {
      page.removeEventListener('dragover', onOver);
      page.removeEventListener('drop', onDrop);
    };
  }, [notify]);
}
