import { Fragment } from 'react';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { AreaSettings, GroupedAreas, MeasuredArea } from '@mendrel/core';
import { areaKey, areaWords } from '@mendrel/core';
import { groundOf } from '../../../app/groupInks';

interface Props {
  grouped: GroupedAreas;
  settings: AreaSettings;
  onGroup: (key: string, group: string | undefined) => void;
  onLight: (area: MeasuredArea | undefined) => void;
}

const NO_GROUP = '-';

/** Areas by their groups with totals, each group with a bar as long as it is large; areas in no group come last. */
export function AreaTable({ grouped, settings, onGroup, onLight }: Props) {
  const { groups, rest, total } = grouped;
  const most = Math.max(1, ...groups.map((group) => group.total));
  const line = ({ area, amount }: GroupedAreas['rest'][number], i: number, group: string | undefined) => (
    <tr key={`${areaKey(area)} ${i}`} onMouseEnter={() => onLight(area)} onMouseLeave={() => onLight(undefined)}>
      <td>{area.number}</td>
      <td>{area.name || 'no name'}</td>
      <td>
        <TextField
          select
          size="small"
          variant="standard"
          value={group ?? NO_GROUP}
          disabled={areaKey(area) === ''}
          slotProps={{
            htmlInput: { 'aria-label': `Group of ${[area.number, area.name].filter(Boolean).join(' ')}` },
            input: { onFocus: () => onLight(area) },
          }}
          onChange={({ target: { value } }) => onGroup(areaKey(area), value === NO_GROUP ? undefined : value)}
          sx={{ minWidth: 96 }}
        >
          <MenuItem value={NO_GROUP}>none</MenuItem>
          {settings.groups.map((name) => (
            <MenuItem key={name} value={name}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      </td>
      <td className="amount">{areaWords(amount, settings)}</td>
    </tr>
  );
  return (
    <Box
      component="table"
      aria-label="Areas"
      sx={{
        width: 1,
        borderCollapse: 'collapse',
        '& td, & th': { py: 0.75, px: 1, textAlign: 'left', borderBottom: 1, borderColor: 'divider' },
        '& .amount': { textAlign: 'right', whiteSpace: 'nowrap', fontVariantNumeric: 'tabular-nums' },
        '& .group th': { pt: 3, fontWeight: 600 },
        '& tr.total td, & tr.total th': { fontWeight: 600 },
      }}
    >
      <thead>
        <tr>
          <th scope="col">Number</th>
          <th scope="col">Area</th>
          <th scope="col">Group</th>
          <th scope="col" className="amount">
            Size
          </th>
        </tr>
      </thead>
      <tbody>
        {groups.map((group, place) => (
          <Fragment key={group.name}>
            <tr className="group">
              <th scope="rowgroup" colSpan={3}>
                {group.name}
                <Box
                  aria-hidden
                  sx={{ height: 8, mt: 1, borderRadius: 1, bgcolor: groundOf(place), minWidth: 2 }}
                  style={{ width: `${(100 * group.total) / most}%` }}
                />
              </th>
              <td className="amount" style={{ verticalAlign: 'bottom', fontWeight: 600 }}>
                {areaWords(group.total, settings)}
              </td>
            </tr>
            {group.areas.map((each, i) => line(each, i, group.name))}
          </Fragment>
        ))}
        {groups.length > 1 ? (
          <tr className="total">
            <th scope="row" colSpan={3}>
              Total
            </th>
            <td className="amount">{areaWords(total, settings)}</td>
          </tr>
        ) : null}
        {rest.length > 0 ? (
          <tr className="group">
            <th scope="rowgroup" colSpan={4}>
              {groups.length > 0 ? 'In no group, and in no total' : 'All areas'}
            </th>
          </tr>
        ) : null}
        {rest.map((each, i) => line(each, i, undefined))}
      </tbody>
    </Box>
  );
}
