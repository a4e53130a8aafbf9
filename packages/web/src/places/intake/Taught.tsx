import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { api } from '../../app/api';
import { PlainTable } from '../../app/PlainTable';
import { parametersOf } from '@mendrel/core';

/** What the office has taught intake, each of which can be forgotten again. */
export function Taught() {
  const { data } = api.useLessonsQuery();
  const standard = api.useStandardQuery().data?.draft;
  const [teach, teaching] = api.useTeachMutation();
  const rows = [
    ...Object.entries(data?.captions ?? {}).map(([sign, answer]) => ({
      kind: 'captions' as const,
      sign,
      what: `The caption “${sign}”`,
      meaning: (standard ? parametersOf(standard).get(answer)?.name : undefined) ?? answer,
    })),
    ...Object.entries(data?.pens ?? {}).map(([sign, answer]) => ({
      kind: 'pens' as const,
      sign,
      what: `Lines in ${sign}`,
      meaning: `the pen ${standard?.pens.find((pen) => pen.id === answer)?.name ?? answer}`,
    })),
  ];
  if (rows.length === 0) return null;
  return (
    <Box sx={{ mt: 6 }}>
      <PlainTable caption="What Intake has learned" headings={['Taught by this office', 'Means', 'Forget']} framed>
        {rows.map(({ kind, sign, what, meaning }) => (
          <tr key={`${kind} ${sign}`}>
            <td>{what}</td>
            <td>{meaning}</td>
            <td>
              <Button
                size="small"
                color="inherit"
                disabled={teaching.isLoading}
                aria-label={`Forget ${what}`}
                onClick={() => void teach({ kind, sign, answer: null })}
              >
                Forget
              </Button>
            </td>
          </tr>
        ))}
      </PlainTable>
    </Box>
  );
}
