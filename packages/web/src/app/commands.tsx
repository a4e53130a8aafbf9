import { createContext, useContext, useEffect, useMemo, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import InputBase from '@mui/material/InputBase';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import ListItemText from '@mui/material/ListItemText';
import Typography from '@mui/material/Typography';

/** Something that can be done here and now. */
export interface Command {
  name: string;
  /** Keys, written as in "Ctrl+S"; Ctrl stands for Cmd on a Mac as well. */
  keys?: string;
  run: () => void;
}

interface Registry {
  commands: () => Command[];
  add: (commands: () => readonly Command[]) => () => void;
}

const Commands = createContext<Registry | undefined>(undefined);

function pressed(event: KeyboardEvent): string {
  const parts = [
    event.ctrlKey || event.metaKey ? 'Ctrl' : '',
    event.altKey ? 'Alt' : '',
    event.shiftKey ? 'Shift' : '',
    event.key.length === 1 ? event.key.toUpperCase() : event.key,
  ];
  return parts.filter((part) => part !== '').join('+');
}

/** Keys that mean something in a field people type in. */
const TYPING_KEYS = new Set(['Ctrl+Z', 'Ctrl+Shift+Z', 'Ctrl+Y', 'Ctrl+C', 'Ctrl+V', 'Ctrl+X', 'Ctrl+A', 'Ctrl+D']);

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** Whether a plain key is typed by whoever has the focus: in a field, or in a cell of a table that takes what is typed over it. */
const isTyped = (target: EventTarget | null): boolean =>
  isTyping(target) || (target instanceof HTMLElement && target.closest('.MuiDataGrid-cell--editable') !== null);

/** Offers commands while the calling component is on screen. */
export function useCommands(commands: readonly Command[]): void {
  const registry = useContext(Commands);
  const latest = useRef(commands);
  useEffect(() => {
    latest.current = commands;
  });
  useEffect(() => registry?.add(() => latest.current), [registry]);
}

/** Holds the commands of all places on screen, runs them by their keys, and lists them on Ctrl+K. */
export function CommandProvider({ children }: { children: ReactNode }) {
  const [open, setOpen] = useState<'list' | 'keys'>();
  const registry = useMemo<Registry>(() => {
    const sources = new Set<() => readonly Command[]>();
    return {
      commands: () => [...sources].flatMap((source) => [...source()]),
      add(source) {
        sources.add(source);
        return () => sources.delete(source);
      },
    };
  }, []);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const keys = pressed(event);
      if (keys === 'Ctrl+K' || (keys === 'Shift+?' && !isTyped(event.target))) {
        event.preventDefault();
        setOpen(keys === 'Ctrl+K' ? 'list' : 'keys');
        return;
      }
      // Keys without Ctrl or Alt belong to whoever is typing.
      const plain = !keys.includes('Ctrl') && !keys.includes('Alt');
      const editing = TYPING_KEYS.has(keys);
      // A dialog or a menu has keys of its own, and words that are marked are copied as words.
      if (plain && document.querySelector('[role="dialog"], [role="menu"], [role="listbox"]')) return;
      if (keys === 'Ctrl+C' && String(window.getSelection()) !== '') return;
      if ((plain && isTyped(event.target)) || (editing && isTyping(event.target))) return;
      const command = registry.commands().find((each) => each.keys === keys);
      if (!command) return;
      event.preventDefault();
      command.run();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [registry]);
  return (
    <Commands value={registry}>
      {children}
      {open === 'list' ? <CommandList commands={registry.commands()} close={() => setOpen(undefined)} /> : null}
      {open === 'keys' ? <KeyList commands={registry.commands()} close={() => setOpen(undefined)} /> : null}
    </Commands>
  );
}

/** Keys that work on whatever has the focus, besides those of commands. */
const KEYS_EVERYWHERE: readonly Command[] = [
  { name: 'List everything that can be done here', keys: 'Ctrl+K', run: () => undefined },
  { name: 'Show these keys', keys: '?', run: () => undefined },
];

/** The keys that work where one is, on one page. */
function KeyList({ commands, close }: { commands: readonly Command[]; close: () => void }) {
  const listed = [...KEYS_EVERYWHERE, ...commands.filter((each) => each.keys !== undefined)];
  return (
    <Dialog open onClose={close} aria-labelledby="keys-title" fullWidth maxWidth="md">
      <DialogTitle id="keys-title">Keys</DialogTitle>
      <DialogContent>
        <Box component="dl" sx={{ columns: 2, columnGap: 8, m: 0 }}>
          {listed.map(({ name, keys }) => (
            <Box
              key={name}
              sx={{
                display: 'flex',
                gap: 3,
                py: 1,
                breakInside: 'avoid',
                borderBottom: 1,
                borderColor: 'divider',
                fontSize: '0.8125rem',
              }}
            >
              <Box component="dt" sx={{ width: 92, flex: 'none', fontWeight: 600 }}>
                {keys}
              </Box>
              <Box component="dd" sx={{ m: 0 }}>
                {name}
              </Box>
            </Box>
          ))}
        </Box>
        <Typography sx={{ color: 'text.secondary', mt: 3 }}>
          On a Mac, Cmd stands for Ctrl. On the paper: arrow keys pan, plus and minus zoom, 0 shows the whole sheet,
          Space goes between sheet, panel and cell. On a divider: arrow keys move it by one step, with Shift by ten,
          with Alt by a hundredth. Shift with a click selects several cells, Shift with a drag all in a window.
        </Typography>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={close}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function CommandList({ commands, close }: { commands: readonly Command[]; close: () => void }) {
  const [text, setText] = useState('');
  const [index, setIndex] = useState(0);
  const found = commands.filter((command) => command.name.toLowerCase().includes(text.trim().toLowerCase()));
  const chosen = Math.min(index, found.length - 1);
  const run = (command: Command | undefined): void => {
    close();
    command?.run();
  };
  return (
    <Dialog
      open
      onClose={close}
      aria-label="Commands"
      fullWidth
      maxWidth="sm"
      slotProps={{ paper: { sx: { alignSelf: 'flex-start', mt: '12vh' } } }}
    >
      <InputBase
        autoFocus
        fullWidth
        value={text}
        placeholder="What do you want to do?"
        inputProps={{
          'aria-label': 'Search commands',
          role: 'combobox',
          'aria-expanded': true,
          'aria-controls': 'command-list',
          'aria-activedescendant': found[chosen] ? `command-${chosen}` : undefined,
        }}
        onChange={(event) => {
          setText(event.target.value);
          setIndex(0);
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') setIndex(Math.min(chosen + 1, found.length - 1));
          else if (event.key === 'ArrowUp') setIndex(Math.max(chosen - 1, 0));
          else if (event.key === 'Enter') run(found[chosen]);
          else return;
          event.preventDefault();
        }}
        sx={{ px: 5, py: 3, fontSize: '0.9375rem', borderBottom: 1, borderColor: 'divider' }}
      />
      <List id="command-list" role="listbox" aria-label="Commands" dense sx={{ maxHeight: 360, overflow: 'auto' }}>
        {found.map((command, i) => (
          <ListItemButton
            key={command.name}
            id={`command-${i}`}
            role="option"
            aria-selected={i === chosen}
            selected={i === chosen}
            tabIndex={-1}
            onClick={() => run(command)}
          >
            <ListItemText primary={command.name} />
            {command.keys ? (
              <Typography component="kbd" variant="caption" sx={{ color: 'text.secondary', fontFamily: 'inherit' }}>
                {command.keys}
              </Typography>
            ) : null}
          </ListItemButton>
        ))}
      </List>
      {found.length === 0 ? <Box sx={{ p: 5, color: 'text.secondary' }}>No command has this name.</Box> : null}
    </Dialog>
  );
}
