import { expect, test } from 'vitest';
import { FileError } from './fileError';
import { readPairsCsv } from './pairsCsv';

const HEADER = 'name_a,hex_a,name_b,hex_b,kind';
const faultsOf = (text: string) => {
  try {
    readPairsCsv(text);
  } catch (error) {
    if (error instanceof FileError) return error.faults.map(({ place, problem }) => `${place}: ${problem}`);
    throw error;
  }
  return [];
};

test('pairs are read in their order, of the kind they name or hybrid, in any case and with a reading for a colour', () => {
  const pairs = readPairsCsv(
    ' Name_A , HEX_A,name_b,hex_b,Kind,note\nHeron,#445566,Plover,#8a7d6e,Dye,x\n\nHeron,54.2 -28 -8,Heron,#445566,,\n',
  );
  expect(pairs.map((pair) => pair.map(({ name, kind }) => `${name} ${kind}`))).toEqual([
    ['Heron dye', 'Plover dye'],
    ['Heron hybrid', 'Heron hybrid'],
  ]);
  // Two of one name are two inks.
  const [one, other] = pairs[1] ?? [];
  expect(one?.id).not.toBe(other?.id);
  expect(readPairsCsv('name_a,hex_a,name_b,hex_b\nHeron,#445566,Plover,#8a7d6e')).toHaveLength(1);
});

test('each faulty row is told by its line, and what is missing by its name', () => {
  expect(faultsOf('name_a,hex_a\nHeron,#445566')).toEqual(['line 1: the columns name_b, hex_b are missing']);
  expect(
    faultsOf(
      [
        HEADER,
        'Heron,#445566,Plover,#8a7d6e,dye',
        ',#445566,Plover,#8a7d6e,dye',
        'Heron,teal,Plover,#8a7d6e,dye',
        'Heron,#445566,Plover,,dye',
        'Heron,#445566,Plover,#8a7d6e,crayon',
        'Heron,#445566,Plover,#8a7d6e,detail',
      ].join('\n'),
    ),
  ).toEqual([
    'line 3: name_a is empty',
    'line 4: hex_a is "teal", expected a colour such as #2a8f8a',
    'line 5: hex_b is "", expected a colour such as #2a8f8a',
    expect.stringMatching(/^line 6: kind is "crayon", expected dye, hybrid/),
    // Detail black is stamped: it has no joint.
    expect.stringMatching(/^line 7: kind is "detail"/),
  ]);
  expect(faultsOf(`${HEADER}\n${'a,#445566,b,#8a7d6e,dye\n'.repeat(20_001)}`)).toEqual([
    ': has 20001 rows, and at most 20000 are read',
  ]);
});
