import { focusMain } from './focus';

/** What the keys may fall to: what does nothing by a letter alone, nor by an arrow. */
const CONTROL =
  'button:not(:disabled, [role=option], [role=radio]), a[href], summary, input[type=checkbox]:not(:disabled)';
/** So far from what is gone another control is looked for, in elements around it. */
const REACH = 3;
/** So long those that know better where the keys belong have the first say, ms. */
const AFTER_OTHERS = 50;

const DIALOG = '[role=dialog], [role=alertdialog]';
/** What holds whole views: where that is another one now, nothing of what had the keys is left. */
const ROOT = `main, ${DIALOG}`;

/** An element, and which of its children held what had the keys. */
interface Place {
  readonly around: Element;
  readonly at: number;
}

function placesOf(focused: Element): Place[] {
  const places: Place[] = [];
  for (let one = focused; one.parentElement && !one.matches(ROOT); one = one.parentElement)
    places.push({ around: one.parentElement, at: [...one.parentElement.children].indexOf(one) });
  return places;
}

/** The control that stands where one was: in what took its place, after it, or before it. */
function controlNear({ around, at }: Place): HTMLElement | undefined {
  const children = [...around.children];
  const inOrder = [...children.slice(at), ...children.slice(0, at).toReversed()];
  for (const child of inOrder) {
    const found = child.matches(CONTROL) ? child : child.querySelector(CONTROL);
    if (found instanceof HTMLElement && found.checkVisibility()) return found;
  }
  return undefined;
}

/** Nothing has the keys, or only the dialog itself, which takes them where what had them in it is gone. */
const isLost = (gone: readonly Place[]): boolean => {
  const has = document.activeElement;
  if (has === document.body) return true;
  const dialog = has?.matches(DIALOG) ? has : undefined;
  return gone.some(({ around }) => dialog !== around && dialog?.contains(around));
};

/**
 * What is pressed by keys and goes with it (a row that is taken off, a button that has done its work) leaves them to the
 * control that stands nearest, or to the view; one that waits for its work gets them back. Otherwise they would fall to
 * the page, and the next Tab begin at its top (WCAG 2.2, 2.4.3).
 */
export function keepFocus(): void {
  let last: HTMLElement | undefined;
  let places: Place[] = [];
  let waits = false;
  let isDown = false;
  let hasMoved = false;
  const remember = ({ target }: Event) => {
    last = target instanceof HTMLElement && target.closest(ROOT) ? target : undefined;
    places = last ? placesOf(last) : [];
    waits = false;
  };
  const handOn = (gone: readonly Place[]) => {
    const left = gone.filter(({ around }) => around.isConnected && !around.matches(ROOT));
    hasMoved = isDown;
    const near = left.slice(0, REACH).map(controlNear).find(Boolean);
    if (near) near.focus({ preventScroll: true });
    else if (document.activeElement === document.body) focusMain();
  };
  const look = () => {
    if (!last || document.activeElement !== document.body) return;
    if (last.isConnected) {
      if (last.matches(':disabled')) waits = true;
      else if (waits) last.focus({ preventScroll: true });
      return;
    }
    last = undefined;
    const gone = places;
    setTimeout(() => isLost(gone) && handOn(gone), AFTER_OTHERS);
  };
  addEventListener('focusin', remember);
  // A key that is held on does not press what it was moved to.
  const press = (event: KeyboardEvent) => {
    isDown = true;
    if (!event.repeat) hasMoved = false;
    else if (hasMoved) event.preventDefault();
  };
  const letGo = () => {
    isDown = false;
    hasMoved = false;
  };
  addEventListener('keydown', press, { capture: true });
  addEventListener('keyup', letGo, { capture: true });
  // Pressed beside everything, the keys were let go on purpose.
  addEventListener('pointerdown', () => (last = undefined), { capture: true });
  new MutationObserver(look).observe(document.body, {
    childList: true,
    subtree: true,
    attributes: true,
    attributeFilter: ['disabled'],
  });
}
