import { act, renderHook } from '@testing-library/react';
import { Provider } from 'react-redux';
import type { Project, Sheet, SheetsChange } from '@mendrel/contract';
import { sheetApi } from '../../../app/sheetApi';
import { makeStore } from '../../../app/store';
import { answering } from '../../../testing/answering';
import { useRegisterEdits } from './useRegisterEdits';

const sheet = (id: string): Sheet => ({
  id,
  projectId: 'p',
  number: id,
  title: 'Plan',
  kind: 'plan',
  size: 'ISO A1',
  design: null,
  values: {},
  views: [],
  revisions: [],
  issues: [],
  changedSince: false,
  version: 1,
});
const project = { id: 'p' } as Project;

/** A server that keeps sheets, refuses old versions and a title of "refused". */
function server() {
  const kept = new Map(['A-1', 'A-2'].map((id) => [id, sheet(id)]));
  answering(({ body, method }) => {
    if (method === 'GET') return { body: [...kept.values()] };
    const { changes } = body as SheetsChange;
    if (changes.some(({ title }) => title === 'refused'))
      return { status: 400, body: { code: 'invalid', message: 'such a title is refused' } };
    if (changes.some(({ id, version }) => kept.get(id)!.version !== version))
      return { status: 409, body: { code: 'conflict', message: 'somebody has changed it' } };
    const changed = changes.map(({ version, design: _design, ...change }) => ({
      ...kept.get(change.id)!,
      ...change,
      version: version + 1,
    }));
    for (const each of changed) kept.set(each.id, each);
    return { body: { sheets: changed, bin: null } };
  });
  return kept;
}

function register() {
  const kept = server();
  const store = makeStore();
  const { result, rerender } = renderHook(() => useRegisterEdits(project, [...kept.values()]), {
    wrapper: ({ children }) => <Provider store={store}>{children}</Provider>,
  });
  const title = async (id: string, words: string) => {
    rerender();
    return act(() => result.current.apply({ changes: [{ sheet: kept.get(id)!, change: { title: words } }] }));
  };
  const undo = async () => {
    rerender();
    return act(() => result.current.undo());
  };
  const redo = async () => {
    rerender();
    return act(() => result.current.redo());
  };
  const titles = () => [...kept.values()].map((each) => each.title);
  return { kept, title, undo, redo, titles, result, store };
}

test('edits are taken back one after the other, on sheets that were edited several times too', async () => {
  const { title, undo, titles } = register();
  await title('A-1', 'one');
  await title('A-1', 'two');
  await title('A-2', 'other');
  expect(titles()).toEqual(['two', 'other']);
  await undo();
  await undo();
  expect(titles()).toEqual(['one', 'Plan']);
  await undo();
  expect(titles()).toEqual(['Plan', 'Plan']);
  expect(await undo()).toBeUndefined();
});

test('of several edits all are made or none, and what was made together is taken back together', async () => {
  const { kept, result, undo, titles } = register();
  const both = (one: string, other: string) =>
    act(() =>
      result.current.apply({
        changes: [
          { sheet: kept.get('A-1')!, change: { title: one } },
          { sheet: kept.get('A-2')!, change: { title: other } },
        ],
      }),
    );
  expect(await both('refused', 'fine')).toMatchObject({ changed: [], refused: 'such a title is refused' });
  expect(titles()).toEqual(['Plan', 'Plan']);
  await both('one', 'two');
  await undo();
  expect(titles()).toEqual(['Plan', 'Plan']);
});

test('what was taken back is made again, until something else is edited', async () => {
  const { title, undo, redo, titles } = register();
  await title('A-1', 'one');
  await title('A-1', 'two');
  await undo();
  await undo();
  await redo();
  expect(titles()).toEqual(['one', 'Plan']);
  await redo();
  expect(titles()).toEqual(['two', 'Plan']);
  await undo();
  await title('A-2', 'other');
  expect(await redo()).toBeUndefined();
  expect(titles()).toEqual(['one', 'other']);
});

test('what somebody else changed meanwhile is not overwritten unseen', async () => {
  const { kept, result, titles } = register();
  const read = kept.get('A-1')!;
  kept.set('A-1', { ...read, title: 'theirs', version: 2 });
  const late = await act(() => result.current.apply({ changes: [{ sheet: read, change: { title: 'mine' } }] }));
  expect(late.refused).toBe('somebody has changed it');
  expect(titles()).toEqual(['theirs', 'Plan']);
});

test('what could not be taken back is taken back with the next try', async () => {
  const { title, undo, titles } = register();
  await title('A-1', 'one');
  const before = globalThis.fetch;
  globalThis.fetch = () => Promise.reject(new TypeError('no answer'));
  expect((await undo())?.refused).toContain('does not answer');
  globalThis.fetch = before;
  await undo();
  expect(titles()).toEqual(['Plan', 'Plan']);
});

/** A register whose sheets are on screen, and what the server knows of them by now. */
async function shownRegister() {
  const made = register();
  const { store } = made;
  await act(() => store.dispatch(sheetApi.endpoints.sheets.initiate('p')));
  const shown = () => sheetApi.endpoints.sheets.select('p')(store.getState()).data!;
  const seen = (id: string) => shown().find((each) => each.id === id)!;
  return { ...made, seen };
}

test('what is typed is shown before the server has answered, and stays when it has', async () => {
  const { result, seen, titles } = await shownRegister();
  const step = { changes: [{ sheet: seen('A-1'), change: { title: 'typed' } }] };
  let done!: Promise<unknown>;
  act(() => void (done = result.current.applyAtOnce(step)));
  expect(seen('A-1')).toMatchObject({ title: 'typed', version: 1 });
  expect(titles()).toEqual(['Plan', 'Plan']);
  await act(() => done);
  expect(seen('A-1')).toMatchObject({ title: 'typed', version: 2 });
});

test('what is refused is shown as it was, and what was typed after it stands', async () => {
  const { result, seen, kept } = await shownRegister();
  const sheet = seen('A-1');
  const both = act(() =>
    Promise.all([
      result.current.applyAtOnce({
        changes: [{ sheet, change: { title: 'refused', values: { 'sheet.drawnBy': 'MO' } } }],
      }),
      result.current.applyAtOnce({
        // Typed over a row that showed the one before already.
        changes: [{ sheet: { ...sheet, title: 'refused' }, change: { values: { 'sheet.date': '2026-02-01' } } }],
      }),
    ]),
  );
  expect(await both).toMatchObject([{ refused: 'such a title is refused' }, { changed: [{ id: 'A-1' }] }]);
  expect(seen('A-1')).toMatchObject({ title: 'Plan', values: { 'sheet.date': '2026-02-01' }, version: 2 });
  expect(kept.get('A-1')).toMatchObject({ title: 'Plan', values: { 'sheet.date': '2026-02-01' } });
});

test('cells of one sheet that are typed faster than the server answers are all kept, and taken back one by one', async () => {
  const { result, seen, kept, undo } = await shownRegister();
  const sheet = seen('A-1');
  const keys = ['sheet.drawnBy', 'sheet.checkedBy', 'sheet.date'];
  const done = await act(() =>
    Promise.all(
      keys.map((key) => result.current.applyAtOnce({ changes: [{ sheet, change: { values: { [key]: key } } }] }, true)),
    ),
  );
  expect(done.map(({ refused }) => refused)).toEqual([undefined, undefined, undefined]);
  expect(kept.get('A-1')!.values).toEqual(Object.fromEntries(keys.map((key) => [key, key])));
  expect(seen('A-1').values).toEqual(kept.get('A-1')!.values);
  await undo();
  expect(Object.keys(kept.get('A-1')!.values)).toEqual(keys.slice(0, 2));
});
