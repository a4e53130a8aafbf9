import { Suspense, useState } from 'react';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import List from '@mui/material/List';
import ListItem from '@mui/material/ListItem';
import ListItemButton from '@mui/material/ListItemButton';
import Typography from '@mui/material/Typography';
import type { DesignSwapImpact } from '@mendrel/contract';
import { counted, newToMend, worstFinding } from '@mendrel/core';
import { FindingMark } from '../../../app/FindingMark';
import { Loading } from '../../../app/states';
import type { ProjectSheet } from '../sheetDrawings';
import { NowAndThen } from './NowAndThen';

interface Props {
  impact: DesignSwapImpact;
  sources: readonly ProjectSheet[];
  /** The sheets it is to be done to; undefined for all. */
  chosen: ReadonlySet<string> | undefined;
  /** Left out where it is for all of them or none. */
  onChoose?: ((chosen: ReadonlySet<string> | undefined) => void) | undefined;
}

/** What other designs would do: in short, and sheet by sheet as a picture. */
export function SwapImpact({ impact, sources, chosen, onChoose }: Props) {
  const [shown, setShown] = useState<string>();
  const { told, lost, gained } = impact;
  const current = told.find(({ id }) => id === shown) ?? told[0];
  if (!current) return <Typography>No sheet is drawn otherwise by it.</Typography>;
  const toggle = (id: string, on: boolean): void => {
    const next = new Set(chosen);
    if (on) next.add(id);
    else next.delete(id);
    onChoose?.(next);
  };
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 3 }}>
      <Box role="status" aria-label="In short">
        <Typography>{summary(impact)}</Typography>
        {lost.length > 0 ? <Typography>No longer shown: {lost.join(', ')}.</Typography> : null}
        {gained.length > 0 ? <Typography>Shown as well: {gained.join(', ')}.</Typography> : null}
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: '260px minmax(0, 1fr)', gap: 5 }}>
        <Box>
          {onChoose && told.length > 1 ? (
            <FormControlLabel
              control={
                <Checkbox
                  size="small"
                  checked={chosen !== undefined}
                  onChange={(_event, on) => onChoose(on ? new Set() : undefined)}
                />
              }
              label="Only chosen sheets"
            />
          ) : null}
          <List
            aria-label="Sheets that change"
            dense
            disablePadding
            sx={{ maxHeight: 360, overflow: 'auto', border: 1, borderColor: 'divider' }}
          >
            {told.map((each) => {
              const worst = worstFinding(newToMend(each));
              return (
                <ListItem key={each.id} disablePadding>
                  {chosen && onChoose ? (
                    <Checkbox
                      size="small"
                      checked={chosen.has(each.id)}
                      onChange={(_event, on) => toggle(each.id, on)}
                      slotProps={{ input: { 'aria-label': `Choose ${each.number}` } }}
                    />
                  ) : null}
                  <ListItemButton
                    selected={each.id === current.id}
                    onClick={() => setShown(each.id)}
                    sx={{ display: 'block', minWidth: 0 }}
                  >
                    <Typography noWrap>
                      <b>{each.number}</b> {each.title}
                    </Typography>
                    {worst ? <FindingMark finding={worst} more={newToMend(each).length - 1} /> : null}
                  </ListItemButton>
                </ListItem>
              );
            })}
          </List>
        </Box>
        <Box>
          <Suspense fallback={<Loading what="its pictures" />}>
            <NowAndThen told={current} impact={impact} sources={sources} />
          </Suspense>
        </Box>
      </Box>
    </Box>
  );
}

function summary({ sheets, worse, mended, areas }: DesignSwapImpact): string {
  const parts = [
    worse > 0 ? `${worse} with something new to mend` : 'nothing new to mend on any of them',
    ...(mended > 0 ? [`${mended} with something mended`] : []),
    ...(areas > 0 ? [`${areas} with another drawing area`] : []),
  ];
  return `${counted(sheets, 'sheet')}: ${parts.join(', ')}.`;
}
