import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Asked, Fate, IntakeReport, OfficeStandard, Parameter, WorkingUnit } from '@mendrel/core';
import { formatLength } from '@mendrel/core';
import { Section } from './Section';

interface Props {
  asked: Asked;
  report: IntakeReport;
  standard: OfficeStandard;
  parameters: readonly Parameter[];
  unit: WorkingUnit;
}

const KINDS: Readonly<Record<Asked['kind'], string>> = {
  text: 'Text',
  line: 'Line',
  area: 'Filled area',
  picture: 'Picture',
};

/** What was clicked on the old drawing: its layer, what it was drawn with, and what became of it. */
export function AskedThing({ asked, report, standard, parameters, unit }: Props) {
  const { kind, words, layer, height, pen } = asked;
  const office = pen === undefined ? undefined : report.pens.find(({ sign }) => sign === pen)?.pen;
  const facts: [string, string][] = [
    [KINDS[kind], words === '' ? 'of the old drawing' : `“${words}”`],
    ['Layer', layer],
    ...(height === undefined ? [] : [['Height', formatLength(height, unit, true)] as [string, string]]),
    ...(pen === undefined
      ? []
      : [['Old pen', pen === 'unsaid' ? 'the drawing does not say' : pen] as [string, string]]),
    ['Became', fateInWords(asked.became, standard, parameters)],
    ...(office ? [['New pen', standard.pens.find(({ id }) => id === office)?.name ?? office] as [string, string]] : []),
  ];
  return (
    <Section title="What you clicked">
      <Box
        component="dl"
        role="status"
        sx={{ display: 'grid', gridTemplateColumns: 'auto 1fr', columnGap: 4, rowGap: 1, m: 0, '& dd': { m: 0 } }}
      >
        {facts.map(([name, value]) => (
          <Box key={name} sx={{ display: 'contents' }}>
            <Typography component="dt" sx={{ color: 'text.secondary' }}>
              {name}
            </Typography>
            <Typography component="dd" sx={{ overflowWrap: 'anywhere' }}>
              {value}
            </Typography>
          </Box>
        ))}
      </Box>
    </Section>
  );
}

/** What a text was taken for, said of its kind. */
const AS: Readonly<Record<IntakeReport['texts'][number]['kind'], string>> = {
  caption: 'a caption',
  field: 'a value',
  note: 'fixed words',
  option: 'an option',
  zone: 'a zone mark',
};

function fateInWords(fate: Fate, standard: OfficeStandard, parameters: readonly Parameter[]): string {
  switch (fate.kind) {
    case 'text': {
      const { kind, parameter, role } = fate.text;
      const of = parameters.find(({ key }) => key === parameter)?.name;
      const set = standard.roles.find(({ id }) => id === role)?.name;
      return `${AS[kind]}${of ? ` of ${of}` : ''}${set ? `, in the role ${set}` : ''}`;
    }
    case 'row':
      return 'data in the row of a table';
    case 'frame':
      return 'the frame';
    case 'block':
      return 'a line of the title block';
    case 'mark':
      return 'part of a picture in its cell';
    case 'out':
      return `left out: ${fate.why}`;
  }
}
