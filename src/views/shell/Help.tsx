import DOMPurify from 'dompurify';
import { marked } from 'marked';
import { Dialog, Tabs } from 'radix-ui';
import guide from '../../../docs/guide.md?raw';
import { useAllCommands } from '../../app/commands';
import { GLOSSARY } from '../../core/base/glossary';
import { Button } from '../../ui/Button';
import { Modal } from '../../ui/Modal';

/** Keys that belong to a control rather than to a command. */
const AT_A_CONTROL = [
  ['Arrow keys', 'on a mark, a handle, a number or the rail: move it; with Shift ten times as far'],
  ['Home, End', 'on a mark, a handle or the rail: to its ends; Page up and down: ten steps up or down'],
  ['Letters', 'on the rail: the ink whose name begins so'],
  ['Enter', 'on the rail: put the ink on the ladder; on a mark: type its measure'],
  ['Space, Page down', 'step by step, and in a sitting: done, and the next; Page up: the one before'],
  ['1 to 6', 'in practice: the answer of that number'],
  ['Esc', 'close what is open, take back what is being typed, stop practising'],
] as const;

/** The guide by its topics, in order. */
const TOPICS = guide
  .split(/^## /m)
  .slice(1)
  .map((topic) => {
    const [title = '', ...lines] = topic.split('\n');
    return { title, html: DOMPurify.sanitize(marked.parse(lines.join('\n'), { async: false })) };
  });

/** The guide by topic, every key there is at this place, and what the words of the trade mean. */
export default function Help({
  onTour,
  onClose,
}: {
  readonly onTour: () => void;
  readonly onClose: () => void;
}) {
  const withKeys = useAllCommands().filter(({ key }) => key);
  const row = 'grid grid-cols-[9rem_1fr] gap-3 border-b border-line py-1';
  const tab =
    'rounded-[3px] px-2.5 py-1.5 text-left text-mute hover:bg-field data-[state=active]:bg-field data-[state=active]:font-semibold data-[state=active]:text-text max-sm:whitespace-nowrap';
  return (
    <Modal lies="middle" className="w-[min(52rem,96vw)]" onClose={onClose}>
      <Dialog.Title className="heading mb-3 text-title">Help</Dialog.Title>
      <Tabs.Root
        defaultValue="Begin"
        orientation="vertical"
        className="grid h-[min(34rem,66dvh)] gap-4 max-sm:grid-rows-[auto_minmax(0,1fr)] sm:grid-cols-[14rem_1fr]"
      >
        <Tabs.List aria-label="Topics" className="flex overflow-auto sm:flex-col">
          {[...TOPICS.map(({ title }) => title), 'Keys', 'Words'].map((title) => (
            <Tabs.Trigger key={title} value={title} className={tab}>
              {title}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        {TOPICS.map(({ title, html }) => (
          <Tabs.Content key={title} value={title} className="guide overflow-y-auto pr-2 text-lead">
            {/* biome-ignore lint/security/noDangerouslySetInnerHtml: the application's own guide, cleaned */}
            <div dangerouslySetInnerHTML={{ __html: html }} />
          </Tabs.Content>
        ))}
        <Tabs.Content value="Keys" className="overflow-y-auto pr-2">
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
        </Tabs.Content>
        <Tabs.Content value="Words" className="overflow-y-auto pr-2">
          <dl>
            {GLOSSARY.map(({ term, meaning }) => (
              <div key={term} className={row}>
                <dt className="font-semibold">{term}</dt>
                <dd>{meaning}</dd>
              </div>
            ))}
          </dl>
        </Tabs.Content>
      </Tabs.Root>
      <div className="mt-4 flex justify-end gap-2">
        <Button onClick={onTour}>Show me round the bench</Button>
        <Dialog.Close asChild>
          <Button look="strong">Close</Button>
        </Dialog.Close>
      </div>
    </Modal>
  );
}
