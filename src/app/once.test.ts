import { expect, test } from 'vitest';
import { once } from './once';

test('what is pressed twice is done once, and can be done again when it is through', async () => {
  const done: string[] = [];
  const add = once(async (name: string) => {
    await Promise.resolve();
    done.push(name);
  });
  await Promise.all([add('first'), add('second')]);
  expect(done).toEqual(['first']);
  await add('third');
  expect(done).toEqual(['first', 'third']);
});

test('what fails says so to each who pressed, and may be tried again', async () => {
  let tries = 0;
  const add = once(async () => {
    tries++;
    await Promise.reject(new Error('no room'));
  });
  const both = [add(), add()];
  for (const one of both) await expect(one).rejects.toThrow('no room');
  await expect(add()).rejects.toThrow('no room');
  expect(tries).toBe(2);
});
