import type { IntakeProgress } from '@mendrel/core';
import { Followed } from './followed';

const followed = (): Followed<IntakeProgress> => new Followed<IntakeProgress>({ step: 'read', part: 0 });

test('a reading is followed while it goes on, and forgotten when it has ended or failed', async () => {
  const readings = followed();
  expect(readings.at('a')).toBeUndefined();
  const ended = await readings.follow('a', (tell) => {
    expect(readings.at('a')).toEqual({ step: 'read', part: 0 });
    tell?.({ step: 'cells', part: 0.5 });
    expect(readings.at('a')).toEqual({ step: 'cells', part: 0.5 });
    expect(readings.at('b')).toBeUndefined();
    return Promise.resolve('done');
  });
  expect([ended, readings.at('a')]).toEqual(['done', undefined]);
  await expect(readings.follow('a', () => Promise.reject(new Error('no drawing')))).rejects.toThrow('no drawing');
  expect(readings.at('a')).toBeUndefined();
});

test('more readings than can be followed are read all the same', async () => {
  const readings = followed();
  const open: (() => void)[] = [];
  const reading = (id: string): Promise<void> =>
    readings.follow(id, () => new Promise<void>((resolve) => open.push(resolve)));
  const all = Array.from({ length: 101 }, (_, i) => reading(`${i}`));
  expect([readings.at('99')?.step, readings.at('100')]).toEqual(['read', undefined]);
  for (const end of open) end();
  await Promise.all(all);
  expect(open).toHaveLength(101);
});
