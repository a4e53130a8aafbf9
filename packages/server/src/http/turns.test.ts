import { Turns } from './turns';

/** A work that ends when it is told to. */
function work(log: string[], name: string) {
  let end = (): void => undefined;
  const ended = new Promise<void>((done) => (end = done));
  return {
    end: () => end(),
    do: async () => {
      log.push(`${name} begins`);
      await ended;
      log.push(`${name} ends`);
      return name;
    },
  };
}
const settled = () => new Promise((done) => setImmediate(done));

test('works are done in the order in which they come, so many at a time', async () => {
  const turns = new Turns(1, 10, 'the work');
  const log: string[] = [];
  const [a, b] = [work(log, 'a'), work(log, 'b')];
  const all = Promise.all([turns.take(a.do), turns.take(b.do)]);
  await settled();
  expect(log).toEqual(['a begins']);
  b.end();
  a.end();
  expect(await all).toEqual(['a', 'b']);
  expect(log).toEqual(['a begins', 'a ends', 'b begins', 'b ends']);
});

test('whoever leaves while waiting gives the turn back, and one that fails does not keep it', async () => {
  const turns = new Turns(1, 10, 'the work');
  const log: string[] = [];
  const [a, b, c] = [work(log, 'a'), work(log, 'b'), work(log, 'c')];
  const leaving = new AbortController();
  const first = turns.take(a.do);
  const second = turns.take(b.do, leaving.signal);
  const third = turns.take(() => Promise.reject(new Error('broken')));
  const fourth = turns.take(c.do);
  leaving.abort();
  await expect(second).rejects.toMatchObject({ code: 'stopped', message: 'the work was stopped' });
  a.end();
  await expect(third).rejects.toThrow('broken');
  c.end();
  expect(await Promise.all([first, fourth])).toEqual(['a', 'c']);
  expect(log).toEqual(['a begins', 'a ends', 'c begins', 'c ends']);
});

test('more than may wait are refused in words', async () => {
  const turns = new Turns(1, 1, 'the work');
  const log: string[] = [];
  const [a, b, c] = [work(log, 'a'), work(log, 'b'), work(log, 'c')];
  const two = [turns.take(a.do), turns.take(b.do)];
  await expect(turns.take(c.do)).rejects.toMatchObject({ code: 'too-many' });
  a.end();
  b.end();
  await Promise.all(two);
  // The places are free again.
  c.end();
  expect(await turns.take(c.do)).toBe('c');
});
