import fc from 'fast-check';
import { dateIn, dateProblem } from './date';

test.each([
  '2031-04-02',
  '02.04.2031',
  '2/4/31',
  '4/30/2031',
  '2 April 2031',
  'April 2, 2031',
  '1. März 2031',
  '14 juillet 2031',
  '3-Feb-31',
  'Sept 2031',
  '29 February 2032',
])('%s is a date', (text) => expect(dateProblem(text)).toBeUndefined());

test.each([
  ['31.02.2025', '31 February 2025'],
  ['2031-02-29', '29 February 2031'],
  ['31 June 2031', '31 June 2031'],
  ['2031-13-01', '2031-13-01'],
])('%s is no day of the calendar', (text, day) => expect(dateProblem(text)).toEqual({ noSuchDay: day }));

test.each(['tomorrow', '12', '2031', '1.2', 'Blatt 3', '02-04'])('%s is no date at all', (text) =>
  expect(dateProblem(text)).toBe('form'),
);

test.each([
  ['2031-04-02', '2 Apr 2031', '2 Apr 2031'],
  ['02.04.2031', '2031-04-02', '2031-04-02'],
  ['April 2, 2031', '02.04.2031', '02.04.2031'],
  ['30/4/2031', '04/02/2031', '04/30/2031'],
  ['2031-04-02', '2 April 2031', '2 April 2031'],
  ['2031-04-02', 'as entered', '2031-04-02'],
  // What may be two days, is no day, or names none, stays as it is.
  ['3/4/2031', '2031-04-02', '3/4/2031'],
  ['31.02.2031', '2031-04-02', '31.02.2031'],
  ['April 2031', '2031-04-02', 'April 2031'],
] as const)('%s in the form %s is %s', (text, form, shown) => expect(dateIn(form, text)).toBe(shown));

test('every day is a date however it is written, and no text makes it fail', () => {
  const days = fc.date({ min: new Date('1900-01-01'), max: new Date('2099-12-31'), noInvalidDate: true });
  fc.assert(
    fc.property(days, (date) => {
      const [year, month, day] = date.toISOString().slice(0, 10).split('-');
      for (const text of [`${year}-${month}-${day}`, `${day}.${month}.${year}`, `${day}/${month}/${year}`]) {
        expect(dateProblem(text)).toBeUndefined();
      }
      const words = date.toLocaleDateString('en-GB', {
        day: 'numeric',
        month: 'long',
        year: 'numeric',
        timeZone: 'UTC',
      });
      expect(dateProblem(words)).toBeUndefined();
    }),
  );
  fc.assert(fc.property(fc.string(), (text) => void dateProblem(text)));
});
