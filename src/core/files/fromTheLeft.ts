import bidiFactory from 'bidi-js';
import { isLeftward, isolated, isUnseen } from '../base/direction';

const bidi = bidiFactory();

interface Piece {
  text: string;
  readonly level: number;
  readonly hasLetters: boolean;
}

/**
 * The pieces of a line as they stand on paper from the left, each of one direction: what sets letters knows nothing of the
 * line. Within a piece letters stand as they are read; brackets that open to the left are turned round.
 *
 * Source: Unicode Standard Annex 9, rule L2 over pieces for letters; L4.
 */
export function fromTheLeft(line: string): readonly string[] {
  if (!isLeftward(line)) return [line];
  const pieces = piecesOf(isolated(line));
  const highest = Math.max(...pieces.map(({ level }) => level));
  for (let level = highest; level >= 1; level--) turnRound(pieces, level);
  // What has no letters is set from the left, whatever stands beside it.
  return pieces.map(({ text, level, hasLetters }) =>
    level % 2 === 1 && !hasLetters ? [...text].reverse().join('') : text,
  );
}

/** Letters of one level in a row; of those that run from right to left, words apart from what stands between them. */
function piecesOf(line: string): Piece[] {
  const { levels } = bidi.getEmbeddingLevels(line, 'ltr');
  const pieces: Piece[] = [];
  let at = 0;
  for (const letter of line) {
    const level = levels[at] ?? 0;
    at += letter.length;
    if (isUnseen(letter)) continue;
    const text = level % 2 === 1 ? (bidi.getMirroredCharacter(letter) ?? letter) : letter;
    const hasLetters = isLeftward(letter);
    const last = pieces.at(-1);
    if (last?.level === level && (level % 2 === 0 || last.hasLetters === hasLetters)) last.text += text;
    else pieces.push({ text, level, hasLetters });
  }
  return pieces;
}

/** Turns round every row of pieces that lie at least so deep. */
function turnRound(pieces: Piece[], level: number): void {
  for (let from = 0; from < pieces.length; from++) {
    let to = from;
    while ((pieces[to]?.level ?? -1) >= level) to++;
    if (to > from) pieces.splice(from, to - from, ...pieces.slice(from, to).reverse());
    from = to;
  }
}
