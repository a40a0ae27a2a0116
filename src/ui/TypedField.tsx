import { useId, useState } from 'react';

interface Props {
  readonly label: string;
  /** The value as it is shown while nobody types. */
  readonly shown: string;
  /** Takes what was typed; returns what is wrong with it, if anything. */
  readonly onCommit: (text: string) => string | undefined;
  /** What arrow up and down do to it, ten times with Shift; left out, nothing. */
  readonly onStep?: (steps: number) => void;
  readonly className?: string;
  readonly suffix?: string;
  /** As wide as what it stands in, for a name of any length; else as wide as a figure or its class asks for. */
  readonly isWide?: boolean;
  /** It opens for this text to be typed on, and is told of when that is over. */
  readonly begin?: { readonly text: string; readonly onOver: () => void };
}

/** A number or name that is typed in place: Enter or leaving commits, Escape takes it back. */
export function TypedField({ label, shown, onCommit, onStep, className = '', suffix, isWide, begin }: Props) {
  const [typed, setTyped] = useState<string | null>(begin?.text || null);
  const [problem, setProblem] = useState<string>();
  const problemId = useId();

  const commit = () => {
    if (typed === null) {
      begin?.onOver();
      return;
    }
    const wrong = typed.trim() === shown ? undefined : onCommit(typed.trim());
    setProblem(wrong);
    if (wrong) return;
    setTyped(null);
    begin?.onOver();
  };
  const giveUp = () => {
    setTyped(null);
    setProblem(undefined);
    begin?.onOver();
  };
  return (
    <span className={`relative items-center gap-1 ${isWide ? 'flex w-full' : 'inline-flex'}`}>
      <input
        aria-label={label}
        aria-invalid={problem !== undefined}
        aria-describedby={problem ? problemId : undefined}
        value={typed ?? shown}
        data-typing={typed !== null && typed !== shown}
        autoComplete="off"
        spellCheck={false}
        onChange={(event) => setTyped(event.target.value)}
        // biome-ignore lint/a11y/noAutofocus: it was opened by a press or a key, to be typed in
        autoFocus={begin !== undefined}
        onFocus={(event) => begin?.text || event.target.select()}
        onBlur={() => {
          commit();
          if (problem) giveUp();
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') giveUp();
          if (onStep && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
            event.preventDefault();
            // What is being typed is taken first; the next arrow steps from it.
            if (typed !== null && typed.trim() !== shown) return commit();
            giveUp();
            onStep((event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1));
          }
        }}
        className={`frame min-h-6 px-1.5 font-semibold ${isWide ? 'w-full truncate' : ''} ${className}`}
      />
      {suffix && <span className="text-mute">{suffix}</span>}
      {problem && (
        <span
          id={problemId}
          role="alert"
          ref={keepOnPage}
          className="absolute top-full right-0 z-30 mt-1 w-56 rounded-[3px] bg-strong px-2 py-1 text-on-strong"
        >
          {problem}
        </span>
      )}
    </span>
  );
}

/** Room between what is told and the page's side, px. */
const ROOM = 8;

/** What is told of a field near the left side of a narrow page is moved in, so that all of it can be read. */
function keepOnPage(told: HTMLElement | null): void {
  const left = told?.getBoundingClientRect().left ?? ROOM;
  if (told && left < ROOM) told.style.translate = `${ROOM - left}px`;
}

/** True while a field holds text that is not committed, so that Ctrl+Z belongs to the text. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement && target.dataset.typing === 'true';
