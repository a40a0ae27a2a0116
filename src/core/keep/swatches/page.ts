import type { Millimetres } from '../../base/length';
import { type Ink, liftsOf } from '../../materials/ink/ink';
import { dropTakes } from '../../recipe/passes/splash';

/** What is laid in each field of an ink's row, in the order of work. */
export const FIELDS = {
  full: { label: 'full coat', coats: 1 },
  half: { label: 'half', coats: 0.5 },
  quarter: { label: 'quarter', coats: 0.25 },
  black: { label: 'full, over the black', coats: 1 },
  lifted: { label: 'drop of water, dabbed at once', coats: 1, drop: 'dabbed' },
  waited: { label: 'dabbed after a minute', coats: 1, drop: 'minute' },
} as const;
export type FieldId = keyof typeof FIELDS;
/** Coats of an ink that are left in a field, in its drop where it has one. */
export function coatsIn(id: FieldId, ink: Ink): number {
  const field = FIELDS[id];
  return 'drop' in field ? field.coats * (1 - dropTakes(field.drop) * liftsOf(ink)) : field.coats;
}
export const FIELD_IDS = Object.keys(FIELDS) as readonly FieldId[];

/** A place on a page of swatches, mm from its top left corner. */
export interface PageBox {
  readonly x: Millimetres;
  readonly y: Millimetres;
  readonly width: Millimetres;
  readonly height: Millimetres;
}

/** One ink's row on a swatch page. */
export interface SwatchRow {
  readonly inkId: string;
  readonly name: string;
  readonly label: PageBox;
  readonly fields: Readonly<Record<FieldId, PageBox>>;
}

/**
 * A page of swatches, with four registration marks that a photograph is set straight by. It is as large as what A4 (ISO
 * 216) and US Letter have in common, so that it is the same on either: nobody has to say what a page was printed on.
 */
export interface SwatchPage {
  readonly width: Millimetres;
  readonly height: Millimetres;
  /** Middles of the marks: top left, top right, bottom right, bottom left. */
  readonly marks: readonly { readonly x: Millimetres; readonly y: Millimetres }[];
  readonly markSize: Millimetres;
  readonly rows: readonly SwatchRow[];
}

const PAGE = { width: 210, height: 279.4, margin: 12 } as const;
const MARK = 8;
const HEAD = 26;
const ROW = { height: 29, gap: 3, label: 6 } as const;
const FIELD = { width: 26, gap: 4 } as const;
export const ROWS_A_PAGE = Math.floor((PAGE.height - HEAD - PAGE.margin - 14) / (ROW.height + ROW.gap));

/** The pages that these inks' swatches fill. */
export function swatchPages(inks: readonly Pick<Ink, 'id' | 'name'>[]): SwatchPage[] {
  const pages: SwatchPage[] = [];
  for (let first = 0; first < inks.length; first += ROWS_A_PAGE)
    pages.push(pageOf(inks.slice(first, first + ROWS_A_PAGE)));
  return pages;
}

function pageOf(inks: readonly Pick<Ink, 'id' | 'name'>[]): SwatchPage {
  const inset = PAGE.margin + MARK / 2;
  const [right, foot] = [PAGE.width - inset, PAGE.height - inset];
  const left = (PAGE.width - FIELD_IDS.length * FIELD.width - (FIELD_IDS.length - 1) * FIELD.gap) / 2;
  return {
    width: PAGE.width,
    height: PAGE.height,
    markSize: MARK,
    marks: [
      { x: inset, y: inset },
      { x: right, y: inset },
      { x: right, y: foot },
      { x: inset, y: foot },
    ],
    rows: inks.map(({ id, name }, row) => {
      const y = HEAD + row * (ROW.height + ROW.gap);
      const boxes = FIELD_IDS.map((_, field) => ({
        x: left + field * (FIELD.width + FIELD.gap),
        y: y + ROW.label,
        width: FIELD.width,
        height: ROW.height - ROW.label,
      }));
      return {
        inkId: id,
        name,
        label: { x: left, y, width: PAGE.width - 2 * left, height: ROW.label },
        fields: Object.fromEntries(FIELD_IDS.map((field, i) => [field, boxes[i]])) as Record<
          FieldId,
          PageBox
        >,
      };
    }),
  };
}

/** Where a drop of water lies in its field. */
export const dropIn = ({ x, y, width, height }: PageBox): { x: number; y: number; r: number } => ({
  x: x + width / 2,
  y: y + height / 2,
  r: Math.min(width, height) * 0.3,
});
