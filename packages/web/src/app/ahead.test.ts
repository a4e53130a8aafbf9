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
