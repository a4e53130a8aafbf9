import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { IntakeReport, OfficeStandard } from '@mendrel/core';
import { roleOf } from '@mendrel/core';
import { api, errorOf } from '../../../app/api';
import { Section } from './Section';

interface Props {
  report: IntakeReport;
  standard: OfficeStandard;
}

const mm = (value: number): string => `${Number((value + 1e-9).toFixed(2))}\u00a0mm`;

/** The old heights of lettering with the roles they became, and the old pens with the office's. */
export function LetteringAndPens({ report, standard }: Props) {
  return (
    <>
      <Section title="Old lettering and its roles">
        <Histogram report={report} standard={standard} />
      </Section>
      <Section title="Old lines and their pens">
        <Pens report={report} standard={standard} />
      </Section>
    </>
  );
}

function Histogram({ report: { lettering }, standard }: Props) {
  const most = Math.max(1, ...lettering.map((each) => each.texts));
  if (lettering.length === 0) return <Typography>No texts stand in the block.</Typography>;
  return (
    <Box
      component="table"
      sx={{ width: '100%', borderCollapse: 'collapse', fontSize: '0.8125rem', '& td, & th': { py: 0.75, pr: 2 } }}
    >
      <thead>
        <Box component="tr" sx={{ color: 'text.secondary', '& th': { textAlign: 'left', fontWeight: 400 } }}>
          <th scope="col">Was</th>
          <th scope="col">Texts</th>
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
                  sx={{ width: `${Math.max(4, (72 * each.texts) / most)}px`, height: 9, bgcolor: 'primary.main' }}
                />
                {each.texts}
              </Box>
            </td>
            <td>
              {each.role === null ? 'nothing' : (roleOf(standard, each.role)?.name ?? each.role)}, {mm(each.roleHeight)}
            </td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
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
