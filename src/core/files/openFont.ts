import { unzlibSync } from 'fflate';

/** Lengths in bytes: a WOFF's header and the entry of a table in it, and the same of a plain font. */
const WOFF = { header: 44, entry: 20 } as const;
const PLAIN = { header: 12, entry: 16 } as const;
/** "wOFF". */
const SIGNATURE = 0x774f4646;

/**
 * A font with its tables unpacked; one that is not packed as it is. A reader of fonts would unpack the outlines anew for
 * every letter. Source: WOFF File Format 1.0, W3C; the plain form is that of the OpenType specification.
 */
export function openFont(bytes: Uint8Array): Uint8Array {
  const packed = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (packed.getUint32(0) !== SIGNATURE) return bytes;
  const count = packed.getUint16(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const entry = WOFF.header + i * WOFF.entry;
    const [tag, from, short, length, checksum] = [0, 4, 8, 12, 16].map((at) => packed.getUint32(entry + at));
    const data = bytes.subarray(from, (from ?? 0) + (short ?? 0));
    return { tag, checksum, length: length ?? 0, data: short === length ? data : unzlibSync(data) };
  });
  const whole = tables.reduce((sum, { length }) => sum + padded(length), PLAIN.header + count * PLAIN.entry);
  const plain = new Uint8Array(whole);
  const view = new DataView(plain.buffer);
  view.setUint32(0, packed.getUint32(4));
  const steps = Math.floor(Math.log2(count));
  [count, 2 ** steps * PLAIN.entry, steps, (count - 2 ** steps) * PLAIN.entry].forEach((value, i) => {
    view.setUint16(4 + 2 * i, value);
  });
  let at = PLAIN.header + count * PLAIN.entry;
  for (const [i, { tag, checksum, length, data }] of tables.entries()) {
    [tag, checksum, at, length].forEach((value = 0, word) => {
      view.setUint32(PLAIN.header + i * PLAIN.entry + 4 * word, value);
    });
    plain.set(data, at);
    at += padded(length);
  }
  return plain;
}

/** Tables begin at multiples of four bytes. */
const padded = (length: number): number => (length + 3) & ~3;
