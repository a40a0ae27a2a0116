import {
  createContext,
  type ReactNode,
  useCallback,
  useContext,
  useEffect,
  useEffectEvent,
  useMemo,
  useRef,
  useState,
} from 'react';
import { useLocation } from 'react-router';
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

/** A key that nobody takes is kept so long, ms: a view that was gone to, or its commands, may still be being read. */
const KEY_WAITS = 5000;

/** Whether another view was gone to than the one that is drawn, at this path. */
const isLeft = (drawn: string): boolean => window.location.pathname !== drawn;

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
  const { pathname } = useLocation();
  // Follows once the views have changed what they offer.
  const [drawn, setDrawn] = useState(pathname);
  useEffect(() => setDrawn(pathname), [pathname]);
  const missed = useRef<{ readonly pressed: string; readonly at: number }>(undefined);
  const pressedOn = useRef(pathname);
  const forget = useEffectEvent(() => {
    missed.current = undefined;
  });
  const onKeyDown = useEffectEvent((event: KeyboardEvent) => {
    // A key that is held on does nothing more where it has led to.
    if (!event.repeat) pressedOn.current = window.location.pathname;
    else if (isLeft(pressedOn.current)) return;
    forget();
    const pressed = keyOf(event);
    const plain = !pressed.startsWith('Ctrl+');
    if (event.defaultPrevented || (plain && (!letterKeys || isWriting(event.target)))) return;
    if (isTyping(event.target) && pressed !== 'Ctrl+k') return;
    const command = commands.find(({ key }) => key === pressed);
    // On its way to another view the page stands as it was; a letter is meant for what is to come.
    if (!command || (plain && isLeft(drawn))) {
      missed.current = { pressed, at: performance.now() };
      return;
    }
    event.preventDefault();
    command.run();
  });
  useEffect(() => {
    window.addEventListener('keydown', onKeyDown);
    // Whoever goes on to something else no longer means it.
    window.addEventListener('pointerdown', forget);
    return () => {
      window.removeEventListener('keydown', onKeyDown);
      window.removeEventListener('pointerdown', forget);
    };
  }, []);
  useEffect(() => {
    if (isLeft(drawn)) return;
    const { pressed, at } = missed.current ?? { pressed: '', at: 0 };
    const command = commands.find(({ key }) => key !== undefined && key === pressed);
    if (!command) return;
    missed.current = undefined;
    if (performance.now() - at < KEY_WAITS) command.run();
  }, [commands, drawn]);
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
  const taken = useEffectEvent(take);
  useEffect(() => {
    offerTaker((inkId) => taken(inkId));
    return () => offerTaker(undefined);
  }, [offerTaker]);
}
