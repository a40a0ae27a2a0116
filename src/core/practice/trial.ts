import type { ExerciseId } from './exercises/definition';

/** One item as it was answered. */
export interface Trial {
  readonly id?: number;
  /** Milliseconds since 1970. */
  readonly at: number;
  readonly exercise: ExerciseId;
  readonly key: string;
  /** What was to be told apart, in the exercise's unit. */
  readonly level: number;
  readonly isRight: boolean;
  /** 0…1. */
  readonly score: number;
  /** How far off, where something was set. */
  readonly off?: number;
  readonly inks: readonly string[];
  /** Hue sectors it was about. */
  readonly hues: readonly number[];
}
