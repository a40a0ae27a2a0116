import { expose, transfer } from 'comlink';
import type { Corners } from '../core/base/perspective';
import type { Pixels } from '../core/choose/photo/pixels';
import { bytesOf } from '../core/files/bytesOf';
import { CGATS_LIMIT, readCgats } from '../core/files/cgats';
import { refuseLarger } from '../core/files/limits';
import { blobOf, type PackedPicture } from '../core/files/packedPicture';
import { textOf } from '../core/files/textOf';
import { figuresOf, type LogFigures } from '../core/keep/figures/figures';
import { type CardLesson, cardLessons } from '../core/keep/learn/cardTint';
import { type DryBackLesson, dryBackLessons } from '../core/keep/learn/dryBack';
import { evidenceOf } from '../core/keep/learn/fromLog';
import { type Lessons, lessonsOf, withLesson } from '../core/keep/learn/lessons';
import { type MadeOf, type MadePanel, resolveMade } from '../core/keep/log/made';
import { TROUBLE_IDS, type TroubleId } from '../core/keep/log/troubles';
import { findPanel } from '../core/keep/read/findPanel';
import { flatten } from '../core/keep/read/flatten';
import { type PhotoReading, readPanel } from '../core/keep/read/readPanel';
import { type Swatch, stripsOf } from '../core/keep/swatches/book';
import type { SwatchPage } from '../core/keep/swatches/page';
import { findMarks, type PageReading, readSwatchPage } from '../core/keep/swatches/readPage';
import { faultPicture } from '../core/keep/trouble/faultPicture';
import { type Card, groundOfCard } from '../core/materials/card/card';
import type { Ink } from '../core/materials/ink/ink';
import type { Picture } from '../core/picture/paint';
import { drawn } from './drawn';
import { openable } from './openable';
import { orFaults } from './orFaults';
import { packed } from './packed';

/** A larger picture is refused. */
const MOST_MEGAPIXELS = 60;
/** A photograph is reduced to this on its longer side, and packed so well. */
const LONGEST = 2000;
const QUALITY = 0.86;
const FULL_QUALITY = 0.95;

/** A photograph as it is kept. */
export interface TakenPhoto extends PackedPicture {
  readonly id: string;
  readonly width: number;
  readonly height: number;
}

/**
 * A photograph made ready to be kept: the right way up, no longer than that, with nothing in it but the picture
 * (place and camera are dropped, since it is packed anew).
 */
async function takePhoto(
  file: Blob,
  longest: number,
  quality: number,
): Promise<TakenPhoto | { readonly refused: string }> {
  const size = await openable(file, MOST_MEGAPIXELS);
  if ('refused' in size) return size;
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => undefined);
  if (!bitmap)
    return { refused: 'The picture is damaged: it cannot be decoded. Copy it again from where it came.' };
  const canvas = drawn(bitmap, Math.min(1, longest / Math.max(bitmap.width, bitmap.height)));
  const picture = await packed(canvas, quality);
  const digest = new Uint8Array(await crypto.subtle.digest('SHA-1', picture.bytes));
  const id = Array.from(digest, (byte) => byte.toString(16).padStart(2, '0')).join('');
  return { id, ...picture, width: canvas.width, height: canvas.height };
}

async function pixelsOf(photo: PackedPicture): Promise<Pixels> {
  const bitmap = await createImageBitmap(blobOf(photo));
  const canvas = drawn(bitmap, 1);
  const data = canvas.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height).data;
  if (!data) throw new Error('the picture could not be drawn');
  return { width: canvas.width, height: canvas.height, data };
}

/** A flattened or whole photograph, small, to be shown. */
async function shownPhoto(
  photo: PackedPicture,
  corners: Corners | undefined,
  width: number,
  height: number,
): Promise<PackedPicture> {
  if (!corners) {
    const bitmap = await createImageBitmap(blobOf(photo));
    const scale = Math.min(1, Math.max(width / bitmap.width, height / bitmap.height));
    return packed(drawn(bitmap, scale), QUALITY);
  }
  const flat = flatten(await pixelsOf(photo), corners, width, height);
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')?.putImageData(new ImageData(new Uint8ClampedArray(flat.data), width, height), 0, 0);
  return packed(canvas, QUALITY);
}

/** What the log asks for that takes a while: photographs, readings and what they teach; beside the page. */
const door = {
  /** @param size  reduced, as photographs are kept; or as large as it came */
  async takePhoto(file: Blob, size: 'reduced' | 'full' = 'reduced') {
    const taken = await (size === 'full'
      ? takePhoto(file, Number.POSITIVE_INFINITY, FULL_QUALITY)
      : takePhoto(file, LONGEST, QUALITY));
    return 'refused' in taken ? taken : transfer(taken, [taken.bytes.buffer]);
  },
  findPanel: async (photo: PackedPicture): Promise<Corners | undefined> => findPanel(await pixelsOf(photo)),
  readPanel: async (
    photo: PackedPicture,
    corners: Corners,
    made: MadeOf,
  ): Promise<PhotoReading | { readonly problem: string }> =>
    readPanel(await pixelsOf(photo), corners, resolveMade(made)),
  /** A filled swatch page, by a photograph of it. */
  async readSwatchPage(
    photo: PackedPicture,
    page: SwatchPage,
    card: Card,
    inks: readonly Ink[],
  ): Promise<PageReading | { readonly problem: string }> {
    const picture = await pixelsOf(photo);
    const marks = findMarks(picture);
    return marks
      ? readSwatchPage(picture, marks, page, groundOfCard(card), inks)
      : {
          problem:
            'The four black squares in the corners of the page are not all seen. Photograph the whole page from above, in even light.',
        };
  },
  shownPhoto,
  readCgats: (text: string) => orFaults(() => readCgats(text)),
  readReadings: (file: Blob) =>
    orFaults(async () => {
      refuseLarger(file.size, CGATS_LIMIT);
      return readCgats(textOf(await bytesOf(file)).text);
    }),
  learn(
    log: readonly MadePanel[],
    shelf: readonly Ink[],
    cards: readonly Card[],
    swatches: readonly Swatch[],
    onStep: (done: number) => void,
  ): {
    readonly lessons: Lessons;
    readonly dryBacks: readonly DryBackLesson[];
    readonly cardTints: readonly CardLesson[];
  } {
    const strips = stripsOf(swatches, shelf, cards);
    const lessons = lessonsOf(evidenceOf(log, shelf).panels, new Date(), onStep, strips);
    const byId = new Map(lessons.inks.map((lesson) => [lesson.ink.id, lesson]));
    const taught = shelf.map((ink) => withLesson(ink, byId.get(ink.id)));
    return { lessons, dryBacks: dryBackLessons(log, taught), cardTints: cardLessons(log, cards) };
  },
  /** The recipe with each fault as it is seen, for one who looks for what went wrong. */
  faults: (made: MadeOf, width: number, height: number): Readonly<Record<TroubleId, Picture>> => {
    const resolved = resolveMade(made);
    return Object.fromEntries(
      TROUBLE_IDS.map((trouble) => [trouble, faultPicture(trouble, resolved, width, height)]),
    ) as Record<TroubleId, Picture>;
  },
  figures: (log: readonly MadePanel[], shelf: readonly Ink[]): LogFigures => figuresOf(log, shelf),
};

export type LogDoor = typeof door;
expose(door);
