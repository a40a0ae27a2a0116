import { Dialog } from 'radix-ui';
import type { FormEventHandler, ReactNode } from 'react';
import { Button } from './Button';
import { Modal } from './Modal';

interface Props {
  readonly title: string;
  readonly onSubmit: FormEventHandler;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** A form in two columns over the page: kept by its button or by Enter, closed by Escape without a change. */
export function FormDialog({ title, onSubmit, onClose, children }: Props) {
  return (
    <Modal lies="middle" className="w-[min(38rem,94vw)]" onClose={onClose}>
      <Dialog.Title className="heading mb-4 text-lg">{title}</Dialog.Title>
      <form noValidate onSubmit={onSubmit} className="grid gap-3 sm:grid-cols-2">
        {children}
        <div className="flex items-end justify-end gap-2 sm:col-span-2">
          <Dialog.Close asChild>
            <Button>Cancel</Button>
          </Dialog.Close>
          <Button look="strong" type="submit">
            Keep
          </Button>
        </div>
      </form>
    </Modal>
  );
}
