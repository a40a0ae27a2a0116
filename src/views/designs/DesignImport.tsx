import { Dialog } from 'radix-ui';
import { useEffect, useState } from 'react';
import type { Unit } from '../../core/base/length';
import type { Design } from '../../core/materials/design/design';
import { Button } from '../../ui/Button';
import { Modal } from '../../ui/Modal';
import { stopDesigner } from '../../workers/client';
import type { DesignAnswer } from '../../workers/design.worker';
import { DesignForm } from './DesignForm';
import { isPng, readDesignFile } from './readDesignFile';

interface Props {
  readonly file: File;
  readonly unit: Unit;
  readonly onKeep: (design: Design) => void;
  readonly onClose: () => void;
}

/** A file that takes longer than this to read is given up, ms. */
const PATIENCE = 20_000;

/** A design from a file: read with a way out, looked at, named and measured, then kept. */
export function DesignImport({ file, unit, onKeep, onClose }: Props) {
  const [swapped, setSwapped] = useState(false);
  const [answer, setAnswer] = useState<DesignAnswer>();
  const [picture, setPicture] = useState(false);
  useEffect(() => {
    let wanted = true;
    const tell = (told: DesignAnswer) => {
      if (wanted) setAnswer(told);
    };
    const timer = setTimeout(() => {
      stopDesigner();
      tell({ refused: 'The file takes too long to read. Simplify it, and open it again.' });
    }, PATIENCE);
    file
      .slice(0, 1)
      .arrayBuffer()
      .then((first) => wanted && setPicture(isPng(new Uint8Array(first))))
      .then(() => readDesignFile(file, crypto.randomUUID(), swapped))
      .then(tell)
      .catch(() => tell({ refused: 'The file could not be read. Open it again.' }))
      .finally(() => clearTimeout(timer));
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [file, swapped]);

  if (answer && 'design' in answer)
    return (
      <DesignForm
        key={answer.design.id}
        title="Keep this design"
        design={answer.design}
        leftOut={answer.leftOut}
        {...(picture ? { swapped, onSwap: setSwapped } : {})}
        unit={unit}
        onKeep={onKeep}
        onClose={onClose}
      />
    );
  return (
    <Modal lies="middle" className="w-[min(30rem,92vw)]" onClose={onClose}>
      <Dialog.Title className="heading text-lg break-words">
        {answer ? `${file.name} could not be opened` : `Reading ${file.name} …`}
      </Dialog.Title>
      {answer ? (
        <p role="alert" className="my-4 border-l-4 border-text pl-3 whitespace-pre-line">
          {answer.refused} Nothing was changed.
        </p>
      ) : (
        <progress aria-label="Reading the design" className="my-4 w-full" />
      )}
      <Button
        look="strong"
        onClick={() => {
          if (!answer) stopDesigner();
          onClose();
        }}
      >
        {answer ? 'Close' : 'Cancel'}
      </Button>
    </Modal>
  );
}
