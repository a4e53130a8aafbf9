import { USUAL_SCHEMES } from '@mendrel/core';
import { schemeOf, typedOf, usualPlace } from './typedScheme';

test('a scheme that is typed is the scheme that was shown', () => {
  USUAL_SCHEMES.forEach(({ scheme }, i) => {
    expect(schemeOf(typedOf(scheme))).toEqual(scheme);
    expect(usualPlace(scheme)).toBe(i);
    // A database keeps its parts in an order of its own.
    const { digits, pattern, zones, disciplines } = scheme;
    expect(usualPlace({ digits, zones, disciplines, pattern })).toBe(i);
  });
  const own = { pattern: ' {zone}{sequence} ', disciplines: 'A, B;C  A', zones: 'N\nS', digits: '3' };
  expect(schemeOf(own)).toEqual({
    pattern: '{zone}{sequence}',
    disciplines: ['A', 'B', 'C'],
    zones: ['N', 'S'],
    digits: 3,
  });
});

test.each([
  [{ pattern: '' }, 'pattern'],
  [{ pattern: '{sheet}' }, 'pattern'],
  [{ disciplines: 'A B-C' }, 'disciplines'],
  [{ zones: 'toolongword' }, 'zones'],
  [{ digits: '9' }, 'digits'],
])('%j is told at its field', (part, field) => {
  expect(schemeOf({ pattern: '{sequence}', disciplines: '', zones: '', digits: '2', ...part })).toMatchObject({
    field,
  });
});
