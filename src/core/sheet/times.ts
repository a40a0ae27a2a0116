/** Starting values for the minutes each piece of work takes; common practice. */
export const MINUTES = {
  layBand: 2,
  goBack: 0.75,
  wipeMat: 0.5,
  heatDry: 1.5,
} as const;

/** Minutes as a maker says them: `45 s`, `2 min`, `2½ min`, `1 h 5 min`. */
export function tellMinutes(minutes: number): string {
  if (minutes < 1) return `${Math.round(minutes * 60)} s`;
  const halves = Math.round(minutes * 2);
  const whole = Math.floor(halves / 2);
  if (whole >= 60)
    return whole % 60 === 0 ? `${whole / 60} h` : `${Math.floor(whole / 60)} h ${whole % 60} min`;
  return `${whole}${halves % 2 === 1 ? '½' : ''} min`;
}
