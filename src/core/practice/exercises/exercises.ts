import { border } from './border';
import { darker } from './darker';
import type { Exercise, ExerciseId } from './definition';
import { greeting } from './greeting';
import { join } from './join';
import { marks } from './marks';
import { middle } from './middle';
import { mix } from './mix';
import { stronger } from './stronger';
import { thirds } from './thirds';
import { twins } from './twins';
import { values } from './values';
import { wet } from './wet';
import { wrong } from './wrong';

/** Every exercise; a new one is a file and a line here. */
export const EXERCISES: Readonly<Record<ExerciseId, Exercise>> = {
  values,
  darker,
  join,
  stronger,
  border,
  thirds,
  wet,
  greeting,
  twins,
  middle,
  wrong,
  mix,
  marks,
};
