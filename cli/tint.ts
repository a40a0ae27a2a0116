import { runTint } from './commands';
import { Mistake } from './mistake';

/** So many letters of a message are told at the most. */
const LONGEST = 4000;

runTint(process.argv.slice(2)).then(
  (told) => console.log(told),
  (error: unknown) => {
    const told = error instanceof Error ? error.message : String(error);
    // A message may quote what it is about, which may be very long.
    const short = told.length > LONGEST ? `${told.slice(0, LONGEST)} …` : told;
    console.error(error instanceof Mistake ? short : `A fault of the program: ${short}`);
    process.exitCode = 1;
  },
);
