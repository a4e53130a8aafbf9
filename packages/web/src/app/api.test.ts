import { errorOf, faultOf } from './api';

const away = { status: 503, data: { code: 'unavailable', message: 'the database does not answer' } };
const noAnswer = { status: 'FETCH_ERROR', error: 'TypeError: Failed to fetch' };
const deleted = { status: 404, data: { code: 'not-found', message: 'there is no such design' } };

test('an error without an answer of the server says what to look at', () => {
  expect(errorOf(noAnswer)).toMatchObject({ code: 'unavailable', message: expect.stringContaining('does not answer') });
  expect(errorOf(deleted)).toEqual(deleted.data);
});

test.each([
  ['the database is away', away],
  ['the server is away', noAnswer],
])('while %s, what was read before stays', (_what, error) => {
  expect(faultOf({ error, currentData: { id: 1 } })).toBeUndefined();
  expect(faultOf({ error })).toBe(error);
});

test('what is no longer there does not stay', () => {
  expect(faultOf({ error: deleted, currentData: { id: 1 } })).toBe(deleted);
  expect(faultOf({ currentData: { id: 1 } })).toBeUndefined();
});
