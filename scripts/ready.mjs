// Makes one thing ready, beside what goes on meanwhile: node scripts/ready.mjs build, or installChromium.
import { build, installChromium } from './prepare.mjs';

const TASKS = { build, installChromium };
TASKS[process.argv[2]]();
