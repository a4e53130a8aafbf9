import type { TableContent } from '@mendrel/core';
import { EditError, roleFor, TABLES } from '@mendrel/core';
import { Chosen } from '../details/Chosen';
import { Pair } from '../details/Section';
import { Typed } from '../details/Typed';
import type { EditedKind, EditorProps } from './editing';
import { EntryRows } from './EntryRows';

const TABLE_WORDS: Readonly<Record<TableContent['table'], string>> = {
  revisions: 'Revisions',
  index: 'Sheet index',
  areas: 'Areas',
  issues: 'Issues',
  other: 'Other',
};

/** A table: what it lists, its columns to exact widths, its rows. */
function TableEditor({ content, standard, unit, onChange }: EditorProps<TableContent>) {
  const roles = standard.roles.map((each) => [each.id, each.name] as const);
  return (
    <>
      <Pair>
        <Chosen
          label="Rows of"
          value={content.table}
          options={TABLES.map((table) => [table, TABLE_WORDS[table]] as const)}
          onSet={(table) => onChange({ ...content, table })}
        />
        <Chosen
          label="Heading"
          value={content.heading}
          options={[
            ['bottom', 'At the bottom'],
            ['top', 'At the top'],
          ]}
          onSet={(heading) => onChange({ ...content, heading })}
        />
        <Typed
          label="Rows"
          value={String(content.rows)}
          read={(text) => {
            const rows = Number(text);
            if (!Number.isInteger(rows) || rows < 1 || rows > 200) throw new EditError('A whole number from 1 to 200.');
            return String(rows);
          }}
          onSet={(text) => onChange({ ...content, rows: Number(text) })}
        />
        <Typed
          label="Row height"
          length={unit}
          required
          value={content.rowHeight}
          onSet={(rowHeight) => onChange({ ...content, rowHeight })}
        />
      </Pair>
      <EntryRows
        entries={content.columns}
        name="column"
        most={30}
        widths="1fr 84px"
        blank={(count) => ({ heading: 'Column', key: `column${count}`, width: unit === 'in' ? '3/4 in' : '20 mm' })}
        fields={(column, position, change) => (
          <>
            <Typed label={`Column ${position}`} value={column.heading} onSet={(heading) => change({ heading })} />
            <Typed label="Width" length={unit} required value={column.width} onSet={(width) => change({ width })} />
          </>
        )}
        onSet={(columns) => onChange({ ...content, columns })}
      />
      <Pair>
        <Chosen
          label="Headings in"
          value={content.captionRole}
          options={roles}
          onSet={(captionRole) => onChange({ ...content, captionRole })}
        />
        <Chosen
          label="Rows in"
          value={content.valueRole}
          options={roles}
          onSet={(valueRole) => onChange({ ...content, valueRole })}
        />
      </Pair>
    </>
  );
}

/** Rows of a new table are set in lettering of this height where the office has it, in mm. */
const ROW_LETTERING = 2.5;

export const tables: EditedKind<'table'> = {
  Editor: TableEditor,
  adding: { menu: 'Table of revisions', command: 'Add a table of revisions' },
  make: ({ id, unit, standard }) => ({
    id,
    kind: 'table',
    horizontal: 'left',
    vertical: 'bottom',
    rotation: 0,
    table: 'revisions',
    columns: [
      { heading: 'Rev', key: 'revision', width: unit === 'in' ? '3/8 in' : '10 mm' },
      { heading: 'Description', key: 'description', width: unit === 'in' ? '1 3/4 in' : '48 mm' },
      { heading: 'Date', key: 'date', width: unit === 'in' ? '3/4 in' : '20 mm' },
    ],
    rowHeight: unit === 'in' ? '1/4 in' : '6 mm',
    rows: 4,
    heading: 'bottom',
    captionRole: roleFor(standard, 'caption', unit).id,
    valueRole: roleFor(standard, 'value', unit, ROW_LETTERING).id,
  }),
};
