import { askAhead, CODE_OF, fetchOrAsked } from './ahead';

const asked = vi.fn();

beforeEach(() => {
  asked.mockReset();
  asked.mockImplementation(() => Promise.resolve(new Response('[]')));
  globalThis.fetch = asked;
});

// What was begun to load is there before other tests begin.
afterAll(() => CODE_OF.project());

const get = (path: string) => ({ url: `http://localhost${path}`, method: 'GET' }) as Request;

it('asks once for what a register needs first, and gives each answer once', async () => {
  askAhead('/projects/a-1/register');
  expect(asked.mock.calls.map(([path]) => path as string)).toEqual(
    expect.arrayContaining(['/api/projects/a-1', '/api/projects/a-1/sheets', '/api/office']),
  );
  const ahead = asked.mock.calls.length;
  await fetchOrAsked(get('/api/projects/a-1/sheets'));
  expect(asked).toHaveBeenCalledTimes(ahead);
  await fetchOrAsked(get('/api/projects/a-1/sheets'));
  expect(asked).toHaveBeenCalledTimes(ahead + 1);
});

it('asks for the standard of a project as soon as the project is known, and for what takes longest at the end', async () => {
  asked.mockImplementation(() => Promise.resolve(new Response('{ "id": "a-1", "standard": 7 }')));
  askAhead('/projects/a-1/register');
  expect(asked).toHaveBeenLastCalledWith('/api/projects/a-1/sheets');
  await vi.waitFor(() => expect(asked).toHaveBeenLastCalledWith('/api/standard/revisions/7'));
  const ahead = asked.mock.calls.length;
  await fetchOrAsked(get('/api/standard/revisions/7'));
  expect(asked).toHaveBeenCalledTimes(ahead);
});

it('gives an answer to whoever reads it, as often as it is read', async () => {
  const words = { message: 'there is no such project' };
  asked.mockImplementation(() => Promise.resolve(new Response(JSON.stringify(words), { status: 404 })));
  const answer = await fetchOrAsked(get('/api/projects/gone/sheets'));
  expect(answer.status).toBe(404);
  expect(await answer.text()).toBe(JSON.stringify(words));
  expect(await answer.clone().text()).toBe(JSON.stringify(words));
});

it('asks for no standard of a project that is not there', async () => {
  const gone = { code: 'not-found', message: 'there is no such project' };
  asked.mockImplementation(() => Promise.resolve(new Response(JSON.stringify(gone), { status: 404 })));
  askAhead('/projects/a-1/register');
  const answer = await fetchOrAsked(get('/api/projects/a-1'));
  expect(JSON.parse(await answer.text())).toEqual(gone);
  expect(asked.mock.calls.filter(([path]) => String(path).includes('/standard/'))).toEqual([]);
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
