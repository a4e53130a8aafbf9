import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Design, IntakeReport } from '@mendrel/core';
import { findContent, PARAMETERS, patternKeys, setContent } from '@mendrel/core';

interface Props {
  design: Design;
  report: IntakeReport;
  onChange: (design: Design) => void;
}

/** The values that were found, each with the parameter it is taken for; the choice can be changed. */
export function FoundFields({ design, report, onChange }: Props) {
  const rows = report.decisions.flatMap((decision) => {
    const found = decision.content ? findContent(design, decision.content) : undefined;
    return found && (found.content.kind === 'field' || found.content.kind === 'caption')
      ? [{ decision, content: found.content }]
      : [];
  });
  const seen = new Set<string>();
  const unique = rows.filter(({ content }) => !seen.has(content.id) && seen.add(content.id));
  return (
    <Box component="section" aria-labelledby="fields-heading" sx={{ p: 4, borderBottom: 1, borderColor: 'divider' }}>
      <Typography id="fields-heading" variant="h3" component="h2" sx={{ color: 'text.secondary', mb: 3 }}>
        Values and their parameters
      </Typography>
      <Box sx={{ display: 'flex', flexDirection: 'column', gap: 3 }}>
        {unique.map(({ decision, content }) => {
          const key = content.kind === 'field' ? (patternKeys(content.pattern)[0] ?? '') : '';
          const text = report.texts.find((each) => decision.what.startsWith(`“${each.text}”`))?.text ?? '';
          return (
            <TextField
              key={content.id}
              select
              label={text === '' ? 'Value' : `“${text}”`}
              value={key}
              helperText={`${Math.round(decision.confidence * 100)} % sure: ${decision.why}`}
              onChange={(event) => {
                const chosen = event.target.value;
                const { id, horizontal, vertical, rotation, role, fit } = content;
                const base = { id, horizontal, vertical, rotation, role, fit };
                onChange(
                  setContent(
                    design,
                    chosen === ''
                      ? { ...base, kind: 'caption', text }
                      : { ...base, kind: 'field', pattern: `{${chosen}}` },
                  ),
                );
              }}
              slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
            >
              <MenuItem value="">Fixed words, the same on every sheet</MenuItem>
              {PARAMETERS.map((parameter) => (
                <MenuItem key={parameter.key} value={parameter.key}>
                  {parameter.name} ({parameter.scope})
                </MenuItem>
              ))}
            </TextField>
          );
        })}
      </Box>
    </Box>
  );
}
