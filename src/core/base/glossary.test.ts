import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { GLOSSARY } from './glossary';

test('the words a stranger to the code is told are those a maker is', () => {
  const told =
    readFileSync('src/core/README.md', 'utf8').split('## Words')[1]?.split('Beyond those')[0] ?? '';
  const words = GLOSSARY.map(({ term }) => term.toLowerCase()).filter((term) => /^[a-z-]+$/.test(term));
  for (const word of words) expect(told).toContain(word);
  expect(new Set(words).size).toBe(words.length);
});
