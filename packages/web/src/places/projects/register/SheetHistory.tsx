import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { HistoryEntry } from '@mendrel/contract';
import { HISTORY_PAGE } from '@mendrel/contract';
import type { OfficeStandard } from '@mendrel/core';
import { parametersOf, readPictureValue } from '@mendrel/core';
import { faultOf } from '../../../app/api';
import { sheetApi } from '../../../app/sheetApi';
import { PlainTable } from '../../../app/PlainTable';
import { Failed, Loading } from '../../../app/states';

interface Props {
  sheet: string;
  standard: OfficeStandard;
}

const FIELD_WORDS: Readonly<Record<string, string>> = {
  number: 'Number',
  title: 'Title',
  kind: 'Kind',
  size: 'Size',
  views: 'Views',
};
/** Longer values are no words. */
const MOST_SHOWN = 120;

/** What became another on a sheet, and when; the newest first. */
export function SheetHistory({ sheet, standard }: Props) {
  const [before, setBefore] = useState<string | null>(null);
  const found = sheetApi.useSheetHistoryQuery({ id: sheet, before });
  const fault = faultOf(found);
  if (fault) return <Failed error={fault} retry={() => void found.refetch()} />;
  const entries = found.currentData;
  if (!entries) return <Loading what="its history" />;
  const names = parametersOf(standard);
  const nameOf = (field: string): string => FIELD_WORDS[field] ?? names.get(field)?.name ?? field;
  return (
    <>
      {entries.length === 0 ? (
        <Typography sx={{ color: 'text.secondary' }}>Nothing was changed since it was added.</Typography>
      ) : (
        <PlainTable caption="What changed" headings={['When', 'What', 'Before', 'After']} framed>
          {entries.map((entry) => (
            <tr key={entry.id}>
              <td style={{ whiteSpace: 'nowrap' }}>{whenOf(entry)}</td>
              <td>{nameOf(entry.field)}</td>
              <td>{shown(entry.field, entry.before)}</td>
              <td>{shown(entry.field, entry.after)}</td>
            </tr>
          ))}
        </PlainTable>
      )}
      <Box sx={{ display: 'flex', gap: 2, mt: 2 }}>
        {before === null ? null : <Button onClick={() => setBefore(null)}>The newest</Button>}
        {entries.length === HISTORY_PAGE ? (
          <Button onClick={() => setBefore(entries.at(-1)?.id ?? null)}>Older ones</Button>
        ) : null}
      </Box>
    </>
  );
}

const whenOf = ({ at }: HistoryEntry): string =>
  new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** A value in words; what is kept of views and of pictures is no words. */
function shown(field: string, value: string | null): string {
  if (value === null || value === '') return '—';
  if (field === 'views') return 'changed';
  if (readPictureValue(value)) return 'a picture';
  return value.length > MOST_SHOWN ? `${value.slice(0, MOST_SHOWN)}…` : value;
}
