import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CloseIcon from '@mui/icons-material/Close';
import IconButton from '@mui/material/IconButton';
import type { TableContent } from '@mendrel/core';
import { EditError, roleFor, TABLES } from '@mendrel/core';
import { Chosen } from '../details/Chosen';
import { Pair, Row } from '../details/Section';
import { Typed } from '../details/Typed';
import type { EditedKind, EditorProps } from './editing';

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
  const setColumn = (index: number, change: Partial<TableContent['columns'][number]>): void =>
    onChange({
      ...content,
      columns: content.columns.map((column, i) => (i === index ? { ...column, ...change } : column)),
    });
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
      {content.columns.map((column, i) => (
        <Box key={i} sx={{ display: 'grid', gridTemplateColumns: '1fr 84px 28px', gap: 1.5, alignItems: 'start' }}>
          <Typed label={`Column ${i + 1}`} value={column.heading} onSet={(heading) => setColumn(i, { heading })} />
          <Typed label="Width" length={unit} required value={column.width} onSet={(width) => setColumn(i, { width })} />
          <IconButton
            size="small"
            aria-label={`Remove column ${i + 1}`}
            disabled={content.columns.length === 1}
            onClick={() => onChange({ ...content, columns: content.columns.filter((_, k) => k !== i) })}
            sx={{ mt: 1 }}
          >
            <CloseIcon fontSize="inherit" />
          </IconButton>
        </Box>
      ))}
      <Row>
        <Button
          size="small"
          disabled={content.columns.length >= 30}
          onClick={() =>
            onChange({
              ...content,
              columns: [
                ...content.columns,
                {
                  heading: 'Column',
                  key: `column${content.columns.length + 1}`,
                  width: unit === 'in' ? '3/4 in' : '20 mm',
                },
              ],
            })
          }
        >
          Add a column
        </Button>
      </Row>
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
