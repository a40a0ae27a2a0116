import { memo } from '../core/base/memo';

/** The size of text that browsers begin with, px. */
const USUAL = 16;

/** How large the maker has set the browser's text, over the usual size; asked once, before it costs a layout. */
const textScale = memo(
  1,
  () => Number.parseFloat(getComputedStyle(document.documentElement).fontSize) / USUAL,
);

/** A length beside text, px: given for text of the usual size, as large as the maker's text makes it. */
export const besideText = (px: number): number => px * textScale();
