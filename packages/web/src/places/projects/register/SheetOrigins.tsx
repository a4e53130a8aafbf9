import { Link as RouterLink } from 'react-router';
import Link from '@mui/material/Link';
import type { SheetSource, ValueFrom, ValueOrigin } from '@mendrel/core';
import { valueOrigins } from '@mendrel/core';
import { PlainTable } from '../../../app/PlainTable';

/** Longer values are cut. */
const MOST_SHOWN = 80;

/** Where values are entered, or why nowhere. */
const FROM: Readonly<Record<ValueFrom, (project: string) => { words: string; to?: string }>> = {
  sheet: () => ({ words: 'this sheet' }),
  project: (id) => ({ words: 'the project', to: `/projects/${id}/data` }),
  set: (id) => ({ words: 'the project or its set', to: `/projects/${id}/data` }),
  office: () => ({ words: 'the office', to: '/standard/office' }),
  computed: () => ({ words: 'computed' }),
  default: () => ({ words: 'the default of its parameter', to: '/standard/parameters' }),
  nowhere: () => ({ words: 'nothing is entered' }),
};

/** A value in words; what is kept of pictures is none. */
function shown(kind: ValueOrigin['kind'], value: string): string {
  if (value === '') return '—';
  if (kind === 'picture') return 'a picture';
  if (kind === 'outline') return 'an outline';
  return value.length > MOST_SHOWN ? `${value.slice(0, MOST_SHOWN)}…` : value;
}

/** The office's value, in whose place another stands. */
const insteadOf = (kind: ValueOrigin['kind'], value: string): string =>
  value === '' ? 'empty one' : kind === 'picture' || kind === 'outline' ? 'own' : shown(kind, value);

/** Every value that a sheet shows, and where it was entered. */
export function SheetOrigins({ source, project }: { source: SheetSource; project: string }) {
  return (
    <PlainTable caption="Where values come from" headings={['What', 'Value', 'From']} framed tight>
      {valueOrigins(source).map(({ key, name, kind, value, from, instead }) => {
        const { words, to } = FROM[from](project);
        return (
          <tr key={key}>
            <th scope="row">{name}</th>
            <td style={{ overflowWrap: 'anywhere' }}>{shown(kind, value)}</td>
            <td>
              {to === undefined ? (
                words
              ) : (
                <Link component={RouterLink} to={to}>
                  {words}
                </Link>
              )}
              {instead === undefined ? '' : `, instead of the office’s ${insteadOf(kind, instead)}`}
            </td>
          </tr>
        );
      })}
    </PlainTable>
  );
}
