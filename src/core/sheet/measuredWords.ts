/** The work of a recipe in measured words, on whatever run it lies. */
export interface MeasuredWords {
  /** What to mark on the panel before any ink, with where from. */
  readonly marks: string;
  /** Where one rung's ink lies solid and, unless it stops there, how far it fades. */
  readonly lay: (rung: number, fades?: boolean) => string;
  /** Where two rungs meet. */
  readonly join: (one: number, other: number) => string;
  /** The part of the panel each rung covers. */
  readonly areas: ArrayLike<number>;
}
