import { backgroundStamp } from './backgroundStamp';
import { clearResist } from './clearResist';
import { coat } from './coat';
import { darkCorners } from './darkCorners';
import { edge } from './edge';
import { edgeStencil } from './edgeStencil';
import { foil } from './foil';
import { glaze } from './glaze';
import { glycerine } from './glycerine';
import { greetingStrip } from './greetingStrip';
import { heatSet } from './heatSet';
import { horizon } from './horizon';
import { lift } from './lift';
import { mask } from './mask';
import { mist } from './mist';
import { ownEdge } from './ownEdge';
import { paste } from './paste';
import { patternStencil } from './patternStencil';
import { pearl } from './pearl';
import { penDots } from './penDots';
import { secondCoat } from './secondCoat';
import { shield } from './shield';
import { silhouette } from './silhouette';
import { splash } from './splash';
import { toneResist } from './toneResist';
import { toneStamp } from './toneStamp';
import { tornEdge } from './tornEdge';
import { waterStamp } from './waterStamp';
import { whiteBase } from './whiteBase';

/** Every kind of pass, a line each, in the order they are offered: before the blend, into it, over it. */
export const PASS_TABLE = {
  whiteBase,
  glycerine,
  backgroundStamp,
  toneResist,
  paste,
  mask,
  edge,
  darkCorners,
  mist,
  horizon,
  tornEdge,
  secondCoat,
  heatSet,
  clearResist,
  coat,
  shield,
  patternStencil,
  edgeStencil,
  lift,
  splash,
  waterStamp,
  toneStamp,
  ownEdge,
  silhouette,
  pearl,
  foil,
  glaze,
  greetingStrip,
  penDots,
} as const;
