import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { useAppDispatch, useAppSelector } from '../../store/hooks';
import { type Surround, type ViewSettings, viewSet } from '../../store/view';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Modal } from '../../ui/Modal';
import { Segmented } from '../../ui/Segmented';
import { Backup } from './Backup';
import { OwnedBrushes } from './OwnedBrushes';
import { StoredHere } from './StoredHere';

/** What is chosen once for the desk and holds in every view. */
export default function DeskSettings({
  onHelp,
  onClose,
}: {
  readonly onHelp: () => void;
  readonly onClose: () => void;
}) {
  const dispatch = useAppDispatch();
  const view = useAppSelector((state) => state.view);
  const set = (change: Partial<ViewSettings>) => dispatch(viewSet(change));
  return (
    <Modal lies="middle" className="w-[min(36rem,94vw)] space-y-4" onClose={onClose}>
      <Dialog.Title className="heading text-title">Desk settings</Dialog.Title>
      <Row label="Measure in" told="Inches go to the nearest sixteenth.">
        <Segmented<ViewSettings['unit']>
          label="Measure in"
          value={view.unit}
          onChange={(unit) => set({ unit })}
          options={[
            { value: 'mm', label: 'mm' },
            { value: 'in', label: 'in' },
          ]}
        />
      </Row>
      <Row label="Surround" told="Neutral, because colour is judged here; middle grey judges best.">
        <Segmented<Surround>
          label="Surround"
          value={view.surround}
          onChange={(surround) => set({ surround })}
          options={[
            { value: 'light', label: 'Light' },
            { value: 'middle', label: 'Middle' },
            { value: 'dark', label: 'Dark' },
          ]}
        />
      </Row>
      <Row label="Paper" told="What sheets and the PDF are made for.">
        <Segmented<ViewSettings['paper']>
          label="Paper"
          value={view.paper}
          onChange={(paper) => set({ paper })}
          options={[
            { value: 'A4', label: 'A4' },
            { value: 'Letter', label: 'US Letter' },
          ]}
        />
      </Row>
      <Checkbox
        label="Panels show the grain of card and ink, and what stands up from them"
        checked={view.grain}
        onChange={({ target }) => set({ grain: target.checked })}
      />
      <Checkbox
        label="Keys of one letter or sign do something"
        checked={view.letterKeys}
        onChange={({ target }) => set({ letterKeys: target.checked })}
      />
      <OwnedBrushes />
      <Backup />
      <StoredHere />
      <p className="flex justify-end gap-2">
        <Button look="bare" className="mr-auto underline underline-offset-4" onClick={onHelp}>
          Help: keys, words and how to
        </Button>
        <Button look="strong" onClick={onClose}>
          Done
        </Button>
      </p>
    </Modal>
  );
}

interface RowProps {
  readonly label: string;
  readonly told: string;
  readonly children: ReactNode;
}

const Row = ({ label, told, children }: RowProps) => (
  <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 border-b border-line pb-3">
    <p>
      <span className="block font-semibold">{label}</span>
      <span className="text-small text-mute">{told}</span>
    </p>
    {children}
  </div>
);
