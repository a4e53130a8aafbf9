import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import type { Corrections, IntakeReport, WorkingUnit } from '@mendrel/core';
import { formatLength, MARK_WORDS } from '@mendrel/core';
import { api, errorOf } from '../../../app/api';
import { Sign } from '../../../app/FindingMark';
import { Section } from './Section';

interface Props {
  report: IntakeReport;
  corrections: Corrections;
  unit: WorkingUnit;
  busy: boolean;
  onCorrect: (change: Pick<Corrections, 'pictures' | 'symbols'>) => void;
}

/**
 * Pictures of the old block, whose files can be given where they lie beside the drawing, and its marks that are known symbols.
 */
export function OldPictures({ report: { pictures, marks }, corrections, unit, busy, onCorrect }: Props) {
  const [keep, keeping] = api.useAddImageMutation();
  const [problem, setProblem] = useState<{ name: string; words: string }>();
  if (pictures.length + marks.length === 0) return null;
  const set = corrections.pictures ?? {};
  const give = async (name: string, file: File | undefined): Promise<void> => {
    if (!file) return;
    setProblem(undefined);
    const { data, error } = await keep(file);
    if (data) onCorrect({ pictures: { ...set, [name]: { image: data.image } } });
    else setProblem({ name, words: `${file.name}: ${errorOf(error).message}.` });
  };
  const takeBack = (name: string): void =>
    onCorrect({ pictures: Object.fromEntries(Object.entries(set).filter(([each]) => each !== name)) });
  return (
    <Section title="Pictures of the old block">
      <Box component="ul" sx={{ display: 'flex', flexDirection: 'column', gap: 3, m: 0, p: 0, listStyle: 'none' }}>
        {pictures.map(({ name, width, height, given }, i) => (
          <li key={i}>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 3 }}>
              <Typography sx={{ flex: 1, minWidth: 0, overflowWrap: 'anywhere' }}>
                {given ? null : <Sign weight="gap" />} {name}, {formatLength(width, unit)} ×{' '}
                {formatLength(height, unit, true)}
                {given ? '' : ': its file is not in the drawing'}
              </Typography>
              {Object.hasOwn(set, name) ? (
                <Button size="small" color="inherit" disabled={busy} onClick={() => takeBack(name)}>
                  Leave out
                </Button>
              ) : given ? null : (
                <Button component="label" size="small" variant="outlined" disabled={busy || keeping.isLoading}>
                  Choose its file…
                  <Box
                    component="input"
                    type="file"
                    accept=".png,.jpg,.jpeg,image/png,image/jpeg"
                    aria-label={`File of ${name}`}
                    onChange={(event: React.ChangeEvent<HTMLInputElement>) => void give(name, event.target.files?.[0])}
                    sx={{ position: 'absolute', width: 1, height: 1, opacity: 0 }}
                  />
                </Button>
              )}
            </Box>
            {problem?.name === name ? (
              <Typography role="alert" sx={{ color: 'error.main', mt: 1 }}>
                <Sign weight="error" /> {problem.words}
              </Typography>
            ) : null}
          </li>
        ))}
      </Box>
      {marks.length > 0 ? (
        <FormControlLabel
          sx={{ mt: pictures.length > 0 ? 3 : 0 }}
          control={
            <Checkbox
              size="small"
              checked={corrections.symbols === true}
              disabled={busy}
              onChange={({ target }) => onCorrect({ symbols: target.checked })}
            />
          }
          label={`Use Mendrel’s symbol for the ${marks.map(({ symbol }) => MARK_WORDS[symbol].toLowerCase()).join(' and the ')}`}
        />
      ) : null}
    </Section>
  );
}
