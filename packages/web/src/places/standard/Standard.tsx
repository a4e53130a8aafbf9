import { Link as RouterLink, useParams } from 'react-router';
import Box from '@mui/material/Box';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import type { OfficeStandard } from '@mendrel/core';
import { formatLength, frameOf, SHEET_SIZES, standardMargins, zonesOf } from '@mendrel/core';
import { api } from '../../app/api';
import { PlaceBar } from '../../app/Shell';
import { Failed, Loading } from '../../app/states';
import { Card } from './Card';
import { Checks } from './Checks';
import { RealSizes } from './RealSizes';

const PARTS = [
  { key: 'sheets', name: 'Sheets' },
  { key: 'lettering', name: 'Lettering' },
  { key: 'pens', name: 'Pens and layers' },
  { key: 'real-sizes', name: 'Real sizes' },
  { key: 'checks', name: 'Checks' },
] as const;

/** The office standard as it is in force: sizes and frames, lettering, pens, layers, and what is computed from them. */
export default function Standard() {
  const { part = 'sheets' } = useParams();
  const { data, error, refetch } = api.useOfficeQuery();
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading what="the office standard" />;
  const { standard } = data;
  const shown = PARTS.find((each) => each.key === part)?.key ?? 'sheets';
  return (
    <>
      <PlaceBar title="Standard">
        <Typography sx={{ color: 'text.secondary' }}>
          What every design of {data.values['office.name']} takes its sizes, lettering and pens from.
        </Typography>
      </PlaceBar>
      <Tabs
        value={shown}
        aria-label="Parts of the standard"
        sx={{ px: 3, bgcolor: 'background.paper', borderBottom: 1, borderColor: 'divider', flex: 'none' }}
      >
        {PARTS.map(({ key, name }) => (
          <Tab key={key} value={key} label={name} component={RouterLink} to={`/standard/${key}`} />
        ))}
      </Tabs>
      <Box
        sx={{
          flex: 1,
          overflow: 'auto',
          p: 6,
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fit, minmax(420px, 1fr))',
          gap: 5,
          // Cards that may scroll sideways would otherwise let their row shrink below their height.
          gridAutoRows: 'max-content',
          alignItems: 'start',
        }}
      >
        {shown === 'sheets' ? <Sizes /> : null}
        {shown === 'lettering' ? <Lettering standard={standard} /> : null}
        {shown === 'pens' ? (
          <>
            <Pens standard={standard} />
            <Layers standard={standard} />
          </>
        ) : null}
        {shown === 'real-sizes' ? <RealSizes standard={standard} /> : null}
        {shown === 'checks' ? <Checks standard={standard} /> : null}
      </Box>
    </>
  );
}

function Sizes() {
  return (
    <Card title="Sheet sizes and frames" headings={['Size', 'Trimmed', 'Drawing space', 'Zones']}>
      {SHEET_SIZES.map((size) => {
        const unit = size.series === 'ISO' ? 'mm' : 'in';
        const frame = frameOf(size, standardMargins(size));
        const zones = zonesOf(size, frame);
        const pair = (width: number, height: number): string =>
          `${formatLength(width, unit)} × ${formatLength(height, unit, true)}`;
        return (
          <tr key={size.name}>
            <th scope="row">{size.name}</th>
            <td>{pair(size.width, size.height)}</td>
            <td>{pair(frame.width, frame.height)}</td>
            <td>
              {zones.columns.length} × {zones.rows.length}
            </td>
          </tr>
        );
      })}
    </Card>
  );
}

function Lettering({ standard }: { standard: OfficeStandard }) {
  return (
    <Card title="Lettering roles" headings={['Role', 'Height on paper', 'Typeface', 'Specimen']}>
      {standard.roles.map((role) => (
        <tr key={role.id}>
          <th scope="row">{role.name}</th>
          <td>
            {role.id.endsWith('inch') ? formatLength(role.height, 'in', true) : formatLength(role.height, 'mm', true)}
          </td>
          <td>{role.typeface}</td>
          <td>
            <Box
              component="span"
              aria-hidden
              sx={{
                fontFamily: '"Barlow Semi Condensed"',
                fontWeight: role.typeface.endsWith('SemiBold') ? 600 : 400,
                fontSize: `${(role.height * 1.43).toFixed(2)}mm`,
                lineHeight: 1,
                whiteSpace: 'nowrap',
              }}
            >
              Ag 12
            </Box>
          </td>
        </tr>
      ))}
    </Card>
  );
}

function Pens({ standard }: { standard: OfficeStandard }) {
  return (
    <Card title="Pens" headings={['Pen', 'Width', 'Specimen']}>
      {standard.pens.map((pen) => (
        <tr key={pen.id}>
          <th scope="row">{pen.name}</th>
          <td>{formatLength(pen.width, 'mm', true)}</td>
          <td>
            <Box aria-hidden sx={{ bgcolor: 'text.primary', width: 120, height: `max(1px, ${pen.width}mm)` }} />
          </td>
        </tr>
      ))}
    </Card>
  );
}

function Layers({ standard }: { standard: OfficeStandard }) {
  return (
    <Card title="Layers of exported drawings" headings={['What goes on it', 'Name', 'Pen']}>
      {standard.layers.map((layer) => (
        <tr key={layer.id}>
          <th scope="row">{layer.id}</th>
          <td>{layer.name}</td>
          <td>{standard.pens.find((pen) => pen.id === layer.pen)?.name ?? layer.pen}</td>
        </tr>
      ))}
    </Card>
  );
}
