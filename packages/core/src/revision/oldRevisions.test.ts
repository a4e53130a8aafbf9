import fc from 'fast-check';
import type { Row } from '../table';
import { oldRevisions } from '.';

const row = (code: string, date: string, description: string): Row => ({ code, date, description, by: 'MO' });

test('rows that say the same on several sheets are one revision, each sheet with its own code', () => {
  const found = oldRevisions([
    [row('A', '14.02.2031', 'First issue'), row('B', '21.03.2031', 'Doors')],
    [row('A', '21.03.2031', 'Doors')],
    [],
  ]);
  expect(found).toEqual([
    { date: '14.02.2031', description: 'First issue', by: 'MO', checked: '', sheets: [{ sheet: 0, code: 'A' }] },
    {
      date: '21.03.2031',
      description: 'Doors',
      by: 'MO',
      checked: '',
      sheets: [
        { sheet: 0, code: 'B' },
        { sheet: 1, code: 'A' },
      ],
    },
  ]);
});

test('rows without a code, with one that is far too long, or with one that the sheet has already stay behind', () => {
  const found = oldRevisions([
    [row('', '', 'x'), row('a code that is too long', '', 'y'), row('A', '', '1'), row('A', '', '2')],
  ]);
  expect(found.map(({ description }) => description)).toEqual(['1']);
});

test('whatever stands on the sheets, each keeps all its codes in its own order', () => {
  const dates = fc.constantFrom('2031-02-14', '21.03.2031', '2 April 2031', '3/4/2031', 'soon', '');
  const rows = fc.uniqueArray(
    fc.tuple(fc.constantFrom('A', 'B', 'C', 'P01', 'P02'), dates, fc.constantFrom('x', 'y')),
    {
      selector: ([code]) => code,
      maxLength: 5,
    },
  );
  fc.assert(
    fc.property(fc.array(rows, { maxLength: 6 }), (sheets) => {
      const given = sheets.map((own) => own.map(([code, date, words]) => row(code, date, words)));
      const found = oldRevisions(given);
      given.forEach((own, sheet) => {
        const codes = found.flatMap((each) => each.sheets.flatMap((on) => (on.sheet === sheet ? [on.code] : [])));
        expect(codes).toEqual(own.map(({ code }) => code));
      });
      // No revision comes twice on a sheet.
      for (const { sheets: on } of found) expect(new Set(on.map(({ sheet }) => sheet)).size).toBe(on.length);
    }),
  );
});
