import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Project, ProjectChange } from '@mendrel/contract';
import type { NumberingScheme, OfficeStandard } from '@mendrel/core';
import {
  exampleNumber,
  FILE_NAME_PATTERNS,
  fileNamePatternProblem,
  fileNameProblems,
  numberingProblems,
  parametersOf,
  USUAL_FILE_NAMES,
  USUAL_SCHEMES,
  valuesOf,
} from '@mendrel/core';
import { Card } from '../../../app/Card';
import { useSheetKinds } from '../../../app/sheetKinds';
import { FindingMark, Fits } from '../../../app/FindingMark';
import type { ProjectSheet } from '../sheetDrawings';
import type { TypedScheme } from './typedScheme';
import { schemeKey, schemeOf, typedOf, usualPlace } from './typedScheme';

interface Props {
  project: Project;
  /** Its sheets with what they are drawn from. */
  sources: readonly ProjectSheet[];
  standard: OfficeStandard;
  onSave: (change: Omit<ProjectChange, 'version'>) => Promise<void>;
}

/** The choices besides the usual schemes. */
const LEARNT = 'learnt';
const OWN = 'own';

const FIELDS: readonly { key: keyof TypedScheme; label: string; hint: string; part?: string }[] = [
  { key: 'pattern', label: 'Pattern', hint: 'Words and {discipline}, {type}, {zone}, {sequence}' },
  { key: 'disciplines', label: 'Disciplines, in their order', hint: 'Empty: any letters', part: '{discipline}' },
  { key: 'zones', label: 'Zones, in their order', hint: 'Empty: any letters or figures', part: '{zone}' },
  { key: 'digits', label: 'Figures', hint: 'Of the sequence' },
];

/** How the sheets of a project are numbered and their files named, with what does not keep to it. */
export function Numbering({ project, sources, standard, onSave }: Props) {
  const [scheme, setScheme] = useState<TypedScheme | null>(() => project.numbering && typedOf(project.numbering));
  const [pattern, setPattern] = useState(project.fileNames ?? USUAL_FILE_NAMES);
  const [saving, setSaving] = useState(false);
  const kinds = useSheetKinds();
  const read = scheme === null ? null : schemeOf(scheme);
  const wrong = read !== null && 'problem' in read ? read : undefined;
  const numbering: NumberingScheme | null = read === null || 'problem' in read ? null : read;
  const patternWrong = fileNamePatternProblem(pattern, parametersOf(standard));
  const fileNames = pattern.trim() === USUAL_FILE_NAMES ? null : pattern.trim();
  const dirty =
    schemeKey(numbering) !== schemeKey(project.numbering) || fileNames !== project.fileNames || wrong !== undefined;
  const problems = useMemo(
    () =>
      numbering
        ? numberingProblems(
            numbering,
            sources.map(({ sheet }) => sheet),
            kinds,
          )
        : [],
    // What is read of it is another object each time.
    // oxlint-disable-next-line react-hooks/exhaustive-deps
    [schemeKey(numbering), sources, kinds],
  );
  const named = useMemo(
    () =>
      patternWrong === undefined
        ? sources.map(({ sheet, source }) => ({
            number: sheet.number,
            name: valuesOf({ ...source, fileNames: pattern })['sheet.fileName'] ?? '',
          }))
        : [],
    [sources, pattern, patternWrong],
  );
  const choice = scheme === null ? LEARNT : numbering === null ? OWN : String(usualPlace(numbering) ?? OWN);
  const choose = (next: string): void => {
    if (next === LEARNT) setScheme(null);
    else if (next === OWN)
      setScheme(scheme ?? typedOf({ pattern: '{discipline}-{sequence}', disciplines: [], zones: [], digits: 3 }));
    else setScheme(typedOf(USUAL_SCHEMES[Number(next)]!.scheme));
  };
  const save = async (): Promise<void> => {
    setSaving(true);
    await onSave({ numbering, fileNames });
    setSaving(false);
  };
  return (
    <Card
      title="Numbers and file names"
      about="New sheets get the next number; what does not keep to it is told here."
      scrolls={false}
    >
      <Box
        component="form"
        onSubmit={(event: React.FormEvent) => {
          event.preventDefault();
          void save();
        }}
        sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 5, pt: 2 }}
      >
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 4 }}>
          <TextField
            select
            label="Sheets are numbered"
            value={choice}
            onChange={(event) => choose(event.target.value)}
            helperText={numbering ? `Such as ${exampleNumber(numbering)}` : ' '}
          >
            <MenuItem value={LEARNT}>As the numbers there are show</MenuItem>
            {USUAL_SCHEMES.map(({ name }, i) => (
              <MenuItem key={name} value={String(i)}>
                {name}
              </MenuItem>
            ))}
            <MenuItem value={OWN}>By a scheme of its own</MenuItem>
          </TextField>
          {scheme === null
            ? null
            : FIELDS.filter(({ part }) => !part || scheme.pattern.includes(part)).map(({ key, label, hint }) => (
                <TextField
                  key={key}
                  label={label}
                  value={scheme[key]}
                  onChange={(event) => setScheme({ ...scheme, [key]: event.target.value })}
                  error={wrong?.field === key}
                  helperText={wrong?.field === key ? wrong.problem : hint}
                />
              ))}
          <Problems of={problems} fits={numbering !== null} />
        </Box>
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 4 }}>
          <TextField
            select
            label="Files are named by"
            value={FILE_NAME_PATTERNS.some((each) => each.pattern === pattern) ? pattern : OWN}
            onChange={(event) => event.target.value !== OWN && setPattern(event.target.value)}
          >
            {FILE_NAME_PATTERNS.map(({ name, pattern: each }) => (
              <MenuItem key={name} value={each}>
                {name}
              </MenuItem>
            ))}
            <MenuItem value={OWN}>A pattern of its own</MenuItem>
          </TextField>
          <TextField
            label="Pattern of file names"
            value={pattern}
            onChange={(event) => setPattern(event.target.value)}
            error={patternWrong !== undefined}
            helperText={patternWrong ?? (named[0] ? `Such as ${named[0].name}.pdf` : ' ')}
            slotProps={{ htmlInput: { maxLength: 200 } }}
          />
          <Problems of={fileNameProblems(named)} fits={named.length > 0} />
        </Box>
        <Box sx={{ gridColumn: '1 / -1', display: 'flex', gap: 3 }}>
          <Button
            type="submit"
            variant="contained"
            disabled={!dirty || wrong !== undefined || patternWrong !== undefined || saving}
          >
            {saving ? 'Saving…' : 'Save numbers and names'}
          </Button>
          <Button
            color="inherit"
            disabled={!dirty}
            onClick={() => {
              setScheme(project.numbering && typedOf(project.numbering));
              setPattern(project.fileNames ?? USUAL_FILE_NAMES);
            }}
          >
            Discard changes
          </Button>
        </Box>
      </Box>
    </Card>
  );
}

/** Problems that are told; of more how many. */
const TOLD = 6;

function Problems({ of, fits }: { of: readonly { message: string }[]; fits: boolean }) {
  if (of.length === 0) return fits ? <Fits word="All of them keep to it" /> : null;
  return (
    <Box role="group" aria-label="What does not keep to it">
      {of.slice(0, TOLD).map(({ message }) => (
        <FindingMark key={message} finding={{ weight: 'gap', message }} />
      ))}
      {of.length > TOLD ? <Typography sx={{ color: 'text.secondary' }}>and {of.length - TOLD} more</Typography> : null}
    </Box>
  );
}
