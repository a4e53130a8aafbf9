import { useState } from 'react';
import { fireEvent, screen } from '@testing-library/react';
import { shown } from '../../../testing/shown';
import { lengths, words } from './columns';
import { EditTable } from './EditTable';

interface Pen {
  id: string;
  name: string;
  width: number;
}

const COLUMNS = [
  words<Pen>(
    { key: 'name', name: 'Name', width: 100 },
    (pen) => pen.name,
    (pen, name) => ({ ...pen, name }),
  ),
  lengths<Pen>(
    { key: 'width', name: 'Width', width: 60 },
    (pen) => pen.width,
    (pen, width) => ({ ...pen, width }),
    () => 'mm',
  ),
];
const PENS: Pen[] = [
  { id: 'a', name: 'Fine', width: 0.25 },
  { id: 'b', name: 'Strong', width: 0.5 },
];

function table() {
  let pens = PENS;
  function Pens() {
    const [rows, setRows] = useState(PENS);
    return (
      <EditTable
        path="pens"
        caption="Pens"
        columns={COLUMNS}
        rows={rows}
        idOf={(pen) => pen.id}
        nameOf={(pen) => pen.name}
        problems={[]}
        least={1}
        fresh={(all) => ({ id: `new-${all.length}`, name: '', width: 0.35 })}
        onChange={(next) => setRows((pens = next))}
      />
    );
  }
  return { ...shown(<Pens />), pens: () => pens };
}
const field = (name: string): HTMLInputElement => screen.getByRole('textbox', { name });
const paste = (into: HTMLElement, text: string): boolean =>
  fireEvent.paste(into, { clipboardData: { getData: () => text } });

test('arrow keys and Enter go through it, sideways only from the end of what is typed', async () => {
  const { user } = table();
  await user.click(field('Name, Fine'));
  await user.keyboard('{Enter}');
  expect(document.activeElement).toBe(field('Name, Strong'));
  await user.keyboard('{ArrowRight}{ArrowUp}');
  expect(document.activeElement).toBe(field('Width, Fine'));
  field('Width, Fine').setSelectionRange(1, 1);
  await user.keyboard('{ArrowLeft}');
  expect(document.activeElement).toBe(field('Width, Fine'));
});

test('what cannot be read stays with what is wrong about it; the last good value counts until it is mended', async () => {
  const { user, pens } = table();
  await user.clear(field('Width, Fine'));
  await user.type(field('Width, Fine'), 'thin');
  expect(field('Width, Fine').value).toBe('thin');
  expect(field('Width, Fine').getAttribute('aria-invalid')).toBe('true');
  expect(pens()[0]?.width).toBe(0.25);
  await user.keyboard('{Escape}');
  expect(field('Width, Fine').value).toBe('0.25');
  await user.clear(field('Width, Fine'));
  await user.type(field('Width, Fine'), '0.180');
  // As it was typed, while it is being typed.
  expect(field('Width, Fine').value).toBe('0.180');
  expect(pens()[0]?.width).toBe(0.18);
});

test('a piece of a spreadsheet fills the rows from there and adds those that are missing', () => {
  const { pens } = table();
  paste(field('Name, Strong'), 'Medium\t0.35\nThick\t1\n');
  expect(pens()).toEqual([PENS[0], { id: 'b', name: 'Medium', width: 0.35 }, { id: 'new-2', name: 'Thick', width: 1 }]);
});

test('of what is pasted, what cannot be read is marked where it belongs and the rest is taken', () => {
  const { pens } = table();
  paste(field('Name, Fine'), 'Hair\tvery thin\nBold\t0.7');
  expect(pens()).toEqual([
    { id: 'a', name: 'Hair', width: 0.25 },
    { id: 'b', name: 'Bold', width: 0.7 },
  ]);
  expect(field('Width, Hair').value).toBe('very thin');
  expect(field('Width, Hair').getAttribute('aria-invalid')).toBe('true');
});

test('a single pasted value is left to the field', () => {
  const { pens } = table();
  expect(paste(field('Name, Fine'), 'Hair')).toBe(true);
  expect(pens()).toBe(PENS);
});

test('rows are taken out down to the least there must be', async () => {
  const { user, pens } = table();
  await user.click(screen.getByRole('button', { name: 'Remove Fine' }));
  expect(pens().map((pen) => pen.name)).toEqual(['Strong']);
  expect(screen.getByRole('button', { name: 'Remove Strong' })).toHaveProperty('disabled', true);
});
