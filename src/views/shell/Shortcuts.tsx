import { Dialog } from 'radix-ui';
import { useAllCommands } from '../../app/commands';
import { GLOSSARY } from '../../core/base/glossary';
import { useAppDispatch, useAppSelector } from '../../store/hooks';
import { viewSet } from '../../store/view';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Modal } from '../../ui/Modal';

/** Keys that belong to a control rather than to a command. */
const AT_A_CONTROL = [
  ['Arrow keys', 'on a mark, a handle, a number or the rail: move it; with Shift ten times as far'],
  ['Home, End', 'on a mark or a handle: to its ends; Page up and down: ten steps up or down'],
  ['Enter', 'on the rail: put the ink on the ladder'],
  ['Space, Page down', 'step by step: the next step; Page up: the one before'],
  ['Esc', 'close what is open, take back what is being typed'],
] as const;

/** Every key there is at this place, and what the words of the trade mean. */
export default function Shortcuts({
  onTour,
  onClose,
}: {
  readonly onTour: () => void;
  readonly onClose: () => void;
}) {
  const dispatch = useAppDispatch();
  const letterKeys = useAppSelector(({ view }) => view.letterKeys);
  const withKeys = useAllCommands().filter(({ key }) => key);
  const row = 'grid grid-cols-[9rem_1fr] gap-3 border-b border-line py-1';
  return (
    <Modal lies="middle" className="w-[min(36rem,94vw)]" onClose={onClose}>
      <Dialog.Title className="heading mb-3 text-title">Keys and words</Dialog.Title>
      <dl>
        {withKeys.map(({ id, label, key }) => (
          <div key={id} className={row}>
            <dt>
              <kbd className="font-sans font-semibold">{key}</kbd>
            </dt>
            <dd>{label}</dd>
          </div>
        ))}
        {AT_A_CONTROL.map(([key, label]) => (
          <div key={key} className={row}>
            <dt>
              <kbd className="font-sans font-semibold">{key}</kbd>
            </dt>
            <dd>{label}</dd>
          </div>
        ))}
      </dl>
      <div className="mt-3">
        <Checkbox
          label="Keys of one letter or sign do something"
          checked={letterKeys}
          onChange={({ target }) => dispatch(viewSet({ letterKeys: target.checked }))}
        />
      </div>
      <h2 className="heading mt-5 mb-1 text-lead">Words</h2>
      <dl>
        {GLOSSARY.map(({ term, meaning }) => (
          <div key={term} className={row}>
            <dt className="font-semibold">{term}</dt>
            <dd>{meaning}</dd>
          </div>
        ))}
      </dl>
      <div className="mt-4 flex justify-end gap-2">
        <Button onClick={onTour}>Show me round the bench</Button>
        <Dialog.Close asChild>
          <Button look="strong">Close</Button>
        </Dialog.Close>
      </div>
    </Modal>
  );
}
