import { Dialog } from 'radix-ui';
import type { Fault } from '../core/files/fileError';
import { Button } from './Button';
import { Modal } from './Modal';

interface Props {
  readonly fileName: string;
  readonly faults: readonly Fault[];
  readonly onClose: () => void;
}

const MAX_SHOWN = 12;

/** What is wrong with a file, place by place; nothing was changed. */
export default function Faults({ fileName, faults, onClose }: Props) {
  return (
    <Modal lies="middle" className="w-[min(34rem,92vw)]" described onClose={onClose}>
      <Dialog.Title className="heading text-lg break-words">{fileName} could not be opened</Dialog.Title>
      <Dialog.Description className="mt-1 text-mute">
        Nothing was changed. This is what stands in the way:
      </Dialog.Description>
      <ul className="my-4 space-y-2">
        {faults.slice(0, MAX_SHOWN).map(({ place, problem }) => (
          <li key={`${place} ${problem}`} className="border-l-2 border-text pl-3 break-words">
            {place && <code className="font-mono text-small font-semibold">{place}</code>} {problem}
          </li>
        ))}
        {faults.length > MAX_SHOWN && <li>and {faults.length - MAX_SHOWN} more</li>}
      </ul>
      <Dialog.Close asChild>
        <Button look="strong">Close</Button>
      </Dialog.Close>
    </Modal>
  );
}
