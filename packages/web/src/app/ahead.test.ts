import { askAhead, fetchOrAsked } from './ahead';

const asked = vi.fn();

beforeEach(() => {
  asked.mockReset();
  asked.mockImplementation(() => Promise.resolve({ ok: true }));
  globalThis.fetch = asked;
});

const get = (path: string) => ({ url: `http://localhost${path}`, method: 'GET' }) as Request;

it('asks once for what a register needs first, and gives each answer once', async () => {
  askAhead('/projects/a-1/register');
  expect(asked.mock.calls.map(([path]) => path as string)).toEqual(
    expect.arrayContaining(['/api/projects', '/api/projects/a-1/sheets', '/api/office']),
  );
  const ahead = asked.mock.calls.length;
  await fetchOrAsked(get('/api/projects/a-1/sheets'));
  expect(asked).toHaveBeenCalledTimes(ahead);
  await fetchOrAsked(get('/api/projects/a-1/sheets'));
  expect(asked).toHaveBeenCalledTimes(ahead + 1);
});

it('asks for the standard of a project as soon as the project is known, and for what takes longest at the end', async () => {
  const answered = Promise.resolve([
    { id: 'b-2', standard: null },
    { id: 'a-1', standard: 7 },
  ]);
  asked.mockImplementation(() => Promise.resolve({ clone: () => ({ json: () => answered }) }));
  askAhead('/projects/a-1/register');
  expect(asked).toHaveBeenLastCalledWith('/api/projects/a-1/sheets');
  await vi.waitFor(() => expect(asked).toHaveBeenLastCalledWith('/api/standard/revisions/7'));
  const ahead = asked.mock.calls.length;
  await fetchOrAsked(get('/api/standard/revisions/7'));
  expect(asked).toHaveBeenCalledTimes(ahead);
});

it('asks for no standard of a project that is not there', async () => {
  const read = vi.fn(() => Promise.resolve([{ id: 'b-2', standard: 3 }]));
  asked.mockImplementation(() => Promise.resolve({ clone: () => ({ json: read }) }));
  askAhead('/projects/a-1/register');
  await vi.waitFor(() => expect(read).toHaveBeenCalled());
  expect(asked).not.toHaveBeenCalledWith('/api/standard/revisions/3');
});

it('asks anew for everything once something was changed', async () => {
  askAhead('/projects/a-1/register');
  await fetchOrAsked({ ...get('/api/projects/a-1'), method: 'PATCH' });
  const before = asked.mock.calls.length;
  await fetchOrAsked(get('/api/projects/a-1/sheets'));
  expect(asked).toHaveBeenCalledTimes(before + 1);
});

it('asks for nothing where the place is not known', () => {
  askAhead('/standard/sheets');
  expect(asked).not.toHaveBeenCalled();
});
