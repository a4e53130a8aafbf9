import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { DeskGroup, DeskRecord } from '@mendrel/contract';
import { answering } from '../../testing/answering';
import { shown } from '../../testing/shown';
import Desk from './Desk';

const group = (key: string, message: string, more: Partial<DeskGroup> = {}): DeskGroup => ({
  key,
  finding: { weight: 'error', kind: 'room', message, mend: 'make the strip wider' },
  varied: false,
  design: { id: 'd', name: 'Quay strip', revision: 3 },
  place: 'register',
  sheets: 7,
  projects: 1,
  named: [{ id: 'p', name: 'Netmakers Row Loft', sheets: 7, named: [{ id: 's', number: 'A-101' }] }],
  ...more,
});

/** Has the server tell of a Desk, page by page, and of groups. */
function deskWith(
  desk: Partial<DeskRecord>,
  also: (path: string, search: string) => unknown = () => undefined,
): string[] {
  const asked: string[] = [];
  answering(({ path, search }) => {
    asked.push(path + search);
    const record: DeskRecord = {
      projects: 1,
      sheets: 9,
      fitting: 9,
      waiting: 0,
      groups: [],
      count: 0,
      due: [],
      late: [],
      ...desk,
    };
    const bodies: Record<string, unknown> = {
      '/desk': record,
      '/office': { values: {}, version: 1 },
      '/designs': [{ id: 'd' }],
    };
    return { body: also(path, search) ?? bodies[path] ?? [] };
  });
  shown(<Desk />);
  return asked;
}

test('an office in which nothing is left to do says so, once all sheets were looked at', async () => {
  deskWith({});
  expect(await screen.findByText('Everything fits')).toBeTruthy();
});

test('nothing is said to fit while sheets are still being looked at, and what there is comes by itself', async () => {
  let waiting = 2;
  deskWith({}, (path) =>
    path === '/desk'
      ? { projects: 3, sheets: 9, fitting: 0, waiting: waiting-- > 1 ? 1 : 0, groups: [], count: 0, due: [], late: [] }
      : undefined,
  );
  expect(await screen.findByText(/One project has changed; its sheets\s+are being looked at/)).toBeTruthy();
  expect(screen.queryByText('Everything fits')).toBeNull();
  await waitFor(() => expect(screen.getByText('Everything fits')).toBeTruthy(), { timeout: 5000 });
});

test('a thing to do names what it is, how it is mended, the design and the sheets', async () => {
  deskWith({ fitting: 2, count: 1, groups: [group('a', 'Tracks need 12 mm more')] });
  const message = await screen.findByText('Tracks need 12 mm more');
  const item = message.closest('li')!;
  expect(item.textContent).toContain('In Quay strip, revision 3. Fix: make the strip wider.');
  expect(item.textContent).toContain('A-101 and 6 more');
  expect(within(item).getByRole('link', { name: 'Netmakers Row Loft' }).getAttribute('href')).toBe(
    '/projects/p/register',
  );
  expect(within(item).getByRole('link', { name: 'Quay strip' }).getAttribute('href')).toBe('/designs/d');
  expect(screen.queryByText('Everything fits')).toBeNull();
});

test('where sheets say different things, the worst of them is shown as that', async () => {
  deskWith({ fitting: 2, count: 1, groups: [group('a', '“B-10044” spills by 11.3 mm', { varied: true })] });
  expect(await screen.findByText('At worst: “B-10044” spills by 11.3 mm')).toBeTruthy();
});

test('what stands in many projects names them all when it is asked', async () => {
  const many = group('k & 1', 'Drawn by is missing', { projects: 40 });
  const all = Array.from({ length: 40 }, (_, i) => ({ id: `p${i}`, name: `Project ${i}`, sheets: 1, named: [] }));
  const asked = deskWith({ fitting: 0, count: 1, groups: [many] }, (path) =>
    path === '/desk/group' ? { ...many, named: all } : undefined,
  );
  await userEvent.click(await screen.findByRole('button', { name: 'Show all 40 projects' }));
  expect(await screen.findByRole('link', { name: 'Project 39' })).toBeTruthy();
  expect(asked).toContain('/desk/group?key=k%20%26%201');
});

test('more than a page of things to do is led to by pages', async () => {
  const asked = deskWith({ fitting: 0, count: 45, groups: [group('a', 'First')] });
  const pages = await screen.findByRole('navigation', { name: 'Pages of things to do' });
  expect(pages.textContent).toContain('1 to 20 of 45');
  await userEvent.click(within(pages).getByRole('button', { name: 'Go to page 3' }));
  await waitFor(() => expect(asked).toContain('/desk?page=2'));
});

test('an office without designs and projects is led through its first steps', async () => {
  deskWith({ projects: 0, sheets: 0, fitting: 0 }, (path) => (path === '/designs' ? [] : undefined));
  const steps = await screen.findByRole('region', { name: 'First steps' });
  const places = within(steps)
    .getAllByRole('link')
    .map((link) => link.getAttribute('href'));
  expect(places).toEqual(['/standard/office', '/standard/sizes', '/designs', '/intake', '/projects']);
});

test('a set is said to fit only when all its sheets were looked at as they are', async () => {
  const set = (name: string, more: object) => ({
    project: { id: 'p', name: 'Netmakers Row Loft' },
    set: { id: name, name },
    due: '2031-05-20',
    overdue: false,
    sheets: 3,
    looked: 3,
    unfit: 0,
    ...more,
  });
  deskWith({
    due: [
      set('Fitting', {}),
      set('Unknown', { looked: 2 }),
      set('Unfit', { unfit: 1 }),
      set('Empty', { sheets: 0, looked: 0 }),
    ],
  });
  const item = async (name: string) => (await screen.findByText(name)).closest('li')!.textContent;
  expect(await item('Fitting')).toContain('3 sheets, all of which fit');
  expect(await item('Unknown')).toContain('3 sheets, not all looked at yet');
  expect(await item('Unfit')).toContain('3 sheets, 1 with something to mend');
  expect(await item('Empty')).not.toContain('fit');
});
