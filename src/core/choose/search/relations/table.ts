import { bridge } from './bridge';
import { lightAndDark } from './lightAndDark';
import { neighbours } from './neighbours';
import { newColour } from './newColour';
import { primaries } from './primaries';
import { quieted } from './quieted';
import { tonal } from './tonal';

/** Every relation, in the order they are offered. */
export const RELATION_TABLE = {
  tonal,
  neighbours,
  bridge,
  newColour,
  quieted,
  primaries,
  lightAndDark,
} as const;
