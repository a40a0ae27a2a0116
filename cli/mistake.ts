/** Something the caller did wrong: told on standard error, exit 1. */
export class Mistake extends Error {}
