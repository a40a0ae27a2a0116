import type { Hex } from '../../core/materials/colour/hex';
import type { Ink, InkDepth } from '../../core/materials/ink/ink';
import type { InkKindId } from '../../core/materials/ink/kinds';

/**
 * The shelf of the Tollgate Kiln: an invented range, built by family and depth. Swatches were set by eye in
 * lightness, chroma and hue, and hold no measurement of any real ink.
 */
const FAMILIES: readonly (readonly [family: string, kind: InkKindId, deep: Hex, mid: Hex, pale: Hex])[] = [
  ['Gorse', 'hybrid', '#c98914', '#e3b20f', '#f8d46f'],
  ['Marram', 'pigment', '#93723a', '#bf9c54', '#e6cc97'],
  ['Kilnfire', 'hybrid', '#cb5a1c', '#ef8023', '#fdb881'],
  ['Saggar', 'pigment', '#96482c', '#c26945', '#e5a88c'],
  ['Hawberry', 'hybrid', '#9c1a2b', '#c83642', '#f0918a'],
  ['Slipware', 'hybrid', '#583520', '#865939', '#c99d7d'],
  ['Thrift', 'dye', '#b32f5f', '#e55b8e', '#f6b5c5'],
  ['Betony', 'hybrid', '#7f2a65', '#b04e94', '#e1a8ca'],
  ['Vetch', 'dye', '#6e418f', '#9769b8', '#ceb2da'],
  ['Sloe', 'hybrid', '#393060', '#625499', '#ae9ecc'],
  ['Tarn', 'hybrid', '#133f7c', '#3967b3', '#a5afdb'],
  ['Skerry', 'hybrid', '#005487', '#0883c3', '#9fbee3'],
  ['Haar', 'pigment', '#506c7d', '#7e9aac', '#bbcbd9'],
  ['Leat', 'dye', '#006877', '#009aab', '#8fd1de'],
  ['Weir', 'hybrid', '#004c52', '#007a7c', '#5bbfc5'],
  ['Polypody', 'hybrid', '#005643', '#008865', '#7ecab0'],
  ['Alder', 'hybrid', '#155222', '#3d8342', '#94c899'],
  ['Sedge', 'dye', '#4b6d1f', '#779c3b', '#b8d691'],
  ['Kelp', 'hybrid', '#4a491b', '#767531', '#b7b67e'],
  ['Cobble', 'pigment', '#504a44', '#888077', '#c4bdb5'],
  ['Culvert', 'hybrid', '#2b414a', '#56717d', '#9fb1ba'],
  ['Dunnock', 'hybrid', '#6f4c4d', '#a17678', '#d2b5b4'],
];

const SPECIALS: readonly Ink[] = [
  ink('Lantern', 'Yellow', 'pale', 'fluorescent', '#f4f03a'),
  ink('Lantern', 'Orange', 'mid', 'fluorescent', '#ff8a2b'),
  ink('Lantern', 'Pink', 'mid', 'fluorescent', '#ff5fa2'),
  ink('Lantern', 'Green', 'pale', 'fluorescent', '#6fe05a'),
  ink('Slip', 'White', 'pale', 'white', '#fdfdfb'),
  ink('Soot', 'Line', 'deep', 'detail', '#141416'),
];

export const DEMO_INKS: readonly Ink[] = [
  ...FAMILIES.flatMap(([family, kind, deep, mid, pale]) => [
    ink(family, 'Deep', 'deep', kind, deep),
    ink(family, 'Mid', 'mid', kind, mid),
    ink(family, 'Pale', 'pale', kind, pale),
  ]),
  ...SPECIALS,
];

function ink(family: string, word: string, depth: InkDepth, kind: InkKindId, overWhite: Hex): Ink {
  const name = `${family} ${word}`;
  return { id: name.toLowerCase().replace(' ', '-'), name, family, depth, kind, overWhite };
}
