import { brayer } from './brayer';
import { brush } from './brush';
import { dauber } from './dauber';
import type { Tool } from './definition';
import { dip } from './dip';
import { foam } from './foam';
import { pad } from './pad';
import { smallBrush } from './smallBrush';

/** Every tool, in the order they are offered. */
const TABLE = { brush, smallBrush, foam, dauber, brayer, pad, dip } as const;

export type ToolId = keyof typeof TABLE;

export const TOOLS: Readonly<Record<ToolId, Tool>> = TABLE;
export const TOOL_IDS = Object.keys(TABLE) as readonly ToolId[];
