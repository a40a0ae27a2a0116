import type { FallbackProps } from 'react-error-boundary';
import { Button } from '../../ui/Button';

/** What stands in a view's place when something in it failed. */
export function Failed({ resetErrorBoundary }: FallbackProps) {
  return (
    <main role="alert" className="p-8">
      <h1 className="heading text-xl">This view stopped by a fault</h1>
      <p className="mt-1 mb-4">
        What you made is saved. Open the view again; if it stops again, reload the page.
      </p>
      <Button look="strong" onClick={resetErrorBoundary}>
        Open it again
      </Button>
    </main>
  );
}
