import { render, screen } from '@testing-library/react';
import type { OfficeStandard } from '@mendrel/core';
import { CONTENT_KINDS, contentSchema, pensOf, rolesOf, STARTING_STANDARD } from '@mendrel/core';
import { ThemeProvider } from '@mui/material/styles';
import { theme } from '../../../app/theme';
import { EDITED_KINDS, editedKind } from './kinds';

/** An office that has deleted all roles and pens that ship, and made one of its own. */
const OWN: OfficeStandard = {
  ...STARTING_STANDARD,
  roles: [{ ...STARTING_STANDARD.roles[0]!, id: 'role-99', name: 'Words', use: 'value' }],
  pens: [{ ...STARTING_STANDARD.pens[0]!, id: 'pen-99' }],
};

test('every kind of content is offered', () => {
  expect([...EDITED_KINDS].sort()).toEqual(Object.keys(CONTENT_KINDS).sort());
});

describe.each(EDITED_KINDS.filter((kind) => editedKind(kind).make))('a new content of kind %s', (kind) => {
  test.each([
    ['mm', STARTING_STANDARD],
    ['in', STARTING_STANDARD],
    ['mm', OWN],
  ] as const)('is sound in %s, and takes only what the standard has', (unit, standard) => {
    const content = contentSchema.parse(editedKind(kind).make!({ id: 'content-1', unit, standard }));
    expect(content.kind).toBe(kind);
    const known = [...standard.roles, ...standard.pens].map(({ id }) => id);
    for (const id of [...rolesOf(content), ...pensOf(content)]) expect(known).toContain(id);
  });

  test('is edited in fields that have names', () => {
    const { Editor, make } = editedKind(kind);
    const content = make!({ id: 'content-1', unit: 'mm', standard: STARTING_STANDARD });
    const { unmount } = render(
      <ThemeProvider theme={theme}>
        <Editor content={content} standard={STARTING_STANDARD} unit="mm" onChange={() => undefined} />
      </ThemeProvider>,
    );
    const fields = (name?: RegExp): number =>
      (['textbox', 'combobox'] as const).flatMap((role) => screen.queryAllByRole(role, name ? { name } : {})).length;
    expect(fields()).toBeGreaterThan(0);
    expect(fields(/./)).toBe(fields());
    unmount();
  });
});
