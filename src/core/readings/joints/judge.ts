import { COLOURLESS, chroma, hueDegrees, type Lab } from '../../materials/colour/lab';

/**
 * The rule by which joints are judged, on plain numbers: what a maker is told of one joint and what a search asks of
 * all of a shelf's are the same. Rule and thresholds were set against pairs with a known verdict of the trade; common
 * practice.
 */

/** A rung less colourful than this has nothing to lose: there is no mud. */
const COLOURFUL = 12;
/** What has less than this part of the weaker rung's chroma is dull. */
const DULL = 0.85;
/** Under this chroma a colour is grey, whatever its hue, and mud where it is dark; greyed greens and blues of more are liked. */
const GREY = 5;
/** Greyed rose, brown and olive are disliked, greyed greens and blues are not: this side of the hue circle, degrees. */
const DISLIKED = { from: 340, to: 120, darkTo: 130, darkBelow: 50 } as const;
/** A dull stretch darker than this, L*, is mud; a paler one only dulls. Toward green, from such a hue on, it has to be darker still. */
const MUD_BELOW = 65;
const GREENISH = { from: 105, below: 55 } as const;
/**
 * A colour livelier than this, C*, is dull to no eye, however much livelier the rungs are: yellow and pink make coral, yellow
 * and magenta red. From pale colours less is asked, for each step of L* above 65; of dark ones more below 55, except in the
 * reds, since a dark orange is a brown and a dark red still red. Between those hues, degrees, the one goes over into the
 * other. By eye.
 */
const LIVELY = {
  red: 34,
  brown: 38,
  redTo: 30,
  brownFrom: 50,
  less: 0.6,
  more: 3,
  paleFrom: 65,
  darkTo: 55,
} as const;
/** A new colour takes two stations, or this part of the joint's whole change, CIEDE2000. */
const WIDE = 0.15;
/** It differs from both rungs by at least this, CIEDE2000. */
const APART = 8;

/** @param c  the colour's chroma; its hue is asked for only where that is low */
function isDull(lab: Lab, c: number, weaker: number): boolean {
  if (c >= DULL * weaker) return false;
  if (c < GREY) return true;
  const h = hueDegrees(lab);
  if (isLively(lab.l, c, h)) return false;
  return h >= DISLIKED.from || h <= (lab.l < DISLIKED.darkBelow ? DISLIKED.darkTo : DISLIKED.to);
}

const isGreyed = (_: Lab, c: number): boolean => c < COLOURLESS;

function isLively(l: number, c: number, h: number): boolean {
  const { red, brown, redTo, brownFrom, less, more, paleFrom, darkTo } = LIVELY;
  const turned = h >= DISLIKED.from ? 0 : Math.min(Math.max((h - redTo) / (brownFrom - redTo), 0), 1);
  const pale = less * Math.max(0, l - paleFrom);
  return c > red + turned * (brown - red + more * Math.max(0, darkTo - l)) - pale;
}

/** Where a joint is at its dullest: the station, and whether it is mud there; −1 where it nowhere dulls. */
export interface Dullness {
  at: number;
  isMud: boolean;
}

/**
 * Two neighbouring stations that are dull make a dull stretch, and so, where there is none, do two that are greyed; the
 * least colourful of all in such stretches decides.
 *
 * @param labs  all stations, both rungs included, as they dry
 * @param into  what is found is written here, so that thousands of joints are judged without a value each
 */
export function findDullness(labs: readonly Lab[], into: Dullness): void {
  const weaker = Math.min(chroma(labs[0]), chroma(labs[labs.length - 1]));
  into.at = -1;
  if (weaker >= COLOURFUL) into.at = leastOf(labs, weaker, isDull);
  if (weaker >= COLOURFUL && into.at < 0) into.at = leastOf(labs, weaker, isGreyed);
  into.isMud = into.at >= 0 && isDarkEnough(labs[into.at]);
}

/** The least colourful station of all that lie side by side and are so; −1 where no two do. */
function leastOf(labs: readonly Lab[], weaker: number, isSo: typeof isDull): number {
  let at = -1;
  let least = Number.POSITIVE_INFINITY;
  let before = false;
  let chromaBefore = 0;
  for (let i = 1; i < labs.length - 1; i++) {
    const lab = labs[i];
    const c = chroma(lab);
    const here = isSo(lab, c, weaker);
    if (here && before) {
      if (chromaBefore < least) {
        least = chromaBefore;
        at = i - 1;
      }
      if (c < least) {
        least = c;
        at = i;
      }
    }
    before = here;
    chromaBefore = c;
  }
  return at;
}

/** Whether what is dull is dark enough to be mud. */
function isDarkEnough(lab: Lab): boolean {
  if (lab.l >= MUD_BELOW) return false;
  if (chroma(lab) < GREY) return true;
  const h = hueDegrees(lab);
  if (h > DISLIKED.darkTo && h < DISLIKED.from) return false;
  return lab.l < GREENISH.below || h < GREENISH.from || h >= DISLIKED.from;
}

/** What only says that a colour is gone. */
export const GREYS: ReadonlySet<string> = new Set(['gray', 'olive gray']);

/**
 * The new colour of a joint: of the nouns that neither rung has the widest, by its share of the joint's change, told
 * where it is farthest from both rungs.
 *
 * @param nouns      of all stations, both rungs included: equal where they are the same noun. A grey is nobody's new
 *                   colour: where a station is colourless, or its noun one of `GREYS`, a rung's noun stands for its own
 * @param steps      CIEDE2000 from each station to the next
 * @param fromRungs  CIEDE2000 of each station to the nearer rung
 * @returns the station, or −1 where there is none
 */
export function findFresh(
  nouns: ArrayLike<unknown>,
  steps: ArrayLike<number>,
  fromRungs: ArrayLike<number>,
): number {
  const last = nouns.length - 1;
  let whole = 0;
  for (let i = 0; i < last; i++) whole += steps[i];
  let best = -1;
  let widest = 0;
  for (let i = 1; i < last; i++) {
    const noun = nouns[i];
    if (noun === nouns[0] || noun === nouns[last]) continue;
    // Each noun is looked at once, where it is first met.
    let seen = false;
    for (let k = 1; k < i; k++) if (nouns[k] === noun) seen = true;
    if (seen) continue;
    let width = 0;
    let count = 0;
    let farthest = i;
    for (let k = i; k < last; k++) {
      if (nouns[k] !== noun) continue;
      count++;
      width += (steps[k - 1] + steps[k]) / 2;
      if (fromRungs[k] > fromRungs[farthest]) farthest = k;
    }
    const isWide = count >= 2 || width >= WIDE * whole;
    if (isWide && fromRungs[farthest] >= APART && width > widest) {
      widest = width;
      best = farthest;
    }
  }
  return best;
}
