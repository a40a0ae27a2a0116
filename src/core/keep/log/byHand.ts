import { cleanName } from '../../base/names';
import type { MadePanel } from './made';

/** A panel that was made without the application, as it is typed into a form. */
export interface HandFields {
  readonly name: string;
  /** The day it was made, `2026-05-01`. */
  readonly date: string;
  /** Inks in their order, with commas between. */
  readonly inkNames: string;
  readonly occasion: string;
  readonly note: string;
}

/** What a form begins with on a day. */
export const handFields = (today: string): HandFields => ({
  name: '',
  date: today,
  inkNames: '',
  occasion: '',
  note: '',
});

/** What is typed as a panel; what a panel cannot have is left for the schema of files to refuse. */
export function panelOfFields(fields: HandFields): Omit<MadePanel, 'id' | 'number'> {
  const inkNames = fields.inkNames.split(',').map(cleanName).filter(Boolean);
  const [occasion, note] = [fields.occasion.trim(), fields.note.trim()];
  return {
    name: cleanName(fields.name),
    date: fields.date,
    readings: [],
    ...(inkNames.length > 0 ? { inkNames } : {}),
    ...(occasion ? { occasion } : {}),
    ...(note ? { note } : {}),
  };
}
