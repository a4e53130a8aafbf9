import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { MOST_RECIPIENTS } from '@mendrel/contract';
import type { Row } from '@mendrel/core';
import type { Column } from '../../standard/table/columns';
import { words } from '../../standard/table/columns';
import { EditTable } from '../../standard/table/EditTable';
import type { TypedRecipient } from './recipients';
import { contactsToAdd, freshRecipient } from './recipients';

interface Props {
  typed: readonly TypedRecipient[];
  /** Rows of the project's table of contacts. */
  contacts: readonly Row[];
  onChange: (typed: TypedRecipient[]) => void;
}

const COLUMNS: readonly Column<TypedRecipient>[] = (
  [
    { key: 'firm', name: 'Firm', width: 200 },
    { key: 'person', name: 'Person', width: 150 },
    { key: 'copies', name: 'What they get', width: 120 },
  ] as const
).map((basics) =>
  words(
    basics,
    (row) => row[basics.key],
    (row, text) => ({ ...row, [basics.key]: text }),
  ),
);

/** Who gets the issue: typed, pasted from a spreadsheet, or added from the contacts of the project. */
export function Recipients({ typed, contacts, onChange }: Props) {
  const more = contactsToAdd(contacts, typed);
  const add = (rows: readonly TypedRecipient[]): void => onChange(rows.slice(0, MOST_RECIPIENTS));
  return (
    <Box role="group" aria-label="Recipients">
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
        <Typography sx={{ fontWeight: 600, flex: 1 }}>Recipients</Typography>
        <Button
          size="small"
          disabled={more.length === 0}
          onClick={() => add([...typed, ...more.map((each) => freshRecipient(each))])}
        >
          Add the contacts
        </Button>
        <Button size="small" onClick={() => add([...typed, freshRecipient()])}>
          Add a recipient
        </Button>
      </Box>
      {typed.length === 0 ? (
        <Typography sx={{ color: 'text.secondary' }}>Nobody yet; it can be issued without.</Typography>
      ) : (
        <Box sx={{ maxHeight: 190, overflow: 'auto' }}>
          <EditTable
            path="recipients"
            caption="Recipients"
            columns={COLUMNS}
            rows={typed}
            idOf={({ id }) => id}
            problems={[]}
            onChange={add}
            fresh={() => freshRecipient()}
            nameOf={({ firm, person }) => firm || person || 'this row'}
          />
        </Box>
      )}
    </Box>
  );
}
