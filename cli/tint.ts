import { runTint } from './commands';
import { Mistake } from './mistake';

runTint(process.argv.slice(2)).then(
  (told) => console.log(told),
  (error: unknown) => {
    if (!(error instanceof Mistake)) throw error;
    console.error(error.message);
    process.exitCode = 1;
  },
);
