import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CloseIcon from '@mui/icons-material/Close';
import IconButton from '@mui/material/IconButton';
import type { Content, OfficeStandard, TableContent } from '@mendrel/core';
import { EditError, TABLES } from '@mendrel/core';
import { Chosen } from '../details/Chosen';
import { Pair, Row } from '../details/Section';
import { Typed } from '../details/Typed';

const TABLE_WORDS: Readonly<Record<TableContent['table'], string>> = {
  revisions: 'Revisions',
  index: 'Sheet index',
  areas: 'Areas',
  issues: 'Issues',
  other: 'Other',
};

/** A table: what it lists, its columns to exact widths, its rows. */
export function TableEditor({
  content,
  standard,
  unit,
  onChange,
}: {
  content: TableContent;
  unit: 'mm' | 'in';
  standard: OfficeStandard;
  onChange: (content: Content) => void;
}) {
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
