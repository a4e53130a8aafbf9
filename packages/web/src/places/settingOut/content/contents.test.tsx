import { screen, within } from '@testing-library/react';
import { STARTING_STANDARD } from '@mendrel/core';
import { choose, edited, retype } from '../testing/edited';
import { plainStrip } from '../../../testing/plainStrip';
import { CellContents } from './CellContents';

const contents = (id: string) =>
  edited(plainStrip(), (design, onEdit) => {
    const cell = design.panels[0]!.root.division!.children.find((each) => each.cell.id === id)!.cell;
    return (
      <CellContents
        design={design}
        layout={undefined}
        standard={STARTING_STANDARD}
        selected={id}
        cell={cell}
        onEdit={onEdit}
      />
    );
  });

test('an empty cell says what can be put into it; a caption is put there and worded', async () => {
  const { user, cell } = contents('cell-1');
  expect(screen.getByText(/Nothing yet/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Add caption' }));
  await retype(user, 'Fixed words', 'Key plan');
  expect(cell('cell-1').contents).toMatchObject([{ kind: 'caption', text: 'Key plan' }]);
});

describe('the words of a field', () => {
  test('that end within a parameter are refused, stay there, and are kept once they are whole', async () => {
    const { user, cell } = contents('cell-2');
    const field = await retype(user, 'Words from data', '{project.number');
    expect(screen.getByText(/has no closing brace/)).toBeTruthy();
    expect(cell('cell-2').contents[1]).toMatchObject({ pattern: '{project.name}' });
    await user.type(field, '}{Enter}');
    expect(cell('cell-2').contents[1]).toMatchObject({ pattern: '{project.number}' });
    expect(screen.getByText(/^Reads for example: /)).toBeTruthy();
  });

  test('that name no parameter say so', async () => {
    const { user } = contents('cell-2');
    await retype(user, 'Words from data', '{project.moon}');
    expect(screen.getByText('There is no parameter {project.moon}.')).toBeTruthy();
  });

  test('get a parameter from the list, after what is there', async () => {
    const { user, cell } = contents('cell-2');
    await choose(user, 'Add a parameter', /\{sheet\.title\}$/);
    expect(cell('cell-2').contents[1]).toMatchObject({ pattern: '{project.name} {sheet.title}' });
  });
});

test('contents change places and are taken out; ends have no way further', async () => {
  const { user, cell } = contents('cell-2');
  const kinds = (): unknown[] => cell('cell-2').contents.map((each) => each.kind);
  expect(kinds()).toEqual(['caption', 'field']);
  expect(screen.queryByRole('button', { name: 'Move this caption up' })).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Move this caption down' }));
  expect(kinds()).toEqual(['field', 'caption']);
  expect(screen.queryByRole('button', { name: 'Move this caption down' })).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Remove this field' }));
  expect(kinds()).toEqual(['caption']);
});

test('what a text may do to fit is chosen for it alone', async () => {
  const { user, cell } = contents('cell-2');
  const field = screen.getByRole('group', { name: 'Field' });
  await user.click(within(field).getByRole('combobox', { name: 'Condense to' }));
  await user.click(screen.getByRole('option', { name: '75 %' }));
  expect(cell('cell-2').contents).toMatchObject([{ fit: { condense: 0.85 } }, { fit: { condense: 0.75 } }]);
});

test('notes take marks as they are typed, and show them again; strong words get a role from the first of them on', async () => {
  const { user, cell } = contents('cell-1');
  await user.click(screen.getByRole('button', { name: 'Add…' }));
  await user.click(await screen.findByRole('menuitem', { name: 'Notes' }));
  const field = screen.getByRole('textbox', { name: 'Text' });
  await user.clear(field);
  await user.type(field, '1. Do *not* scale');
  await user.tab();
  expect(cell('cell-1').contents).toMatchObject([
    {
      text: '1. Do not scale',
      paragraphs: [{ label: '1.', runs: [{ text: 'Do ' }, { text: 'not', strong: true }, { text: ' scale' }] }],
      strong: 'title',
    },
  ]);
  expect((field as HTMLTextAreaElement).value).toBe('1. Do *not* scale');
  await user.clear(field);
  await user.type(field, 'Plain');
  await user.tab();
  expect(cell('cell-1').contents).toEqual([expect.not.objectContaining({ paragraphs: expect.anything() })]);
  expect(screen.queryByRole('combobox', { name: 'Strong words as' })).toBeNull();
});

describe('a table', () => {
  async function table() {
    const found = contents('cell-1');
    await found.user.click(screen.getByRole('button', { name: 'Add…' }));
    await found.user.click(screen.getByRole('menuitem', { name: 'Table' }));
    return found;
  }

  test('has as many rows as a sheet can use', async () => {
    const { user, cell } = await table();
    await retype(user, 'Rows', '201');
    expect(screen.getByText('A whole number from 1 to 200, or nothing to fill the cell.')).toBeTruthy();
    expect(cell('cell-1').contents[0]).toMatchObject({ rows: 0 });
    await retype(user, 'Rows', '6');
    expect(cell('cell-1').contents[0]).toMatchObject({ rows: 6 });
    await user.clear(screen.getByRole('textbox', { name: 'Rows' }));
    await user.tab();
    expect(cell('cell-1').contents[0]).toMatchObject({ rows: 0 });
  });

  test('lists what is chosen, with the columns that are usual for it', async () => {
    const { user, cell } = await table();
    await choose(user, 'Lists', 'Contacts');
    expect(cell('cell-1').contents[0]).toMatchObject({
      table: 'contacts',
      columns: [{ heading: 'Discipline', shows: '{row.discipline}', width: '3*' }, {}, {}],
    });
    await choose(user, 'More rows than room', 'First rows, and how many more');
    await choose(user, 'Long texts', 'Grow row');
    expect(cell('cell-1').contents[0]).toMatchObject({ more: 'first', growing: true });
    await choose(user, 'More rows than room', 'An error');
    await choose(user, 'Long texts', 'Fit');
    const [content] = cell('cell-1').contents;
    expect(Object.keys(content!)).not.toContain('more');
    expect(Object.keys(content!)).not.toContain('growing');
  });

  test('has columns of exact widths or shares, which show any pattern that can be read', async () => {
    const { user, cell } = await table();
    const width = screen.getAllByRole('textbox', { name: 'Width' })[0]!;
    await user.clear(width);
    await user.type(width, '12{Enter}');
    const pattern = screen.getAllByRole('textbox', { name: 'Pattern' })[0]!;
    await user.clear(pattern);
    await user.type(pattern, '[[Rev {{row.code}{Enter}');
    expect(screen.getByText(/no closing bracket/)).toBeTruthy();
    await user.type(pattern, ']{Enter}');
    expect(cell('cell-1').contents[0]).toMatchObject({
      columns: [{ width: '12 mm', shows: '[Rev {row.code}]' }, {}, {}],
    });
  });

  test('gains and loses columns, but for the last one', async () => {
    const { user, cell } = await table();
    const headings = (): unknown[] => {
      const [content] = cell('cell-1').contents;
      return content?.kind === 'table' ? content.columns.map((each) => each.heading) : [];
    };
    await user.click(screen.getByRole('button', { name: 'Add a column' }));
    await retype(user, 'Column 4', 'By');
    expect(headings()).toEqual(['Rev', 'Description', 'Date', 'By']);
    for (let i = 0; i < 3; i++) await user.click(screen.getByRole('button', { name: 'Remove column 1' }));
    expect(headings()).toEqual(['By']);
    expect(screen.getByRole('button', { name: 'Remove column 1' })).toHaveProperty('disabled', true);
  });
});

describe('tick boxes', () => {
  const added = async () => {
    const found = contents('cell-1');
    await found.user.click(screen.getByRole('button', { name: 'Add…' }));
    await found.user.click(screen.getByRole('menuitem', { name: 'Tick boxes' }));
    return found;
  };

  test('are ticked by a parameter; its example stands in the first box', async () => {
    const { cell } = await added();
    expect(cell('cell-1').contents).toMatchObject([
      { kind: 'ticks', parameter: 'sheet.status', boxes: [{ value: 'Tender', words: 'Tender' }] },
    ]);
  });

  test('get more boxes with words and values of their own; the last one stays', async () => {
    const { user, cell } = await added();
    expect(screen.getByRole('button', { name: 'Remove box 1' }).hasAttribute('disabled')).toBe(true);
    await user.click(screen.getByRole('button', { name: 'Add a box' }));
    await retype(user, 'Box 2', 'For construction');
    expect(cell('cell-1').contents[0]).toMatchObject({
      boxes: [{ words: 'Tender' }, { value: '', words: 'For construction' }],
    });
    await user.click(screen.getByRole('button', { name: 'Remove box 1' }));
    expect(cell('cell-1').contents[0]).toMatchObject({ boxes: [{ words: 'For construction' }] });
  });
});
