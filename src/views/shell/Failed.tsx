import type { FallbackProps } from 'react-error-boundary';
import { Button } from '../../ui/Button';
import { PALETTE_PLACE } from './palettePlace';

const reload = () => location.reload();

/** What stands in a view's place when something in it failed, or did not come. */
export function Failed({ resetErrorBoundary }: FallbackProps) {
  return (
    <main role="alert" className="p-8">
      <h1 className="heading text-xl">This view stopped because of a fault</h1>
      <p className="mt-1 mb-4">
        What you made is saved. Where the browser or an add-on translates the page, show the original first.
        Open the view again; if it stops again, reload the page.
      </p>
      <p className="flex gap-2">
        <Button look="strong" onClick={resetErrorBoundary}>
          Open it again
        </Button>
        <Button onClick={reload}>Reload the page</Button>
      </p>
    </main>
  );
}

/** What stands in place of a dialog of the frame; the view behind it works on. */
export function DialogFailed({ resetErrorBoundary }: FallbackProps) {
  return (
    <div role="alert" className={`${PALETTE_PLACE} p-4`}>
      <h2 className="heading text-lead">This did not open</h2>
      <p className="mt-1 mb-3">
        It could not be fetched, or stopped because of a fault. What you made is saved; reload the page and
        open it again.
      </p>
      <p className="flex gap-2">
        <Button look="strong" autoFocus onClick={reload}>
          Reload the page
        </Button>
        <Button onClick={resetErrorBoundary}>Close</Button>
      </p>
    </div>
  );
}

/** In place of a phone's menu. */
export const MenuFailed = () => <Button onClick={reload}>Reload</Button>;
