import { vi } from 'vitest';

/** Runs of a property while faults are put into the code: each is tried against so many, always the same. */
const FEW = 8;
/** For so long each property is asked on a hunt, seconds; absent where there is none. */
const hunted = Number(process.env.HUNT_SECONDS);

/** Set up before tests that are run thousands of times over, where properties are asked a few cases, or once for very many. */
vi.mock('fast-check', async (original) => {
  const { default: fc } = await original<typeof import('fast-check')>();
  type Options = Parameters<typeof fc.assert>[1];
  const asked = (options: Options): Options =>
    hunted
      ? { ...options, numRuns: Number.MAX_SAFE_INTEGER, interruptAfterTimeLimit: hunted * 1000 }
      : { ...options, numRuns: Math.min(options?.numRuns ?? FEW, FEW), seed: 1 };
  const own = {
    ...fc,
    assert: (property: Parameters<typeof fc.assert>[0], options?: Options) =>
      fc.assert(property, asked(options)),
  };
  return { ...own, default: own };
});
