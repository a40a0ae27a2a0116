import { expect, test } from 'vitest';
import { firstSentence } from './words';

test('the first sentence ends at its full stop, not at a figure’s point', () => {
  expect(firstSentence('Solid to 104.5 mm. Then fade.')).toBe('Solid to 104.5 mm.');
  expect(firstSentence('Dry it')).toBe('Dry it');
  expect(firstSentence('Dried? Look again.')).toBe('Dried?');
});
