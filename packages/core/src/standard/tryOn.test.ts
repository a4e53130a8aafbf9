import { STARTING_STANDARD } from './officeStandard';
import { triedOn } from './tryOn';

describe('longest values', () => {
  const example = triedOn('longest', STARTING_STANDARD).values['sheet.title']!;
  const longer = `${example} with more`;

  test('are the longest of any project where they are longer than the example', () => {
    const tried = (longest: Record<string, string>) => triedOn('longest', STARTING_STANDARD, { longest }).values;
    expect(tried({ 'sheet.title': longer })['sheet.title']).toBe(longer);
    expect(tried({ 'sheet.title': 'Short' })['sheet.title']).toBe(example);
  });

  test('are never those of what is computed, of pictures, or of parameters that are gone', () => {
    const long = 'x'.repeat(500);
    const tried = triedOn('longest', STARTING_STANDARD, {
      longest: { 'sheet.scale': long, 'office.logo': long, 'sheet.gone': long },
    }).values;
    expect(Object.values(tried)).not.toContain(long);
  });

  test('do not come into typical or blank ones', () => {
    for (const tryOn of ['typical', 'blank'] as const)
      expect(triedOn(tryOn, STARTING_STANDARD, { longest: { 'sheet.title': longer } })).toEqual(
        triedOn(tryOn, STARTING_STANDARD),
      );
  });
});
