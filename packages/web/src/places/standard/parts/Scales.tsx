import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { OfficeStandard } from '@mendrel/core';
import { DATE_FORMS, parseScale, sheetScale } from '@mendrel/core';
import { Card } from '../../../app/Card';
import { TableCard } from '../TableCard';
import type { Column } from '../table/columns';
import { words } from '../table/columns';
import { useStandardEdit } from '../useStandardEdit';
import { KeptTogether } from './KeptTogether';
import { Languages } from './Languages';
import { ViewTitles } from './ViewTitles';

interface Row {
  id: string;
  words: string;
}

const COLUMNS: Column<Row>[] = [
  words(
    { key: 'words', name: 'Scale', width: 170 },
    (row) => row.words,
    (row, text) => ({ ...row, words: text }),
    (text) => void parseScale(text),
  ),
];

/** How much smaller than the real thing a scale draws. */
function denominator(text: string): string {
  try {
    const ratio = parseScale(text).denominator;
    return ratio >= 1 ? `1 : ${Number(ratio.toFixed(3))}` : `${Number((1 / ratio).toFixed(3))} : 1`;
  } catch {
    return '';
  }
}

/** Scales in use, and the office's words where a sheet has none or several. */
export function Scales() {
  const { standard, change, problemsIn } = useStandardEdit();
  const rows = standard.scales.map((text, i) => ({ id: String(i), words: text }));
  const word = (key: Exclude<keyof OfficeStandard['wording'], 'dates'>, label: string, about: string) => (
    <TextField
      label={label}
      value={standard.wording[key]}
      onChange={(event) => change({ wording: { ...standard.wording, [key]: event.target.value } }, `wording.${key}`)}
      helperText={about}
      slotProps={{ htmlInput: { maxLength: 60 }, inputLabel: { shrink: true } }}
    />
  );
  const said = (views: Parameters<typeof sheetScale>[0]): string => sheetScale(views, standard.wording) || 'nothing';
  const view = (scale: string | null) => ({ scale, module: 'A1' });
  return (
    <>
      <Card title="Wording" about="What a sheet’s scale field says when there is not one scale.">
        <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(200px, 1fr))', gap: 4, pt: 2 }}>
          {word(
            'severalScales',
            'Several scales',
            `Views at 1:100 and 1:20 say “${said([view('1:100'), view('1:20')])}”`,
          )}
          {word(
            'noScale',
            'No view',
            standard.wording.noScale === ''
              ? 'A sheet without a view says nothing'
              : `A sheet without a view says “${said([])}”`,
          )}
          {word('notToScale', 'Not to scale', `A view sized to fill says “${said([view(null)])}”`)}
          <TextField
            select
            label="Dates on sheets"
            value={standard.wording.dates}
            onChange={(event) => {
              const dates = DATE_FORMS.find((each) => each === event.target.value) ?? 'as entered';
              change({ wording: { ...standard.wording, dates } });
            }}
            helperText="However they were entered"
          >
            {DATE_FORMS.map((form) => (
              <MenuItem key={form} value={form}>
                {form}
              </MenuItem>
            ))}
          </TextField>
          <Languages
            languages={standard.languages ?? []}
            problem={problemsIn('languages')[0]?.message}
            onSet={(languages) => change({ languages: languages.length === 0 ? undefined : languages })}
          />
          <KeptTogether
            words={standard.keptTogether ?? []}
            problem={problemsIn('keptTogether')[0]?.message}
            onSet={(words) => change({ keptTogether: words.length === 0 ? undefined : words })}
          />
          <TextField
            select
            label="Lengths are shown in"
            value={standard.unit}
            onChange={(event) => change({ unit: event.target.value === 'in' ? 'in' : 'mm' })}
            helperText="And bare numbers are read in it"
          >
            <MenuItem value="mm">millimetres</MenuItem>
            <MenuItem value="in">inches</MenuItem>
          </TextField>
        </Box>
      </Card>
      <ViewTitles />
      <TableCard
        title="Scales in use"
        about={`As people write them: 1:100, 2:1, 1/8" = 1'-0", 1" = 20'. Real-size tables and views offer these.`}
        add="Add a scale"
        path="scales"
        caption="Scales in use"
        columns={COLUMNS}
        rows={rows}
        idOf={(row) => row.id}
        nameOf={(row) => row.words}
        problems={problemsIn('scales').map((each) => ({ ...each, where: `${each.where}.words` }))}
        onChange={(next, field) => change({ scales: next.map((row) => row.words) }, field)}
        least={1}
        fresh={(all) => ({ id: String(all.length), words: nextScale(all.map((row) => row.words)) })}
        extra={{ name: 'That is', width: 170, of: (row) => denominator(row.words) }}
      />
    </>
  );
}

/** A scale to start a new row from: twice as small as the smallest of the ratios. */
function nextScale(scales: readonly string[]): string {
  const ratios = scales.flatMap((text) => {
    const match = /^1:(\d+)$/.exec(text);
    return match ? [Number(match[1])] : [];
  });
  return `1:${2 * Math.max(50, ...ratios)}`;
}
