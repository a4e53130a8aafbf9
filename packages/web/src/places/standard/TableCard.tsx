import Button from '@mui/material/Button';
import { useSnackbar } from 'notistack';
import { FileButton } from '../../app/FileButton';
import { keepFile } from '../../app/keepFile';
import { Card } from '../../app/Card';
import { EntryError } from './table/columns';
import { EditTable } from './table/EditTable';
import { rowsFromCsv, tableAsCsv } from './table/exchange';

type TableProps<Row> = React.ComponentProps<typeof EditTable<Row>>;

interface Props<Row> extends TableProps<Row> {
  title: string;
  about?: string;
  /** Words on the button for a new row. */
  add?: string;
  /** Says that nothing is here yet and what it would be for. */
  empty?: string;
  /** Name of the CSV file, where the path of the table does not tell it from another. */
  file?: string;
  action?: React.ReactNode;
  children?: React.ReactNode;
}

/** A table of the standard with its ways in and out: a new row, CSV to keep, CSV to read. */
export function TableCard<Row>({ title, about, add, empty, file, action, children, ...table }: Props<Row>) {
  const { rows, columns, onChange, fresh, path } = table;
  const { enqueueSnackbar } = useSnackbar();
  const read = async (file: File): Promise<void> => {
    if (!fresh) return;
    try {
      // Each row that is new gets an id besides those of the table and of the rows before it.
      const made: Row[] = [];
      const next = rowsFromCsv(await file.text(), columns, rows, () => {
        const row = fresh([...rows, ...made]);
        made.push(row);
        return row;
      });
      onChange(next);
      enqueueSnackbar(`${next.length} rows read from ${file.name}; undo restores the old ones`, {
        variant: 'success',
      });
    } catch (error) {
      if (!(error instanceof EntryError)) throw error;
      enqueueSnackbar(`Nothing was changed: ${error.message}`, { variant: 'error', persist: true });
    }
  };
  return (
    <Card
      title={title}
      {...(about ? { about } : {})}
      action={
        <>
          {action}
          <Button size="small" onClick={() => keepFile(`${file ?? path}.csv`, tableAsCsv(columns, rows), 'text/csv')}>
            Download as CSV
          </Button>
          {fresh ? (
            <FileButton
              size="small"
              of={`CSV for ${title}`}
              accept=".csv,.txt,text/csv"
              onFile={(file) => void read(file)}
            >
              Read CSV…
            </FileButton>
          ) : null}
          {fresh && add ? (
            <Button size="small" variant="outlined" onClick={() => onChange([...rows, fresh(rows)])}>
              {add}
            </Button>
          ) : null}
        </>
      }
    >
      {rows.length === 0 && empty ? empty : <EditTable {...table} />}
      {children}
    </Card>
  );
}
