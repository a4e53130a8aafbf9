import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import ListItemText from '@mui/material/ListItemText';
import type { DrawingRecord } from '@mendrel/contract';
import type { WorkingUnit } from '@mendrel/core';
import { counted } from '@mendrel/core';
import type { Chosen } from './chosenWindow';
import { wholeOf } from './chosenWindow';

interface Props {
  drawings: readonly DrawingRecord[];
  chosen: Chosen | undefined;
  works: WorkingUnit;
  onChoose: (chosen: Chosen) => void;
}

/** What is said of a part of a drawing below its name; when it came where another has its name. */
function wordsOf({ id, name, spaces, addedAt }: DrawingRecord, i: number, drawings: readonly DrawingRecord[]): string {
  const space = spaces[i];
  const words = [...(spaces.length > 1 ? [space?.name ?? ''] : []), counted(space?.items ?? 0, 'piece')];
  if (drawings.some((other) => other.name === name && other.id !== id))
    words.push(`of ${new Date(addedAt).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })}`);
  return words.join(', ');
}

/** The drawings of a project by their parts. */
export function ProjectDrawings({ drawings, chosen, works, onChoose }: Props) {
  return (
    <List
      component="div"
      dense
      disablePadding
      aria-label="Drawings of the project"
      sx={{ maxHeight: 330, overflow: 'auto' }}
    >
      {drawings.flatMap((drawing) =>
        drawing.spaces.map((space, i) => {
          const here = chosen?.drawing.id === drawing.id && chosen.space.linework === space.linework;
          return (
            <ListItemButton
              key={`${drawing.id} ${i}`}
              selected={here}
              aria-current={here}
              onClick={() => onChoose(wholeOf(drawing, space, works))}
            >
              <ListItemText
                primary={drawing.name}
                secondary={wordsOf(drawing, i, drawings)}
                slotProps={{
                  primary: { sx: { overflowWrap: 'anywhere', fontSize: '0.8125rem', fontWeight: here ? 600 : 400 } },
                }}
              />
            </ListItemButton>
          );
        }),
      )}
    </List>
  );
}
