import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { FrameRule, OfficeStandard, SheetSize } from '@mendrel/core';
import {
  EDGES,
  FRAME_PRESETS,
  frameOf,
  frameRuleFor,
  frameSpecimen,
  formatLength,
  LayoutError,
  SIZE_SERIES,
  sizesOf,
} from '@mendrel/core';
import { useTypefaces } from '../../../app/typefaces';
import { Card } from '../../../app/Card';
import { Specimen } from '../Specimen';
import { TableCard } from '../TableCard';
import type { Column } from '../table/columns';
import { choices, EntryError, lengths, plainOptions, ticks, words } from '../table/columns';
import { EditTable } from '../table/EditTable';
import { freshId, freshName, useStandardEdit } from '../useStandardEdit';
import { Sign } from '../../../app/FindingMark';

const edgeNames = { left: 'Left', right: 'Right', top: 'Top', bottom: 'Bottom' } as const;

/** `ISO A, ISO B4` as series and sizes. */
function readFor(text: string, standard: OfficeStandard): Pick<FrameRule, 'series' | 'sizes'> {
  const parts = text
    .split(',')
    .map((part) => part.trim())
    .filter((part) => part !== '');
  const series: FrameRule['series'] = [];
  const sizes: string[] = [];
  for (const part of parts) {
    const wanted = part.toLowerCase();
    const group = SIZE_SERIES.find((each) => each.toLowerCase() === wanted);
    const size = sizesOf(standard).find((each) => each.name.toLowerCase() === wanted);
    // ASME A is a size and ISO A a series: a size's full name comes first.
    if (size) sizes.push(size.name);
    else if (group) series.push(group);
    else throw new EntryError(`“${part}” is neither a size nor one of the series ${SIZE_SERIES.join(', ')}`);
  }
  return { series, sizes };
}

const columnsOf = (standard: OfficeStandard): Column<FrameRule>[] => [
  words(
    { key: 'name', name: 'Rule', width: 180 },
    (rule) => rule.name,
    (rule, name) => ({ ...rule, name }),
  ),
  words(
    { key: 'sizes', name: 'For sizes and series', width: 240 },
    (rule) => [...rule.series, ...rule.sizes].join(', '),
    (rule, text) => ({ ...rule, ...readFor(text, standard) }),
  ),
  ...EDGES.map((edge) =>
    lengths<FrameRule>(
      { key: `margins.${edge}`, name: edgeNames[edge], width: 62 },
      (rule) => rule.margins[edge],
      (rule, mm) => ({ ...rule, margins: { ...rule.margins, [edge]: mm } }),
      () => standard.unit,
      [0, 500],
    ),
  ),
  choices(
    { key: 'binding', name: 'Bound at', width: 82 },
    (rule) => rule.binding,
    (rule, binding) => ({ ...rule, binding: EDGES.find((edge) => edge === binding) ?? 'none' }),
    () => plainOptions([...EDGES, 'none']),
  ),
  choices(
    { key: 'pen', name: 'Pen', width: 100 },
    (rule) => rule.pen,
    (rule, pen) => ({ ...rule, pen }),
    () => standard.pens.map((pen) => ({ value: pen.id, label: pen.name })),
  ),
];

const zoneColumns = (standard: OfficeStandard): Column<FrameRule>[] => {
  const zone =
    (set: (zones: FrameRule['zones'], value: string) => FrameRule['zones']) =>
    (rule: FrameRule, value: string): FrameRule => ({ ...rule, zones: set(rule.zones, value) });
  const columns: Column<FrameRule>[] = [
    words(
      { key: 'of', name: 'Rule', width: 150 },
      (rule) => rule.name,
      (rule) => rule,
    ),
    ticks(
      { key: 'zones.shown', name: 'Zones', width: 40 },
      (rule) => rule.zones.shown,
      (rule, shown) => ({ ...rule, zones: { ...rule.zones, shown } }),
    ),
    lengths(
      { key: 'zones.field', name: 'Field', width: 62 },
      (rule) => rule.zones.field,
      (rule, field) => ({ ...rule, zones: { ...rule.zones, field } }),
      () => standard.unit,
      [5, 1000],
    ),
    choices(
      { key: 'zones.lettersFrom', name: 'A stands', width: 92 },
      (rule) => rule.zones.lettersFrom,
      zone((zones, value) => ({ ...zones, lettersFrom: value === 'bottom' ? 'bottom' : 'top' })),
      () => [
        { value: 'top', label: 'at the top' },
        { value: 'bottom', label: 'at the bottom' },
      ],
    ),
    choices(
      { key: 'zones.numbersFrom', name: '1 stands', width: 92 },
      (rule) => rule.zones.numbersFrom,
      zone((zones, value) => ({ ...zones, numbersFrom: value === 'right' ? 'right' : 'left' })),
      () => [
        { value: 'left', label: 'at the left' },
        { value: 'right', label: 'at the right' },
      ],
    ),
    words(
      { key: 'zones.omit', name: 'Left out', width: 62 },
      (rule) => rule.zones.omit,
      zone((zones, value) => ({ ...zones, omit: value.toUpperCase() })),
      (text) => {
        if (!/^[a-zA-Z]{0,25}$/.test(text)) throw new EntryError('letters only, such as IO');
      },
    ),
    ...EDGES.map((edge) =>
      ticks<FrameRule>(
        { key: `zones.edges.${edge}`, name: edgeNames[edge], width: 40 },
        (rule) => rule.zones.edges[edge],
        (rule, on) => ({ ...rule, zones: { ...rule.zones, edges: { ...rule.zones.edges, [edge]: on } } }),
      ),
    ),
    ticks(
      { key: 'centring', name: 'Centring', width: 40 },
      (rule) => rule.centring,
      (rule, on) => ({ ...rule, centring: on }),
    ),
    ticks(
      { key: 'trimming', name: 'Trimming', width: 40 },
      (rule) => rule.trimming,
      (rule, on) => ({ ...rule, trimming: on }),
    ),
    ticks(
      { key: 'folds', name: 'Folds to A4', width: 40 },
      (rule) => rule.folds,
      (rule, on) => ({ ...rule, folds: on }),
    ),
  ];
  return columns.map((column) => (column.key === 'of' ? { ...column, fixed: () => true } : column));
};

/** Frame rules: margins, zones and marks by size or series, with a sheet that shows the rule at work. */
export function Frames() {
  const { standard, change, problemsIn } = useStandardEdit();
  const [chosen, setChosen] = useState(standard.frameRules[0]?.id ?? '');
  const rule = standard.frameRules.find((each) => each.id === chosen) ?? standard.frameRules[0];
  const columns = useMemo(() => columnsOf(standard), [standard]);
  const zones = useMemo(() => zoneColumns(standard), [standard]);
  const table = {
    path: 'frameRules',
    rows: standard.frameRules,
    idOf: (each: FrameRule) => each.id,
    nameOf: (each: FrameRule) => each.name,
    problems: problemsIn('frameRules'),
    chosen,
    onChoose: setChosen,
    onChange: (frameRules: FrameRule[], field?: string) => change({ frameRules }, field),
  };
  const startFrom = (preset: FramePresetName): void => {
    if (!rule) return;
    change({
      frameRules: standard.frameRules.map((each) => (each === rule ? { ...each, ...FRAME_PRESETS[preset] } : each)),
    });
  };
  return (
    <>
      {rule ? <LiveSheet key={rule.id} rule={rule} standard={standard} onPreset={startFrom} /> : null}
      <TableCard
        {...table}
        title="Frame rules"
        about={`Margins in ${standard.unit}, from the trimmed edge. A size takes the rule that names it, else that of its series, else the last.`}
        caption="Frame rules"
        columns={columns}
        add="Add a rule"
        least={1}
        fresh={(rows) => ({
          ...FRAME_PRESETS['ISO 5457'],
          id: freshId(rows, 'rule'),
          name: freshName(rows, 'New rule'),
          series: [],
          sizes: [],
          folds: false,
        })}
      />
      <Card
        title="Zones and marks"
        about="Fields run from the centre lines outwards; what remains goes to the corners. Left, right, top and bottom say which edges carry marks."
      >
        <EditTable {...table} caption="Zones and marks" columns={zones} />
      </Card>
    </>
  );
}

/** A sheet of one of the rule's sizes, drawn by it. */
function LiveSheet({ rule, standard, onPreset }: LiveSheetProps) {
  const typefaces = useTypefaces();
  const own = sizesOf(standard).filter((size) => frameRuleFor(size, standard.frameRules).id === rule.id);
  const [name, setName] = useState<string>();
  const size = own.find((each) => each.name === name) ?? own.find((each) => each.name.endsWith('A3')) ?? own.at(0);
  const drawn = size ? drawSheet(size, rule, standard, typefaces) : undefined;
  return (
    <Card title={`${rule.name} at work`} {...(size ? { about: frameInWords(size, rule) } : {})}>
      <Box sx={{ display: 'flex', gap: 6, pt: 1 }}>
        <Box sx={{ minWidth: 0 }}>
          {!size ? <Typography>No size falls under this rule. Name sizes or series for it.</Typography> : null}
          {typeof drawn === 'string' ? (
            <Typography sx={{ color: 'error.main' }}>
              <Sign weight="error" /> {drawn}
            </Typography>
          ) : null}
          {drawn && typeof drawn !== 'string' ? (
            <Box sx={{ width: Math.round(380 * Math.min(1.7, drawn.width / drawn.height)), maxWidth: '100%' }}>
              <Specimen drawing={drawn} label={`The frame of ${size?.name ?? ''} by ${rule.name}`} />
            </Box>
          ) : null}
        </Box>
        <Box sx={{ width: 220, flex: 'none', display: 'flex', flexDirection: 'column', gap: 3, pt: 2 }}>
          <TextField
            select
            label="Shown on"
            value={size?.name ?? ''}
            onChange={(event) => setName(event.target.value)}
            disabled={own.length === 0}
          >
            {own.map((each) => (
              <MenuItem key={each.name} value={each.name}>
                {each.name}
              </MenuItem>
            ))}
          </TextField>
          <Typography sx={{ mt: 2 }}>Set this rule to</Typography>
          {(Object.keys(FRAME_PRESETS) as FramePresetName[]).map((preset) => (
            <Button key={preset} size="small" variant="outlined" onClick={() => onPreset(preset)}>
              {preset}
            </Button>
          ))}
        </Box>
      </Box>
    </Card>
  );
}

type FramePresetName = keyof typeof FRAME_PRESETS;

interface LiveSheetProps {
  rule: FrameRule;
  standard: OfficeStandard;
  onPreset: (preset: FramePresetName) => void;
}

function drawSheet(
  size: SheetSize,
  rule: FrameRule,
  standard: OfficeStandard,
  typefaces: Parameters<typeof frameSpecimen>[3],
): ReturnType<typeof frameSpecimen> | string {
  try {
    return frameSpecimen(size, rule.pen, standard, typefaces);
  } catch (error) {
    if (error instanceof LayoutError) return error.message;
    throw error;
  }
}

function frameInWords(size: SheetSize, rule: FrameRule): string {
  const frame = frameOf(size, rule.margins);
  return `Drawing space ${formatLength(frame.width, size.unit)} × ${formatLength(frame.height, size.unit, true)}`;
}
