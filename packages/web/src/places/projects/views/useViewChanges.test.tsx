import { act, renderHook, waitFor } from '@testing-library/react';
import { SnackbarProvider } from 'notistack';
import { Provider } from 'react-redux';
import type { Sheet, SheetsWish } from '@mendrel/contract';
import type { View } from '@mendrel/core';
import { sheetApi } from '../../../app/sheetApi';
import { makeStore } from '../../../app/store';
import { answering } from '../../../testing/answering';
import { useViewChanges } from './useViewChanges';

const VIEW: View = { id: 'a', name: 'Plan', realWidth: 10_000, realHeight: 8000, scale: '1:100', module: 'A1' };
const SHEET = { id: 's', number: 'A-101', views: [VIEW], version: 1 } as unknown as Sheet;

/** A server that keeps a sheet and a tray, and refuses old versions and a scale that is none. */
async function arranged() {
  const server = { sheet: SHEET, tray: [] as View[] };
  answering(({ body, method, path }) => {
    if (method === 'GET') return { body: path.endsWith('/tray') ? server.tray : [server.sheet] };
    const { changes = [], tray } = body as SheetsWish;
    const [change] = changes;
    if (change && change.version !== server.sheet.version)
      return { status: 409, body: { code: 'conflict', message: 'someone else has changed this sheet' } };
    if (change?.views?.some(({ scale }) => scale === 'none'))
      return { status: 400, body: { code: 'invalid', message: 'this is no scale' } };
    if (change) server.sheet = { ...server.sheet, views: change.views ?? [], version: change.version + 1 };
    server.tray = [...server.tray.filter(({ id }) => !tray?.take?.includes(id)), ...(tray?.put ?? [])];
    return { body: { sheets: change ? [server.sheet] : [], bin: null } };
  });
  const store = makeStore();
  const { result } = renderHook(
    () => {
      const { data } = sheetApi.useSheetsQuery('p');
      const sheet = data?.[0];
      return { sheet, changes: useViewChanges('p', sheet ?? SHEET) };
    },
    {
      wrapper: ({ children }) => (
        <Provider store={store}>
          <SnackbarProvider>{children}</SnackbarProvider>
        </Provider>
      ),
    },
  );
  await waitFor(() => expect(result.current.sheet).toBeDefined());
  return { server, now: () => result.current };
}

test('what is changed before the last answer came is kept with it', async () => {
  const { server, now } = await arranged();
  await act(async () => {
    // Both as the view was seen: neither knows of the other.
    const { setView } = now().changes;
    await Promise.all([setView({ ...VIEW, realWidth: 36_000 }), setView({ ...VIEW, scale: '1:200' })]);
  });
  expect(server.sheet).toMatchObject({ views: [{ ...VIEW, realWidth: 36_000, scale: '1:200' }], version: 3 });
});

test('what is refused stands as before, and takes nothing else with it', async () => {
  const { server, now } = await arranged();
  await act(async () => {
    const { setView } = now().changes;
    const answers = await Promise.all([setView({ ...VIEW, scale: 'none' }), setView({ ...VIEW, name: 'Roof' })]);
    expect(answers).toEqual([false, true]);
  });
  expect(server.sheet.views).toEqual([{ ...VIEW, name: 'Roof' }]);
  expect(now().sheet?.views).toEqual([{ ...VIEW, name: 'Roof' }]);
});

test('a view goes into the tray and comes onto the sheet again', async () => {
  const { server, now } = await arranged();
  await act(() => now().changes.intoTray(VIEW));
  expect([server.sheet.views, server.tray]).toEqual([[], [VIEW]]);
  await act(async () => expect(await now().changes.bring({ view: VIEW }, 'C1')).toBe('a'));
  expect([server.sheet.views, server.tray]).toEqual([[{ ...VIEW, module: 'C1' }], []]);
});
