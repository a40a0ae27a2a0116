import {
  createContext,
  type ReactNode,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { useAppSelector } from '../store/hooks';
import { latinKey } from '../ui/latinKey';
import { isTyping } from '../ui/TypedField';

/** Something the maker can have done by its name, and by a key where it has one. */
export interface Command {
  readonly id: string;
  readonly label: string;
  readonly group: string;
  /** Other words that people look for it by. */
  readonly also?: string;
  /** A key alone, or `Ctrl+` and a key; Ctrl stands for the command key too. */
  readonly key?: string;
  readonly run: () => void;
}

/** Puts an ink on the recipe in hand. */
type TakeInk = (inkId: string) => void;

interface Registry {
  readonly commands: readonly Command[];
  /** Undefined where no recipe is in hand. */
  readonly takeInk: TakeInk | undefined;
  readonly offerTaker: (take: TakeInk | undefined) => void;
  readonly offer: (commands: readonly Command[]) => () => void;
}

const CommandContext = createContext<Registry>({
  commands: [],
  takeInk: undefined,
  offerTaker: () => {},
  offer: () => () => {},
});

/** A key that nobody takes is kept so long, ms: the commands of a view that has just opened may still be being read. */
const KEY_WAITS = 5000;

/** Collects the commands of every view that is open, and listens to their keys. */
export function CommandProvider({ children }: { readonly children: ReactNode }) {
  const [offers, setOffers] = useState<readonly (readonly Command[])[]>([]);
  const commands = useMemo(() => offers.flat(), [offers]);
  const [taker, setTaker] = useState<{ readonly take: TakeInk | undefined }>();
  const offerTaker = useCallback((take: TakeInk | undefined) => setTaker({ take }), []);
  const offer = useMemo(
    () => (more: readonly Command[]) => {
      setOffers((all) => [...all, more]);
      return () => setOffers((all) => all.filter((one) => one !== more));
    },
    [],
  );
  const letterKeys = useAppSelector(({ view }) => view.letterKeys);
  const latest = useRef({ commands, letterKeys });
  latest.current = { commands, letterKeys };
  const missed = useRef<{ readonly pressed: string; readonly at: number }>(undefined);
  useEffect(() => {
    const forget = () => {
      missed.current = undefined;
    };
    const onKeyDown = (event: KeyboardEvent) => {
      forget();
      const pressed = keyOf(event);
      const plain = !pressed.startsWith('Ctrl+');
      if (event.defaultPrevented || (plain && (!latest.current.letterKeys || isWriting(event.target))))
        return;
      if (isTyping(event.target) && pressed !== 'Ctrl+k') return;
      const command = latest.current.commands.find(({ key }) => key === pressed);
      if (!command) {
        missed.current = { pressed, at: performance.now() };
        return;
      }
      event.preventDefault();
      command.run();
    };
    window.addEventListener('keydown', onKeyDown);
    // Whoever goes on to something else no longer means it.
    window.addEventListener('pointerdown', forget);
    return () => {
      window.removeEventListener('keydown', onKeyDown);
      window.removeEventListener('pointerdown', forget);
    };
  }, []);
  useEffect(() => {
    const { pressed, at } = missed.current ?? { pressed: '', at: 0 };
    const command = commands.find(({ key }) => key !== undefined && key === pressed);
    if (!command) return;
    missed.current = undefined;
    if (performance.now() - at < KEY_WAITS) command.run();
  }, [commands]);
  const takeInk = taker?.take;
  const value = useMemo(
    () => ({ commands, takeInk, offerTaker, offer }),
    [commands, takeInk, offerTaker, offer],
  );
  return <CommandContext value={value}>{children}</CommandContext>;
}

function keyOf(event: KeyboardEvent): string {
  const { ctrlKey, metaKey, shiftKey, altKey } = event;
  if (altKey) return '';
  const letter = latinKey(event);
  return ctrlKey || metaKey ? `Ctrl+${shiftKey ? 'Shift+' : ''}${letter}` : letter;
}

/** Letters typed into a field are no commands, nor are those that look for an entry of a menu. */
const isWriting = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.closest('input:not([type=checkbox]), textarea, select, [role=dialog], [role=menu]') !== null;

export const useAllCommands = (): readonly Command[] => useContext(CommandContext).commands;

/** Offers commands while a view is open. Keep the list itself steady, or it is offered anew each time. */
export function useCommands(commands: readonly Command[]): void {
  const { offer } = useContext(CommandContext);
  useEffect(() => offer(commands), [offer, commands]);
}

export const useTakeInk = (): TakeInk | undefined => useContext(CommandContext).takeInk;

/** Takes the inks that are found while a recipe is in hand. */
export function useInkTaker(take: TakeInk): void {
  const { offerTaker } = useContext(CommandContext);
  const latest = useRef(take);
  latest.current = take;
  useEffect(() => {
    offerTaker((inkId) => latest.current(inkId));
    return () => offerTaker(undefined);
  }, [offerTaker]);
}
