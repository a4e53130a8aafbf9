import { useState } from 'react';
import Box from '@mui/material/Box';
import { styled } from '@mui/material/styles';
import type { Unread } from '../standardSlice';
import type { Column } from './columns';
import { Sign } from '../../../app/FindingMark';

const FIELD = {
  font: 'inherit',
  fontVariantNumeric: 'tabular-nums',
  color: 'inherit',
  background: 'transparent',
  border: '1px solid transparent',
  borderRadius: 4,
  height: 30,
  padding: '0 7px',
  boxSizing: 'border-box',
  textOverflow: 'ellipsis',
} as const;

const Entry = styled('input')(({ theme }) => ({
  ...FIELD,
  accentColor: theme.vars?.palette.primary.main,
  '&:hover:not(:disabled)': { borderColor: theme.vars?.palette.divider },
  '&:focus-visible': {
    outline: `2px solid ${theme.vars?.palette.primary.main}`,
    outlineOffset: -1,
    background: theme.vars?.palette.background.paper,
  },
  '&[aria-invalid="true"]': { borderColor: theme.vars?.palette.error.main },
  '&:disabled': { color: theme.vars?.palette.text.secondary },
}));

const Choice = styled('select')(({ theme }) => ({
  ...FIELD,
  padding: '0 4px',
  '& option': { background: theme.vars?.palette.background.paper, color: theme.vars?.palette.text.primary },
  '&:hover:not(:disabled)': { borderColor: theme.vars?.palette.divider },
  '&:focus-visible': { outline: `2px solid ${theme.vars?.palette.primary.main}`, outlineOffset: -1 },
  '&[aria-invalid="true"]': { borderColor: theme.vars?.palette.error.main },
  '&:disabled': { color: theme.vars?.palette.text.secondary },
}));

interface Props<Row> {
  id: string;
  label: string;
  column: Column<Row>;
  row: Row;
  /** What was typed and could not be read. */
  unread: Unread | undefined;
  problem: string | undefined;
  onType: (text: string) => void;
  onLeave: () => void;
  /** Gives up what could not be read. */
  onDrop: () => void;
  onMove: (down: number, across: number) => void;
  /** @returns whether the text was more than one cell and has been dealt with */
  onPaste: (text: string) => boolean;
}

/** One cell of a table that people type through. */
export function EntryCell<Row>({ column, row, unread, problem, label, ...on }: Props<Row>) {
  // While a cell is being typed in it shows what was typed, not what that was read as: `12.50` stays `12.50`.
  const [typed, setTyped] = useState<string>();
  const shown = unread?.text ?? typed ?? column.write(row);
  const fixed = column.fixed?.(row) ?? false;
  const leave = (): void => {
    setTyped(undefined);
    on.onLeave();
  };
  const keys = (event: React.KeyboardEvent<HTMLInputElement>): void => {
    const { key, currentTarget: field } = event;
    const all = field.selectionStart === 0 && field.selectionEnd === field.value.length;
    const atStart = column.tick === true || all || (field.selectionStart === 0 && field.selectionEnd === 0);
    const atEnd = column.tick === true || all || field.selectionStart === field.value.length;
    const move: Partial<Record<string, readonly [number, number]>> = {
      ArrowUp: [-1, 0],
      ArrowDown: [1, 0],
      Enter: [1, 0],
      ...(atStart ? { ArrowLeft: [0, -1] } : {}),
      ...(atEnd ? { ArrowRight: [0, 1] } : {}),
    };
    const by = move[key];
    if (by && !event.shiftKey && !event.ctrlKey && !event.altKey && !event.metaKey) {
      event.preventDefault();
      on.onMove(...by);
    }
    if (key === 'Escape') {
      setTyped(undefined);
      on.onDrop();
    }
  };
  const shared = {
    id: on.id,
    'aria-label': label,
    'aria-invalid': problem !== undefined,
    'aria-describedby': problem === undefined ? undefined : `${on.id}-problem`,
    disabled: fixed,
    onBlur: leave,
    style: { width: '100%', textAlign: column.figures ? ('right' as const) : ('left' as const) },
  };
  return (
    <>
      {column.options ? (
        <Choice {...shared} value={column.write(row)} onChange={(event) => on.onType(event.target.value)}>
          {column.options(row).map((option) => (
            <option key={option.value} value={option.value}>
              {option.label}
            </option>
          ))}
        </Choice>
      ) : column.tick ? (
        <Entry
          {...shared}
          type="checkbox"
          checked={column.write(row) === 'yes'}
          style={{ width: 16, height: 16, margin: '7px 8px' }}
          onChange={(event) => on.onType(event.target.checked ? 'yes' : 'no')}
          onKeyDown={keys}
        />
      ) : (
        <Entry
          {...shared}
          value={shown}
          autoComplete="off"
          spellCheck={false}
          onChange={(event) => {
            setTyped(event.target.value);
            on.onType(event.target.value);
          }}
          onFocus={(event) => event.target.select()}
          onKeyDown={keys}
          onPaste={(event) => {
            if (!on.onPaste(event.clipboardData.getData('text/plain'))) return;
            event.preventDefault();
            setTyped(undefined);
          }}
        />
      )}
      {problem === undefined ? null : (
        <Box
          id={`${on.id}-problem`}
          sx={{ color: 'error.main', fontSize: '0.75rem', lineHeight: 1.3, px: 2, pb: 1, maxWidth: 260 }}
        >
          <Sign weight="error" /> {problem}
        </Box>
      )}
    </>
  );
}
