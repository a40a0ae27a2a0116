// Draws public/icon.png from public/icon.svg, for home screens that take no SVG.
// Run by hand: node scripts/make-icon.mjs
import { fileURLToPath } from 'node:url';
import sharp from 'sharp';

const SIDE = 512;
/** Home screens cut off corners: what is drawn stays within the middle. */
const MARGIN = 96;
const at = (name) => fileURLToPath(new URL(`../public/${name}`, import.meta.url));

const drawn = await sharp(at('icon.svg'), { density: 72 * 16 })
  .resize(SIDE - 2 * MARGIN)
  .toBuffer();
await sharp({ create: { width: SIDE, height: SIDE, channels: 3, background: '#c9c9c9' } })
  .composite([{ input: drawn }])
  .png({ palette: true })
  .toFile(at('icon.png'));
