import { readNumber } from '../../base/typed';
import { type Hex, parseColour } from '../colour/hex';
import { contrastRatio, type Ink, type InkDepth } from './ink';
import type { InkKindId } from './kinds';

/** An ink as it is typed into a form: texts, until they are known to be one. */
export interface InkFields {
  readonly name: string;
  readonly line: string;
  readonly family: string;
  readonly depth: InkDepth;
  readonly kind: InkKindId;
  /** As # and six digits, or a reading in L*, a*, b*. */
  readonly overWhite: string;
  readonly overBlack: string;
  /** Per cent. */
  readonly dryBack: string;
  readonly strength: string;
  readonly brush: string;
  readonly note: string;
  readonly wished: boolean;
}

/** What a form begins with: an ink that is known, or a new one. */
export const inkFields = (ink: Ink | undefined): InkFields => ({
  name: ink?.name ?? '',
  line: ink?.line ?? '',
  family: ink?.family ?? '',
  depth: ink?.depth ?? 'mid',
  kind: ink?.kind ?? 'hybrid',
  overWhite: ink?.overWhite ?? '',
  overBlack: ink?.overBlack ?? '',
  dryBack: ink?.dryBack === undefined ? '' : String(Number((ink.dryBack * 100).toFixed(2))),
  strength: ink?.strength === undefined ? '' : String(ink.strength),
  brush: ink?.brush ?? '',
  note: ink?.note ?? '',
  wished: ink?.wished ?? false,
});

/** A typed number; not a number where it is none, for the schema of files to refuse. */
const numberOf = (text: string): number => readNumber(text) ?? Number.NaN;

/** What is typed as an ink; what cannot be read stays as it is typed, for the schema of files to refuse. */
export function inkOfFields(fields: InkFields, id: string): Ink {
  const colour = (text: string) => parseColour(text) ?? (text as Hex);
  const typed = (text: string) => text.trim() !== '';
  /** To the hundredth of a per cent: 65.15 of a hundred is no 0.6515000000000001. */
  const partOf = (text: string) => Number((numberOf(text) / 100).toFixed(4));
  return {
    id,
    name: fields.name.trim(),
    family: fields.family.trim(),
    depth: fields.depth,
    kind: fields.kind,
    overWhite: colour(fields.overWhite),
    ...(typed(fields.overBlack) ? { overBlack: colour(fields.overBlack) } : {}),
    ...(typed(fields.dryBack) ? { dryBack: partOf(fields.dryBack) } : {}),
    ...(typed(fields.strength) ? { strength: numberOf(fields.strength) } : {}),
    ...(typed(fields.brush) ? { brush: fields.brush.trim() } : {}),
    ...(typed(fields.line) ? { line: fields.line.trim() } : {}),
    ...(typed(fields.note) ? { note: fields.note.trim() } : {}),
    ...(fields.wished ? { wished: true } : {}),
  };
}

/** Contrast ratios from which an ink is said to hide, and to half hide; common practice of paint charts, from memory. */
const HIDES_FROM = 0.9;
const HALF_HIDES_FROM = 0.4;

/** How an ink of these two swatches hides, in words. */
export function describeHiding(overWhite: Hex, overBlack: Hex): string {
  const ratio = Math.min(contrastRatio(overWhite, overBlack), 1);
  const hides = ratio > HIDES_FROM ? 'hides' : ratio > HALF_HIDES_FROM ? 'half hides' : 'is clear';
  return `Contrast ratio ${(100 * ratio).toFixed(0)} %: it ${hides}.`;
}
