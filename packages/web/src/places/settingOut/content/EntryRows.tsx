import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CloseIcon from '@mui/icons-material/Close';
import IconButton from '@mui/material/IconButton';
import { Row } from '../details/Section';

interface Props<Entry> {
  entries: readonly Entry[];
  /** What one is called: "column" */
  name: string;
  most: number;
  /** Widths of the fields of an entry, as CSS has them. */
  widths: string;
  /** A new entry, the last of so many. */
  blank: (count: number) => Entry;
  /** The fields of an entry, and how it is changed. */
  fields: (entry: Entry, position: number, change: (change: Partial<Entry>) => void) => ReactNode;
  onSet: (entries: Entry[]) => void;
}

/** A short list of entries within a content, each in a line of its own; at least one stays. */
export function EntryRows<Entry>({ entries, name, most, widths, blank, fields, onSet }: Props<Entry>) {
  return (
    <>
      {entries.map((entry, i) => (
        <Box key={i} sx={{ display: 'grid', gridTemplateColumns: `${widths} 28px`, gap: 1.5, alignItems: 'start' }}>
          {fields(entry, i + 1, (change) => onSet(entries.map((each, k) => (k === i ? { ...each, ...change } : each))))}
          <IconButton
            size="small"
            aria-label={`Remove ${name} ${i + 1}`}
            disabled={entries.length === 1}
            onClick={() => onSet(entries.filter((_, k) => k !== i))}
            sx={{ mt: 1 }}
          >
            <CloseIcon fontSize="inherit" />
          </IconButton>
        </Box>
      ))}
      <Row>
        <Button
          size="small"
          disabled={entries.length >= most}
          onClick={() => onSet([...entries, blank(entries.length + 1)])}
        >
          Add a {name}
        </Button>
      </Row>
    </>
  );
}
