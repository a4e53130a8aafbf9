import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { IntakeReport, Parameter, ReportText, TextCorrection } from '@mendrel/core';

interface Props {
  report: IntakeReport;
  parameters: readonly Parameter[];
  busy: boolean;
  onCorrect: (text: number, correction: TextCorrection) => void;
}

const FIXED = '';
const CAPTION = ' caption';

/** What each text was taken for, the values first; every choice can be changed. */
export function FoundFields({ report, parameters, busy, onCorrect }: Props) {
  const inCells = report.texts.filter((text) => text.cell !== null && text.text !== '');
  const values = inCells.filter((text) => text.kind !== 'caption' && isFirstOption(text, inCells));
  const captions = inCells.filter((text) => text.kind === 'caption');
  return (
    <>
      {(
        [
          ['Values and their parameters', values],
          ['Captions', captions],
        ] as const
      ).map(([title, texts]) =>
        texts.length === 0 ? null : (
          <Box
            key={title}
            component="section"
            aria-label={title}
            sx={{ p: 4, borderBottom: 1, borderColor: 'divider' }}
          >
            <Typography variant="h3" component="h2" sx={{ color: 'text.secondary', mb: 3 }}>
              {title}
            </Typography>
            <Box sx={{ display: 'flex', flexDirection: 'column', gap: 3 }}>
              {texts.map((text, i) => (
                <Choice
                  key={`${text.id} ${i}`}
                  text={text}
                  words={optionsWith(text, inCells)
                    .map((each) => `“${each.text}”`)
                    .join(', ')}
                  why={reasonFor(report, text)}
                  parameters={parameters}
                  busy={busy}
                  onCorrect={onCorrect}
                />
              ))}
            </Box>
          </Box>
        ),
      )}
    </>
  );
}

/** The options of the choice that a text is one of; any other text by itself. */
const optionsWith = (text: ReportText, all: readonly ReportText[]): readonly ReportText[] =>
  text.kind === 'option'
    ? all.filter((each) => each.kind === 'option' && each.cell === text.cell && each.parameter === text.parameter)
    : [text];

/** What is said of one option counts for all of its choice, so that they are listed once. */
const isFirstOption = (text: ReportText, all: readonly ReportText[]): boolean => optionsWith(text, all)[0] === text;

function reasonFor(report: IntakeReport, text: ReportText): string | undefined {
  const decision = report.decisions.find((each) => each.what.startsWith(`“${text.text}”`));
  return decision && `${Math.round(decision.confidence * 100)} % sure: ${decision.why}`;
}

interface ChoiceProps extends Omit<Props, 'report'> {
  text: ReportText;
  words: string;
  why: string | undefined;
}

function Choice({ text, words, why, parameters, busy, onCorrect }: ChoiceProps) {
  const value = text.kind === 'caption' ? CAPTION : (text.parameter ?? FIXED);
  return (
    <TextField
      select
      label={text.kind === 'option' ? `Boxes ${words}` : words}
      value={value}
      disabled={busy}
      helperText={text.kind === 'caption' ? undefined : why}
      onChange={({ target }) => {
        const chosen = target.value;
        if (chosen === CAPTION) onCorrect(text.id, { kind: 'caption' });
        else if (chosen === FIXED) onCorrect(text.id, { kind: 'note' });
        else onCorrect(text.id, { kind: 'field', parameter: chosen });
      }}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
    >
      <MenuItem value={CAPTION}>A caption</MenuItem>
      <MenuItem value={FIXED}>Fixed words, the same on every sheet</MenuItem>
      {parameters.map((parameter) => (
        <MenuItem key={parameter.key} value={parameter.key}>
          {parameter.name} ({parameter.scope})
        </MenuItem>
      ))}
    </TextField>
  );
}
