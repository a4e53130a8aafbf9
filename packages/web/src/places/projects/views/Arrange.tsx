import { useState } from 'react';
import Box from '@mui/material/Box';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import ListItemText from '@mui/material/ListItemText';
import type { Project } from '@mendrel/contract';
import { inWords, sheetScale, sizesOf, letteringOfViews } from '@mendrel/core';
import { Sign } from '../../../app/FindingMark';
import { Pages } from '../../../app/Pages';
import { Empty } from '../../../app/states';
import type { ProjectSheet } from '../sheetDrawings';
import { useDrawn } from '../drawnSheets';
import { SheetToArrange } from './SheetToArrange';

interface Props {
  project: Project;
  sheets: readonly ProjectSheet[];
  scales: readonly string[];
}

/** Sheets listed at a time. */
const PAGE = 100;

/** Arrange: a sheet with its module grid, and the views to stand in it. */
export function Arrange({ project, sheets, scales }: Props) {
  const [chosen, setChosen] = useState<string>();
  const first = sheets.findIndex(({ sheet }) => sheet.views.length > 0);
  const [page, setPage] = useState(Math.max(0, Math.floor(first / PAGE)));
  const current = sheets.find((each) => each.sheet.id === chosen) ?? sheets[Math.max(0, first)];
  if (!current)
    return (
      <Empty title="Nothing to arrange yet">
        The project needs a design and at least one sheet; add them under Data and Register.
      </Empty>
    );
  const flip = (by: 1 | -1): void => {
    const alike = sheets.filter(({ sheet }) => sheet.kind === current.sheet.kind);
    const next = alike[alike.findIndex(({ sheet }) => sheet.id === current.sheet.id) + by];
    if (!next) return;
    setChosen(next.sheet.id);
    setPage(Math.floor(sheets.indexOf(next) / PAGE));
  };
  return (
    <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
      <Box
        component="nav"
        aria-label="Sheets"
        sx={{
          width: 190,
          flex: 'none',
          overflow: 'auto',
          bgcolor: 'background.paper',
          borderRight: 1,
          borderColor: 'divider',
        }}
      >
        <List component="div" dense disablePadding>
          {sheets.slice(page * PAGE, (page + 1) * PAGE).map(({ sheet, source }) => (
            <ListItemButton
              key={sheet.id}
              selected={sheet.id === current.sheet.id}
              onClick={() => setChosen(sheet.id)}
              aria-current={sheet.id === current.sheet.id}
            >
              <ListItemText
                primary={`${sheet.number}  ${sheetScale(sheet.views, source.standard.wording)}`.trimEnd()}
                secondary={sheet.title}
                slotProps={{
                  primary: { sx: { fontWeight: 600, fontSize: '0.8125rem' } },
                  secondary: { noWrap: true, sx: { fontSize: '0.75rem' } },
                }}
              />
            </ListItemButton>
          ))}
        </List>
        <Pages of="sheets" page={page} size={PAGE} count={sheets.length} onPage={setPage} />
      </Box>
      <CurrentSheet project={project} sheets={sheets} current={current} scales={scales} onFlip={flip} />
    </Box>
  );
}

interface CurrentProps extends Props {
  current: ProjectSheet;
  /** Goes to the next sheet of the same kind, or to the one before. */
  onFlip: (by: 1 | -1) => void;
}

function CurrentSheet({ current, ...rest }: CurrentProps) {
  const result = useDrawn(current);
  const { design, standard } = current.source;
  return 'problem' in result ? (
    <Box role="alert" sx={{ p: 6, color: 'error.main' }}>
      <Sign weight="error" /> {result.sheet.number} cannot be drawn: {inWords(result.problem)}
    </Box>
  ) : (
    <SheetToArrange
      {...rest}
      current={result}
      of={current}
      unit={design.unit}
      lettering={letteringOfViews(standard)}
      sizeUnit={sizesOf(standard).find(({ name }) => name === current.sheet.size)?.unit ?? design.unit}
    />
  );
}
