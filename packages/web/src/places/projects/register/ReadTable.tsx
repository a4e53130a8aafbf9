import { useMemo, useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { MOST_SHEETS } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { FileButton } from '../../../app/FileButton';
import { PlainTable } from '../../../app/PlainTable';
import type { TableDifferences } from './exchange';
import { readTableFile, tableFrom } from '../../../app/tableFile';
import type { RegisterStep } from './useRegisterEdits';

interface Props {
  /** What a table would do to the register, or why it is no list of sheets. */
  compare: (table: readonly (readonly string[])[]) => TableDifferences | string;
  /** @returns why nothing was changed */
  onTake: (step: RegisterStep) => Promise<string | undefined>;
  onClose: () => void;
}

/** Differences that are shown before they are taken over; all of them are. */
const SHOWN = 100;

/** A table from a file or the clipboard, with everything that it would change, before it is taken over. */
export function ReadTable({ compare, onTake, onClose }: Props) {
  const [table, setTable] = useState<{ name: string; rows: string[][] }>();
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const found = useMemo(() => (table ? compare(table.rows) : undefined), [compare, table]);
  const read = async (file: File): Promise<void> => {
    setProblem(undefined);
    try {
      setTable({ name: file.name, rows: await readTableFile(file) });
    } catch (error) {
      setTable(undefined);
      setProblem(error instanceof Error ? error.message : 'the file could not be read');
    }
  };
  const does = typeof found === 'object' ? found : undefined;
  const take = async (): Promise<void> => {
    if (!does) return;
    setBusy(true);
    const refused = await onTake({ changes: does.edits, added: does.added });
    setBusy(false);
    if (refused === undefined) onClose();
    else setProblem(refused);
  };
  const count = (does?.edits.length ?? 0) + (does?.added.length ?? 0);
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="read-title">
      <DialogTitle id="read-title">{table ? `What ${table.name} would change` : 'Read a table of sheets'}</DialogTitle>
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 3, minHeight: 380, pt: '8px !important' }}>
        {table ? null : (
          <>
            <Typography>
              A CSV or XLSX file, or rows copied from a spreadsheet. The first row holds the headings; the column Number
              says which sheet a row is for. Nothing changes before you have seen what would.
            </Typography>
            <Box>
              <FileButton
                of="Table of sheets"
                accept=".csv,.txt,.xlsx,text/csv"
                variant="outlined"
                onFile={(file) => void read(file)}
              >
                Choose a file…
              </FileButton>
            </Box>
            <TextField
              label="Or paste rows here"
              multiline
              minRows={6}
              value=""
              onChange={({ target }) => setTable({ name: 'the pasted table', rows: tableFrom(target.value) })}
            />
          </>
        )}
        {problem ? <Alert severity="error">Nothing changed: {problem}</Alert> : null}
        {typeof found === 'string' ? <Alert severity="error">{found}</Alert> : null}
        {does ? <Differences of={does} /> : null}
      </DialogContent>
      <DialogActions>
        {table ? (
          <Button
            color="inherit"
            onClick={() => {
              setTable(undefined);
              setProblem(undefined);
            }}
          >
            Another table
          </Button>
        ) : null}
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
        <Button variant="contained" disabled={count === 0 || count > MOST_SHEETS || busy} onClick={() => void take()}>
          {busy ? 'Taking over…' : `Take over ${counted(count, 'sheet')}`}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function Differences({ of }: { of: TableDifferences }) {
  const { differences, edits, added, unknown, computed, missing, problems } = of;
  return (
    <>
      <Box role="status" aria-label="In short">
        <Typography>
          {edits.length + added.length === 0
            ? 'Nothing that would change.'
            : `${counted(edits.length, 'sheet')} would change in ${counted(differences.length, 'cell')}, ${counted(added.length, 'sheet')} would be added.`}
        </Typography>
        {missing.length > 0 ? (
          <Typography sx={{ color: 'text.secondary' }}>
            {counted(missing.length, 'sheet')} of the register {missing.length === 1 ? 'is' : 'are'} not in the table
            and {missing.length === 1 ? 'stays' : 'stay'} as {missing.length === 1 ? 'it is' : 'they are'}.
          </Typography>
        ) : null}
        {computed.length > 0 ? (
          <Typography sx={{ color: 'text.secondary' }}>Computed, so not taken over: {computed.join(', ')}.</Typography>
        ) : null}
      </Box>
      {unknown.length > 0 ? (
        <Alert severity="warning">No column of the register is called {unknown.slice(0, 10).join(', ')}.</Alert>
      ) : null}
      {problems.length > 0 ? (
        <Alert severity="warning">
          Left out: {problems.slice(0, 6).join('; ')}
          {problems.length > 6 ? ' and more' : ''}.
        </Alert>
      ) : null}
      <Box sx={{ maxHeight: 300, overflow: 'auto' }} tabIndex={0} role="group" aria-label="What would change">
        <PlainTable caption="What would change" headings={['Sheet', 'Column', 'Now', 'Then']} framed tight>
          {added.slice(0, SHOWN).map(({ id, number, title, kind, size }) => (
            <tr key={id}>
              <td>{number}</td>
              <td>new</td>
              <td />
              <td>
                {title} ({kind}, {size})
              </td>
            </tr>
          ))}
          {differences.slice(0, SHOWN).map(({ number, column, before, after }) => (
            <tr key={`${number} ${column}`}>
              <td>{number}</td>
              <td>{column}</td>
              <td>{before}</td>
              <td>{after}</td>
            </tr>
          ))}
        </PlainTable>
        {Math.max(added.length, differences.length) > SHOWN ? <Typography>and more</Typography> : null}
      </Box>
    </>
  );
}
