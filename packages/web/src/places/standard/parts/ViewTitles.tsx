import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import type { TitleLine, ViewTitle } from '@mendrel/core';
import {
  MOST_TITLE_LINES,
  ROLE_USES,
  TITLE_LINES,
  USUAL_VIEW_TITLE,
  VIEW_KEYS,
  viewTitleOf,
  viewTitleSpecimen,
} from '@mendrel/core';
import { dequal } from 'dequal/lite';
import { Card } from '../../../app/Card';
import { Chosen } from '../../../app/Chosen';
import { Typed } from '../../../app/Typed';
import { useTypefaces } from '../../../app/typefaces';
import { Specimen } from '../Specimen';
import { useStandardEdit } from '../useStandardEdit';

const LINE_WORDS: Readonly<Record<TitleLine, string>> = {
  over: 'over the title',
  between: 'under its first line of text',
  under: 'under the title',
  none: 'none',
};

const NUMBER_WORDS: Readonly<Record<ViewTitle['numbers'], string>> = {
  module: 'that of the module it starts in',
  running: '1, 2, 3 … as views are read on the sheet',
};

/** What stands under each view, with how it looks. */
export function ViewTitles() {
  const { standard, change, problemsIn } = useStandardEdit();
  const typefaces = useTypefaces();
  const title = viewTitleOf(standard);
  const problems = problemsIn('viewTitle');
  const set = (next: Partial<ViewTitle>): void => {
    const wanted = { ...title, ...next };
    change({ viewTitle: dequal(wanted, USUAL_VIEW_TITLE) ? undefined : wanted });
  };
  const setLine = (at: number, line: Partial<ViewTitle['lines'][number]>): void =>
    set({ lines: title.lines.map((each, i) => (i === at ? { ...each, ...line } : each)) });
  return (
    <Card title="Titles of views" about="What stands under each view on a sheet.">
      <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(320px, 1fr) minmax(260px, 1fr)', gap: 6, pt: 2 }}>
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 3.5 }}>
          {title.lines.map((line, i) => {
            const problem = problems.find(({ where }) => where.startsWith(`viewTitle.lines.${i}.`))?.message;
            return (
              <Box key={i} sx={{ display: 'grid', gridTemplateColumns: '1fr 130px auto', gap: 2, alignItems: 'start' }}>
                <Typed
                  label={`Text, line ${i + 1}`}
                  value={line.pattern}
                  required
                  onSet={(pattern) => setLine(i, { pattern })}
                  {...(problem === undefined ? {} : { problem })}
                />
                <Chosen
                  label="Lettering"
                  value={line.use}
                  options={ROLE_USES.map((use) => [use, use] as const)}
                  onSet={(use) => setLine(i, { use })}
                />
                <Button
                  size="small"
                  color="inherit"
                  disabled={title.lines.length === 1}
                  aria-label={`Remove line ${i + 1}`}
                  onClick={() => set({ lines: title.lines.filter((_each, at) => at !== i) })}
                >
                  Remove
                </Button>
              </Box>
            );
          })}
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
            <Button
              size="small"
              variant="outlined"
              disabled={title.lines.length === MOST_TITLE_LINES}
              onClick={() => set({ lines: [...title.lines, { pattern: '{view.scale}', use: 'value' }] })}
            >
              Add a line of text
            </Button>
            <Typography variant="caption" sx={{ color: 'text.secondary' }}>
              It can say {VIEW_KEYS.map((key) => `{${key}}`).join(', ')}.
            </Typography>
          </Box>
          <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 3 }}>
            <Chosen
              label="Line"
              value={title.line}
              options={TITLE_LINES.map((each) => [each, LINE_WORDS[each]] as const)}
              onSet={(line) => set({ line })}
            />
            <Chosen
              label="Number of a view"
              value={title.numbers}
              options={(['module', 'running'] as const).map((each) => [each, NUMBER_WORDS[each]] as const)}
              onSet={(numbers) => set({ numbers })}
            />
          </Box>
          <FormControlLabel
            control={
              <Checkbox size="small" checked={title.ring} onChange={({ target }) => set({ ring: target.checked })} />
            }
            label="The number stands in a ring at the left"
          />
        </Box>
        <Specimen drawing={viewTitleSpecimen(standard, typefaces)} label="The title of a view" />
      </Box>
    </Card>
  );
}
