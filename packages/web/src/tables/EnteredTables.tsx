import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useSnackbar } from 'notistack';
import type { OfficeStandard, Row, RowKey, TableRows } from '@mendrel/core';
import { enteredTables, MOST_ROWS } from '@mendrel/core';
import { errorOf } from '../app/api';
import { useUnsavedInput } from '../app/unsavedInput';
import type { Column } from '../places/standard/table/columns';
import { words } from '../places/standard/table/columns';
import { TableCard } from '../places/standard/TableCard';

/** A row while it is edited, with what stays the same of it. */
interface Entry {
  id: string;
  row: Row;
}

interface Props {
  tables: TableRows;
  standard: Pick<OfficeStandard, 'tables'>;
  about: string;
  /** @returns what went wrong */
  onSave: (tables: TableRows) => Promise<Parameters<typeof errorOf>[0]>;
}

let lastId = 0;
const entriesOf = (rows: readonly Row[] = []): Entry[] => rows.map((row) => ({ id: `row-${++lastId}`, row }));

/** Columns of a table by what its rows have. */
const columnsOf = (keys: readonly RowKey[]): Column<Entry>[] =>
  keys.map(({ key, name }) =>
    words(
      { key, name, width: 150 },
      ({ row }) => row[key] ?? '',
      (entry, text) => {
        const row = Object.fromEntries(Object.entries(entry.row).filter(([each]) => each !== key));
        return { ...entry, row: text === '' ? row : { ...row, [key]: text } };
      },
    ),
  );

const filled = (entries: readonly Entry[]): Row[] =>
  entries.map(({ row }) => row).filter((row) => Object.keys(row).length > 0);

type EnteredKind = ReturnType<typeof enteredTables>[number];

/** Every table whose rows people enter, one card each; saved one by one, for each is a whole. */
export function EnteredTables({ standard, ...props }: Props) {
  return enteredTables(standard.tables).map((table) => <EnteredTable key={table.id} table={table} {...props} />);
}

function EnteredTable({
  table: { id, name, keys },
  tables,
  about,
  onSave,
}: Omit<Props, 'standard'> & { table: EnteredKind }) {
  const saved: readonly Row[] | undefined = tables[id];
  const [edited, setEdited] = useState<{ entries: Entry[] }>();
  useUnsavedInput(edited !== undefined);
  const [kept, setKept] = useState(() => ({ from: saved, entries: entriesOf(saved) }));
  // What was saved elsewhere is shown where nothing is being edited.
  if (kept.from !== saved) setKept({ from: saved, entries: entriesOf(saved) });
  const [saving, setSaving] = useState(false);
  const { enqueueSnackbar } = useSnackbar();
  const entries = edited?.entries ?? kept.entries;
  const save = async (): Promise<void> => {
    setSaving(true);
    const others = Object.fromEntries(Object.entries(tables).filter(([each]) => each !== id));
    const rows = filled(entries);
    const error = await onSave(rows.length === 0 ? others : { ...others, [id]: rows });
    setSaving(false);
    if (error) enqueueSnackbar(`${name} not saved: ${errorOf(error).message}`, { variant: 'error' });
    else {
      setEdited(undefined);
      enqueueSnackbar(`${name} saved`, { variant: 'success' });
    }
  };
  return (
    <TableCard
      title={name}
      about={about}
      add="Add a row"
      path={`rows-${id}`}
      file={name}
      caption={name}
      columns={columnsOf(keys)}
      rows={entries}
      idOf={(entry) => entry.id}
      nameOf={({ row }) => keys.map(({ key }) => row[key]).find((text) => text) ?? ''}
      problems={[]}
      onChange={(next) => {
        setEdited({ entries: next.slice(0, MOST_ROWS) });
        if (next.length > MOST_ROWS)
          enqueueSnackbar(`${name} holds ${MOST_ROWS} rows; ${next.length - MOST_ROWS} more were left out`, {
            variant: 'warning',
          });
      }}
      fresh={(): Entry => ({ id: `row-${++lastId}`, row: {} })}
      empty="No rows yet. Add one, paste a piece of a spreadsheet into its first cell, or read a CSV file."
    >
      {edited ? (
        <Box sx={{ display: 'flex', gap: 3, pt: 3 }}>
          <Button variant="contained" disabled={saving} onClick={() => void save()}>
            {saving ? 'Saving…' : `Save ${name.toLowerCase()}`}
          </Button>
          <Button color="inherit" disabled={saving} onClick={() => setEdited(undefined)}>
            Discard changes
          </Button>
        </Box>
      ) : null}
    </TableCard>
  );
}
