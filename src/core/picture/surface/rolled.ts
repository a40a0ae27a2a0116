import type { Point } from '../../base/geometry';
import { memo } from '../../base/memo';
import { smoothNoise } from '../../base/noise';
import { smoothStep } from '../../base/smoothStep';
import type { Rolled } from '../../recipe/tools/marks';
import { withSpread } from './noise';

/** How fine streaks are known across the run, mm, and how far across they go before they repeat. */
const FINE = 0.1;
const ACROSS = 8192;
/** Streaks change along the run over about so many mm; a roller's turn is some ninety. */
const ALONG = 60;
/** Over about so many mm the pressure changes that decides where card shows. */
const LANDS = 11;
/** So many times its spread a streak is short of ink where the card begins to show. */
const SHORT = 2.15;
const SEED = 1931;

/** What a roller leaves at a place: more or less ink in coats, and how much is bare, 0…1. */
export interface Track {
  cover: number;
  bare: number;
}

/** Streaks across the run: two sets, which one changes into along it. */
const streaksOf = memo(4, ({ streaks }: Rolled): readonly [Float32Array, Float32Array] => {
  const set = (seed: number) => {
    const octaves = [streaks.from, 2 * streaks.from, 4 * streaks.from, streaks.to / 2, streaks.to].map(
      (size, i) => ({ noise: smoothNoise(size / 2, seed + i), weight: Math.sqrt(size) }),
    );
    return withSpread(
      Float32Array.from({ length: ACROSS }, (_, i) =>
        octaves.reduce((sum, { noise, weight }) => sum + weight * noise(i * FINE, 3.7 * seed), 0),
      ),
      streaks.spread,
    );
  };
  return [set(SEED), set(SEED + 50)];
});

/**
 * The tracks of a roller that goes the way the ladder does.
 *
 * @param depth  how much of its streaks is left, 1 being all: a mist smooths them
 */
export function tracksOf(
  rolled: Rolled,
  toward: Point,
  depth: number,
): (x: number, y: number, speck: number, into: Track) => void {
  const [one, other] = streaksOf(rolled);
  const { width, edge, skips } = rolled;
  const begin = 0.31 * width;
  const drift = smoothNoise(ALONG, SEED + 9);
  const sway = smoothNoise(2.2 * ALONG, SEED + 10);
  // A roller lifts and lands: what it skips comes and goes along the run.
  const lands = smoothNoise(LANDS, SEED + 11);
  return (x, y, speck, into) => {
    const along = x * toward.x + y * toward.y;
    const straight = x * toward.y - y * toward.x;
    // No hand rolls dead straight.
    const across = straight + 1.2 * sway(0.2 * straight, along);
    const place = ((((across / FINE) % ACROSS) + ACROSS) % ACROSS) | 0;
    const part = 0.5 + 0.5 * drift(0.15 * across, along);
    const streak = one[place] * (1 - part) + other[place] * part;
    const track = (((across + begin) % width) + width) % width;
    const near = Math.min(track, width - track) / edge.width;
    const line = near < 3 ? edge.strength * Math.exp(-near * near) : 0;
    into.cover = depth * (streak + line);
    // Where little comes down, it comes down on the peaks alone.
    const short = -streak / rolled.streaks.spread - SHORT - skips * speck + 1.1 * lands(0.5 * across, along);
    into.bare = short <= 0 ? 0 : depth * (short >= 1 ? 1 : smoothStep(short));
  };
}
