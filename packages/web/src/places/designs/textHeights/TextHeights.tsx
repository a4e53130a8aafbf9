import { Link as RouterLink } from 'react-router';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import type { TextHeightsRecord } from '@mendrel/contract';
import type { WorkingUnit } from '@mendrel/core';
import { counted, formatLength } from '@mendrel/core';
import { api, faultOf } from '../../../app/api';
import { Card } from '../../../app/Card';
import { FindingMark } from '../../../app/FindingMark';
import { PlainTable } from '../../../app/PlainTable';
import { PlaceBar, TrailLink } from '../../../app/Shell';
import { Empty, Failed, Loading } from '../../../app/states';
import { HeightsChart } from './HeightsChart';
import { oddHeights } from './chartSeries';

/** Which heights of lettering the designs of the office use, and those that look like an accident. */
export default function TextHeights() {
  const found = api.useTextHeightsQuery();
  const fault = faultOf(found);
  if (fault) return <Failed error={fault} retry={() => void found.refetch()} />;
  if (!found.data) return <Loading what="the text heights" />;
  const { heights, unit } = found.data;
  return (
    <>
      <PlaceBar title="Text heights" trail={<TrailLink to="/designs">Designs</TrailLink>} />
      {heights.length === 0 ? (
        <Empty title="No text yet">The heights of lettering are shown here once a design has captions or fields.</Empty>
      ) : (
        <Box sx={{ flex: 1, overflow: 'auto', p: 6 }}>
          <Card
            title="Texts by their height"
            about={`Capitals in ${unit === 'mm' ? 'mm' : 'inches'}, over all designs of the office. ${oddHeights(heights)}`}
            scrolls={false}
          >
            <HeightsChart heights={heights} unit={unit} />
          </Card>
          <Card title="Heights and their roles" about="Each text counts once, and so does each column of a table.">
            <PlainTable caption="Text heights" headings={['Height', 'Texts', 'Roles', 'Designs', 'To look at']}>
              {heights.map((each) => (
                <HeightRow key={each.height} row={each} unit={unit} />
              ))}
            </PlainTable>
          </Card>
        </Box>
      )}
    </>
  );
}

/** Designs that are named in a row; of more how many. */
const NAMED = 8;

function HeightRow({ row, unit }: { row: TextHeightsRecord['heights'][number]; unit: WorkingUnit }) {
  const length = (mm: number): string => formatLength(mm, unit, true);
  const odd = [
    ...(row.inSeries ? [] : ['not in the office’s series']),
    ...row.near.map((near) => `nearly equal to ${length(near)}`),
  ];
  return (
    <tr>
      <th scope="row">{length(row.height)}</th>
      <td>{row.designs.reduce((sum, { texts }) => sum + texts, 0)}</td>
      <td>{row.roles.join(', ')}</td>
      <td>
        {row.designs.slice(0, NAMED).map(({ id, name, texts }, i) => (
          <span key={id}>
            {i > 0 ? ', ' : ''}
            <Link component={RouterLink} to={`/designs/${id}`} title={counted(texts, 'text')}>
              {name}
            </Link>
          </span>
        ))}
        {row.designs.length > NAMED ? ` and ${row.designs.length - NAMED} more` : ''}
      </td>
      <td>{odd.length > 0 ? <FindingMark finding={{ weight: 'note', message: odd.join('; ') }} /> : null}</td>
    </tr>
  );
}
