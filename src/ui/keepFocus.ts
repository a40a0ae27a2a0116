import { focusMain } from './focus';

/** What the keys may fall to: what does nothing by a letter alone, nor by an arrow. */
const CONTROL =
  'button:not(:disabled, [role=option], [role=radio]), a[href], summary, input[type=checkbox]:not(:disabled)';
/** So far from what is gone another control is looked for, in elements around it. */
const REACH = 3;
/** So long those that know better where the keys belong have the first say, ms. */
const AFTER_OTHERS = 50;

/** An element, and which of its children held what had the keys. */
interface Place {
  readonly around: Element;
  readonly at: number;
}

function placesOf(focused: Element): Place[] {
  const places: Place[] = [];
  for (let one = focused; one.parentElement && one.tagName !== 'MAIN'; one = one.parentElement)
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
    last = target instanceof HTMLElement && target.closest('main') ? target : undefined;
    places = last ? placesOf(last) : [];
    waits = false;
  };
  const handOn = (gone: readonly Place[]) => {
    // Where the whole view is another one now, nothing of it is left.
    const left = gone.filter(({ around }) => around.isConnected && around.tagName !== 'MAIN');
    hasMoved = isDown;
    const near = left.slice(0, REACH).map(controlNear).find(Boolean);
    if (near) near.focus({ preventScroll: true });
    else focusMain();
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
    setTimeout(() => document.activeElement === document.body && handOn(gone), AFTER_OTHERS);
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
