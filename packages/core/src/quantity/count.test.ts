import { counted } from './count';

test.each([
  [0, '0 sheets'],
  [1, '1 sheet'],
  [12, '12 sheets'],
])('%i is told as %s', (count, words) => expect(counted(count, 'sheet')).toBe(words));

test('words that are not made by an s are given', () => expect(counted(2, 'entry', 'entries')).toBe('2 entries'));
