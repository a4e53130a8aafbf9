import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { Corrections, IntakeReport, OfficeStandard, ReportLettering } from '@mendrel/core';
import { SAME_HEIGHT } from '@mendrel/core';
import { api, errorOf } from '../../../app/api';
import { Section } from './Section';

interface Props {
  report: IntakeReport;
  standard: OfficeStandard;
}

interface Correctable extends Props {
  corrections: Corrections;
  busy: boolean;
  onCorrect: (roles: NonNullable<Corrections['roles']>) => void;
}

const mm = (value: number): string => `${Number((value + 1e-9).toFixed(2))}\u00a0mm`;

/** The old heights of lettering with the roles they became, and the old pens with the office's. */
export function LetteringAndPens(props: Correctable) {
  const { report, standard } = props;
  return (
    <>
      <Section title="Old lettering and its roles">
        <Histogram {...props} />
      </Section>
      <Section title="Old lines and their pens">
        <Pens report={report} standard={standard} />
      </Section>
    </>
  );
}

function Histogram({ report: { lettering }, standard, corrections, busy, onCorrect }: Correctable) {
  const set = corrections.roles ?? [];
  const choose = ({ height, found }: ReportLettering, to: string): void => {
    if (found === null) return;
    const others = set.filter((each) => each.from !== found || Math.abs(each.height / height - 1) >= SAME_HEIGHT);
    onCorrect(to === found ? others : [...others, { height, from: found, to }]);
  };
  const most = Math.max(1, ...lettering.map((each) => each.texts));
  if (lettering.length === 0) return <Typography>There are no texts in the block.</Typography>;
  return (
    <Box
      component="table"
      sx={{
        width: '100%',
        tableLayout: 'fixed',
        borderCollapse: 'collapse',
        fontSize: '0.8125rem',
        '& td, & th': { py: 0.75, pr: 2 },
        '& td:last-of-type': { pr: 0 },
      }}
    >
      <thead>
        <Box component="tr" sx={{ color: 'text.secondary', '& th': { textAlign: 'left', fontWeight: 400 } }}>
          <th scope="col" style={{ width: 66 }}>
            Was
          </th>
          <th scope="col" style={{ width: 86 }}>
            Texts
          </th>
          <th scope="col">Becomes</th>
        </Box>
      </thead>
      <tbody>
        {lettering.map((each, i) => (
          <tr key={`${each.height} ${i}`}>
            <td>{mm(each.height)}</td>
            <td>
              <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5 }}>
                <Box
                  aria-hidden
                  sx={{ width: `${Math.max(4, (52 * each.texts) / most)}px`, height: 9, bgcolor: 'primary.main' }}
                />
                {each.texts}
              </Box>
            </td>
            <td>
              <TextField
                select
                fullWidth
                value={each.role ?? ''}
                disabled={busy || each.found === null}
                slotProps={{
                  select: {
                    SelectDisplayProps: { 'aria-label': `Role of texts of ${mm(each.height)}` },
                    renderValue: () => standard.roles.find((role) => role.id === each.role)?.name ?? 'nothing',
                  },
                }}
                onChange={({ target }) => choose(each, target.value)}
              >
                {rolesWith(standard, each.role).map((role) => (
                  <MenuItem key={role.id} value={role.id}>
                    {role.name}, {mm(role.height)}
                  </MenuItem>
                ))}
              </TextField>
            </td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

/** The roles that lettering of a block may have; that of zones only where it was given. */
function rolesWith({ roles }: OfficeStandard, given: string | null): OfficeStandard['roles'] {
  return roles.filter((role) => role.use !== 'zone' || role.id === given);
}

/** Old pens in the drawing's own words; what one stands for is taught for every drawing to come. */
function Pens({ report: { pens }, standard }: Props) {
  const [teach, teaching] = api.useTeachMutation();
  const { enqueueSnackbar } = useSnackbar();
  const choose = async (sign: string, answer: string): Promise<void> => {
    const result = await teach({ kind: 'pens', sign, answer });
    if ('error' in result) enqueueSnackbar(`Not changed: ${errorOf(result.error).message}`, { variant: 'error' });
  };
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 3 }}>
      {pens.map((each) => (
        <TextField
          key={each.sign}
          select
          label={`${each.sign.replace('unsaid', 'Without a pen of its own')}, ${(each.length / 1000).toFixed(1)} m: ${each.uses.join(', ')}`}
          value={each.pen ?? ''}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
          disabled={teaching.isLoading}
          onChange={({ target }) => void choose(each.sign, target.value)}
        >
          {each.pen === null ? <MenuItem value="">By what each line is for</MenuItem> : null}
          {standard.pens.map((pen) => (
            <MenuItem key={pen.id} value={pen.id}>
              {pen.name}, {mm(pen.width)}
            </MenuItem>
          ))}
        </TextField>
      ))}
    </Box>
  );
}
