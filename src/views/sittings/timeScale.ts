import { scaleLinear } from 'd3-scale';
import type { Break } from '../../core/make/sitting/sitting';

/** Nobody being there for longer than this, minutes, is shown as a gap of one width. */
const LONG = 40;
/** How wide such a gap is, px of usual text. */
export const GAP_WIDTH = 78;

/** When nobody was there for so long that an evening would shrink beside it. */
export const longGaps = (away: readonly { readonly from: number; readonly to?: number }[] = []): Break[] =>
  away.flatMap(({ from, to = from }) => (to - from > LONG ? [{ start: from, minutes: to - from }] : []));

export interface TimeScale {
  readonly x: (minute: number) => number;
  readonly width: number;
  /** How wide a minute outside the gaps is, px. */
  readonly aMinute: number;
}

/**
 * Minutes of an evening on a line, with its long gaps as wide as each other.
 *
 * @param room  the width there is, px
 * @param least  the least width of a minute, px: where that is more than the room, the line is longer
 */
export function timeScale(
  span: number,
  gaps: readonly Break[],
  { room, least, gap }: { readonly room: number; readonly least: number; readonly gap: number },
): TimeScale {
  const within = gaps.filter(({ start, minutes }) => start >= 0 && start + minutes <= span);
  const shown = span - within.reduce((sum, { minutes }) => sum + minutes, 0);
  const width = Math.max(room, shown * least + within.length * gap);
  const aMinute = shown > 0 ? (width - within.length * gap) / shown : 0;
  const [domain, range] = [[0], [0]];
  let [at, px] = [0, 0];
  const to = (minute: number, wide: number) => {
    if (minute <= at) return;
    px += wide;
    at = minute;
    domain.push(at);
    range.push(px);
  };
  for (const { start, minutes } of within) {
    to(start, (start - at) * aMinute);
    to(start + minutes, gap);
  }
  to(span, (span - at) * aMinute);
  return { x: scaleLinear(domain, range), width, aMinute };
}
