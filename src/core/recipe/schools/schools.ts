import { bothEnds } from './bothEnds';
import { darkFirst } from './darkFirst';
import type { School } from './definition';
import { middleOut } from './middleOut';
import { paleFirst } from './paleFirst';

/** Every school, in the order they are offered. */
const TABLE = { paleFirst, darkFirst, bothEnds, middleOut } as const;

export type SchoolId = keyof typeof TABLE;

export const SCHOOLS: Readonly<Record<SchoolId, School>> = TABLE;
export const SCHOOL_IDS = Object.keys(TABLE) as readonly SchoolId[];
