import { corners } from './corners';
import { glow } from './glow';
import { scatter } from './scatter';
import { slant } from './slant';
import { straight } from './straight';

/** Every run, in the order they are offered. */
export const RUN_TABLE = { straight, slant, glow, corners, scatter } as const;
