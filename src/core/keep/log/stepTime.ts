/** How long one step of the sheet took. */
export interface StepTime {
  readonly key: string;
  readonly title: string;
  readonly minutes: number;
}

export const STEP_MINUTES = { min: 0, max: 24 * 60 } as const;

/** The time a step took, to the hundredth of a minute; none where it was left lying for longer than a day. */
export function stepTimes({ key, title }: Omit<StepTime, 'minutes'>, minutes: number): StepTime[] {
  return minutes > STEP_MINUTES.max ? [] : [{ key, title, minutes: Number(minutes.toFixed(2)) }];
}
