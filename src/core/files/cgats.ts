import { type Lab, labOfSpectrum, labOfXyz, type Xyz, xyzOfLab } from '../materials/colour/lab';
import { WHITE } from '../materials/colour/observer';
import { inBands } from '../materials/colour/resample';
import { BANDS, FIRST_NM, type Spectrum, STEP_NM } from '../materials/colour/spectrum';
import { type Fault, FileError } from './fileError';
import { type FileLimit, refuseLarger } from './limits';

/** One sample as a colour reader tells it. */
export interface CgatsSample {
  readonly name: string;
  /** Under D65 for the 2° observer, whatever the file's own were. */
  readonly lab: Lab;
  /** Where the reader gives spectra. */
  readonly spectrum?: Spectrum;
}

export const CGATS_LIMIT: FileLimit = { what: 'readings of a colour reader', bytes: 20_000_000 };
const MOST = { fields: 600, samples: 20_000 } as const;

/** Tristimulus values of D50, Y = 1, in which most readers tell colours. Source: ISO 13655. */
const D50: Xyz = { x: 0.9642, y: 1, z: 0.8249 };

/** What may name an illuminant without its being the one that colours are told under: remarks, and the reader's own lamp. */
const NOT_OF_COLOUR = /^\s*(?:#|ORIGINATOR|(?:FILE_)?DESCRIPTOR|MEASUREMENT_SOURCE|INSTRUMENTATION)/i;

/** Names of a band's field as readers and suites write them: `SPECTRAL_NM_400`, `SPEC_400`, `nm400`, `R_400`. */
const BAND = /^(?:SPECTRAL_|SPEC_)?(?:NM_?|R_?|DEC_?)?(\d{3})(?:\.0+)?$/i;

/**
 * Reads what a colour reader wrote: keyword values, fields and rows of text. Spectra are taken where there are some, else
 * L*a*b* or XYZ, brought from D50 to D65 where the file does not say that it is D65.
 *
 * @throws FileError saying what is missing, and where
 * Source: ISO 28178 (CGATS.17), exchange format for colour data.
 */
export function readCgats(text: string): CgatsSample[] {
  refuseLarger(text.length, CGATS_LIMIT);
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n?|\n/);
  const formatAt = lines.findIndex((line) => line.trim() === 'BEGIN_DATA_FORMAT');
  const dataAt = lines.findIndex((line) => line.trim() === 'BEGIN_DATA');
  if (formatAt < 0 || dataAt < 0)
    throw new FileError([
      {
        place: '',
        problem: `The file lacks ${formatAt < 0 ? 'BEGIN_DATA_FORMAT' : 'BEGIN_DATA'}: it is not a colour reader’s text (CGATS). Export it as CGATS.`,
      },
    ]);
  const fields = lines
    .slice(formatAt + 1, endOf(lines, formatAt, 'END_DATA_FORMAT'))
    .flatMap(wordsOf)
    .map((field) => field.toUpperCase());
  if (fields.length > MOST.fields)
    throw new FileError([
      {
        place: `line ${formatAt + 1}`,
        problem: `It has ${fields.length} fields; at most ${MOST.fields} are read.`,
      },
    ]);
  const isD65 = lines.slice(0, dataAt).some((line) => /D65/i.test(line) && !NOT_OF_COLOUR.test(line));
  const read = rowReader(fields, isD65);
  const end = endOf(lines, dataAt, 'END_DATA');
  const samples: CgatsSample[] = [];
  const faults: Fault[] = [];
  for (let at = dataAt + 1; at < end; at++) {
    const words = wordsOf(lines[at] ?? '');
    if (words.length === 0) continue;
    const place = `line ${at + 1}`;
    if (samples.length >= MOST.samples)
      throw new FileError([{ place, problem: `At most ${MOST.samples} samples are read.` }]);
    const sample = read(words);
    if (typeof sample === 'string') faults.push({ place, problem: sample });
    else samples.push(sample);
    if (faults.length >= FAULTS_TOLD) break;
  }
  if (faults.length > 0) throw new FileError(faults);
  if (samples.length === 0)
    throw new FileError([{ place: `line ${dataAt + 1}`, problem: 'It has no samples.' }]);
  return samples;
}
const FAULTS_TOLD = 20;

const endOf = (lines: readonly string[], from: number, word: string): number => {
  const at = lines.findIndex((line, i) => i > from && line.trim() === word);
  if (at < 0)
    throw new FileError([
      { place: `line ${from + 1}`, problem: `${word} is missing: the file ends too early.` },
    ]);
  return at;
};

/** Words of a line: apart by spaces or tabs, or quoted. */
const wordsOf = (line: string): string[] =>
  [...line.matchAll(/"([^"]*)"|([^\s"]+)/g)].map(([, quoted, plain]) => quoted ?? plain ?? '');

function rowReader(
  fields: readonly string[],
  isD65: boolean,
): (words: readonly string[]) => CgatsSample | string {
  const nameAt = ['SAMPLE_NAME', 'SAMPLE_ID', 'SAMPLE_LOC', 'SAMPLEID']
    .map((one) => fields.indexOf(one))
    .find((at) => at >= 0);
  const bands = fields
    .flatMap((field, at) => {
      const nm = Number(BAND.exec(field)?.[1] ?? Number.NaN);
      return nm >= 300 && nm <= 900 ? [{ at, nm }] : [];
    })
    .sort((p, q) => p.nm - q.nm);
  const labAt = ['LAB_L', 'LAB_A', 'LAB_B'].map((one) => fields.indexOf(one));
  const xyzAt = ['XYZ_X', 'XYZ_Y', 'XYZ_Z'].map((one) => fields.indexOf(one));
  const hasLab = labAt.every((at) => at >= 0);
  const hasXyz = xyzAt.every((at) => at >= 0);
  if (bands.length < MOST_LEAST.bands && !hasLab && !hasXyz)
    throw new FileError([
      {
        place: 'BEGIN_DATA_FORMAT',
        problem: 'It names neither spectra (SPECTRAL_NM_400 …) nor LAB_L LAB_A LAB_B nor XYZ_X XYZ_Y XYZ_Z.',
      },
    ]);
  return (words) => {
    if (words.length < fields.length) return `It has ${words.length} values for ${fields.length} fields.`;
    // An empty cell is no nought.
    const value = (at: number) => Number((words[at] || 'none').replace(',', '.'));
    const name = (nameAt === undefined ? '' : (words[nameAt] ?? '')).slice(0, 120);
    if (bands.length >= MOST_LEAST.bands) {
      const values = bands.map(({ at }) => value(at));
      if (!values.every((one) => one >= -0.1 && one <= 250))
        return 'Its spectrum has a value that is not a reflectance.';
      // Told in per cent by many readers.
      const whole = Math.max(...values) > 2.5 ? 100 : 1;
      const spectrum = inBands({
        nm: bands.map(({ nm }) => nm),
        values: values.map((one) => Math.max(one, 0) / whole),
      });
      return { name, lab: labOfSpectrum(spectrum), spectrum };
    }
    const [p, q, r] = (hasLab ? labAt : xyzAt).map(value) as [number, number, number];
    if (![p, q, r].every(Number.isFinite)) return 'Its colour is not three numbers.';
    if (hasLab && !(p >= 0 && p <= 101)) return `L* ${p} is not from 0 to 100.`;
    const white = isD65 ? WHITE : D50;
    const xyz = hasLab
      ? relative(xyzOfLab({ l: p, a: q, b: r }), WHITE, white)
      : { x: p / 100, y: q / 100, z: r / 100 };
    return { name, lab: labOfXyz(isD65 ? xyz : adapted(xyz)) };
  };
}
const MOST_LEAST = { bands: 10 } as const;

/** Tristimulus values told against one white as against another: each by its part. */
const relative = ({ x, y, z }: Xyz, from: Xyz, to: Xyz): Xyz => ({
  x: (x / from.x) * to.x,
  y: (y / from.y) * to.y,
  z: (z / from.z) * to.z,
});

/** From D50 to D65, by the Bradford matrix. Source: K. M. Lam, thesis, University of Bradford (1985); ICC.1:2022, annex E. */
function adapted({ x, y, z }: Xyz): Xyz {
  return {
    x: 0.9555766 * x - 0.0230393 * y + 0.0631636 * z,
    y: -0.0282895 * x + 1.0099416 * y + 0.0210077 * z,
    z: 0.0122982 * x - 0.020483 * y + 1.3299098 * z,
  };
}

/** Readings as a colour reader writes them: L*a*b* under D65, and spectra where all have some. */
export function writeCgats(samples: readonly CgatsSample[], made: Date): string {
  const hasSpectra = samples.every(({ spectrum }) => spectrum !== undefined);
  const bands = hasSpectra
    ? Array.from({ length: BANDS }, (_, band) => `SPECTRAL_NM_${FIRST_NM + band * STEP_NM}`)
    : [];
  const fields = ['SAMPLE_ID', 'SAMPLE_NAME', 'LAB_L', 'LAB_A', 'LAB_B', ...bands];
  const rows = samples.map(({ name, lab: { l, a, b }, spectrum }, i) =>
    [
      String(i + 1),
      `"${name.replaceAll('"', "'")}"`,
      ...[l, a, b].map((value) => value.toFixed(4)),
      ...(hasSpectra ? Array.from(spectrum ?? [], (value) => value.toFixed(6)) : []),
    ].join('\t'),
  );
  return [
    'CGATS.17',
    'ORIGINATOR\t"Tint Ladder"',
    `CREATED\t"${made.toISOString()}"`,
    'KEYWORD\t"ILLUMINANT"',
    'ILLUMINANT\t"D65"',
    'KEYWORD\t"OBSERVER"',
    'OBSERVER\t"2"',
    `NUMBER_OF_FIELDS\t${fields.length}`,
    'BEGIN_DATA_FORMAT',
    fields.join('\t'),
    'END_DATA_FORMAT',
    `NUMBER_OF_SETS\t${rows.length}`,
    'BEGIN_DATA',
    ...rows,
    'END_DATA',
    '',
  ].join('\r\n');
}
