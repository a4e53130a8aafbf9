import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Typography from '@mui/material/Typography';
import type { Sheet } from '@mendrel/contract';
import type { Arrangement, WayToArrange } from '@mendrel/core';
import { counted } from '@mendrel/core';
import { Sign } from '../../../../app/FindingMark';
import type { ArrangeAnswer } from './arrangeTask';
import { MiniSheet } from './MiniSheet';

const WAY_WORDS: Readonly<Record<WayToArrange, { name: string; about: string }>> = {
  'in-order': { name: 'In order', about: 'as they are read, sheet after sheet' },
  fewest: { name: 'Fewest sheets', about: 'small ones beside large ones, wherever there is room' },
  'by-group': { name: 'Kept together', about: 'what belongs together begins on a sheet of its own' },
};

/** Sheets of an arrangement that are drawn. */
const MOST_SHOWN = 24;

interface Props {
  ways: ArrangeAnswer['ways'];
  chosen: WayToArrange;
  sheets: readonly Sheet[];
  /** Numbers of sheets that no view is left on. */
  emptied: readonly string[];
  onChoose: (way: WayToArrange) => void;
}

function inWords({ sheets, left }: Arrangement): string {
  const added = sheets.filter(({ id }) => id === null).length;
  return [
    counted(sheets.length, 'sheet'),
    ...(added > 0 ? [`${added} added`] : []),
    ...(left.length > 0 ? [`${counted(left.length, 'view')} without room`] : []),
  ].join(', ');
}

/** The ways in which views can be arranged, and the sheets of the chosen one. */
export function Ways({ ways, chosen, sheets, emptied, onChoose }: Props) {
  const shown = ways.find(({ way }) => way === chosen)?.arrangement;
  const left = shown?.left ?? [];
  // Added sheets come after those that there are.
  const there = shown?.sheets.filter(({ id }) => id !== null).length ?? 0;
  return (
    <>
      <RadioGroup
        aria-label="Way to arrange"
        value={chosen}
        onChange={(_event, way) => onChoose(way as WayToArrange)}
        sx={{ mb: 3 }}
      >
        {ways.map(({ way, arrangement }) => (
          <FormControlLabel
            key={way}
            value={way}
            control={<Radio size="small" />}
            label={
              <>
                <b>{WAY_WORDS[way].name}</b>: {inWords(arrangement)}{' '}
                <Box component="span" sx={{ color: 'text.secondary' }}>
                  ({WAY_WORDS[way].about})
                </Box>
              </>
            }
          />
        ))}
      </RadioGroup>
      {left.length > 0 ? (
        <Typography sx={{ mb: 3 }}>
          <Sign weight="gap" /> No room for{' '}
          {left
            .slice(0, 3)
            .map(({ name }) => name)
            .join(', ')}
          {left.length > 3 ? ` and ${left.length - 3} more` : ''}: they are left without a place, on their sheet or in
          the tray. A smaller scale or further sheets hold them.
        </Typography>
      ) : null}
      {emptied.length > 0 ? (
        <Typography sx={{ mb: 3 }}>
          <Sign weight="note" /> {emptied.slice(0, 6).join(', ')}
          {emptied.length > 6 ? ` and ${emptied.length - 6} more` : ''} {emptied.length === 1 ? 'is' : 'are'} left
          without views, to be deleted in the register where they are not needed.
        </Typography>
      ) : null}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3 }}>
        {shown?.sheets.slice(0, MOST_SHOWN).map(({ id, grid, views }, i) => {
          const sheet = sheets.find((each) => each.id === id);
          return (
            <MiniSheet
              key={id ?? i}
              grid={grid}
              views={views}
              fixed={sheet?.views.filter(({ locked }) => locked) ?? []}
              label={sheet ? sheet.number : `new sheet ${i + 1 - there}`}
            />
          );
        })}
        {(shown?.sheets.length ?? 0) > MOST_SHOWN ? (
          <Typography sx={{ color: 'text.secondary' }}>and {shown!.sheets.length - MOST_SHOWN} more sheets</Typography>
        ) : null}
      </Box>
    </>
  );
}
