import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import CloseIcon from '@mui/icons-material/Close';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { Design, OfficeStandard, SheetLayout, SheetSize } from '@mendrel/core';
import {
  frameOnAllDevices,
  frameRuleFor,
  lengthAsFormula,
  removeSize,
  setFrame,
  setModules,
  setSize,
  sheetSize,
  sizesOf,
} from '@mendrel/core';
import { api } from '../../../app/api';
import { ModuleGridFields } from '../../../app/ModuleGridFields';
import { useAdditions } from '../additions/useAdditions';
import { Chosen } from '../../../app/Chosen';
import { ChosenEntry, ChosenPen } from './Chosen';
import { FrameOfDesign } from './FrameOfDesign';
import { MarginsOfDevice } from './MarginsOfDevice';
import { Scale } from './Scale';
import { Folded, Pair, Row, Section } from './Section';
import { FindingMark } from '../../../app/FindingMark';
import { Typed } from '../../../app/Typed';

interface Props {
  design: Design;
  /** It solved on the size that is shown; undefined where it cannot be. */
  layout?: SheetLayout | undefined;
  standard: OfficeStandard;
  size: string;
  onEdit: (edit: (design: Design) => Design) => void;
}

const MARKS = [
  ['zones', 'Zones'],
  ['centringMarks', 'Centring marks'],
  ['trimmingMarks', 'Trimming marks'],
  ['foldMarks', 'Fold marks'],
] as const;

/** What belongs to the design as a whole: its sheet sizes, its frame, its module grid. */
export function DesignDetails({ design, layout, standard, size, onEdit }: Props) {
  const { frame } = design;
  const own = (): Design['frame']['margins'] => {
    const { margins } = frameRuleFor(sheetSize(size, sizesOf(standard)), standard.frameRules);
    const text = (mm: number): string => lengthAsFormula(mm, design.unit);
    return {
      left: text(margins.left),
      right: text(margins.right),
      top: text(margins.top),
      bottom: text(margins.bottom),
    };
  };
  return (
    <>
      <SizeList design={design} standard={standard} onEdit={onEdit} />
      <Section title="Frame">
        <Chosen
          label="Margins"
          value={frame.margins === 'standard' ? 'standard' : 'own'}
          options={[
            ['standard', 'Office standard'],
            ['own', 'Own margins'],
          ]}
          onSet={(choice) => onEdit((now) => setFrame(now, { margins: choice === 'standard' ? 'standard' : own() }))}
        />
        {frame.margins === 'standard' ? null : (
          <Pair>
            {(['left', 'right', 'top', 'bottom'] as const).map((edge) => (
              <Typed
                key={edge}
                label={`Margin, ${edge}`}
                length={design.unit}
                required
                value={frame.margins === 'standard' ? '' : frame.margins[edge]}
                onSet={(text) =>
                  onEdit((now) =>
                    now.frame.margins === 'standard'
                      ? now
                      : setFrame(now, { margins: { ...now.frame.margins, [edge]: text } }),
                  )
                }
              />
            ))}
          </Pair>
        )}
        {frame.margins !== 'standard' && layout
          ? frameOnAllDevices(layout, standard).map((finding) => (
              <Typography key={finding.message} variant="caption" component="div">
                <FindingMark finding={finding} />
              </Typography>
            ))
          : null}
        <MarginsOfDevice design={design} standard={standard} onEdit={onEdit} />
        <FrameOfDesign onEdit={onEdit} />
        <Folded title="Pen and marks">
          <ChosenPen
            label="Pen of the frame"
            value={frame.pen}
            standard={standard}
            onSet={(pen) => onEdit((now) => setFrame(now, { pen: pen ?? now.frame.pen }))}
          />
          {MARKS.map(([key, name]) => (
            <Chosen
              key={key}
              label={name}
              value={String(frame[key] ?? false)}
              options={[
                ['standard', 'Office standard'],
                ['true', 'Shown'],
                ['false', 'Left out'],
              ]}
              onSet={(choice) =>
                onEdit((now) => setFrame(now, { [key]: choice === 'standard' ? choice : choice === 'true' }))
              }
            />
          ))}
        </Folded>
      </Section>
      <Section title="Module grid for views">
        <ModuleGridFields
          modules={design.modules}
          unit={design.unit}
          sizes={[size]}
          onSet={(modules) => onEdit((now) => setModules(now, modules))}
        />
      </Section>
      <Section title="Whole design">
        <Row>
          <Scale design={design} standard={standard} onEdit={onEdit} />
        </Row>
      </Section>
    </>
  );
}

function SizeList({ design, standard, onEdit }: Pick<Props, 'design' | 'standard' | 'onEdit'>) {
  const drafted = api.useStandardQuery().data?.draft.sizes ?? [];
  const add = useAdditions();
  const { enqueueSnackbar } = useSnackbar();
  const here = sizesOf(standard);
  // Own sizes that were typed into the standard since the revision that the design uses.
  const later = drafted.filter((each) => !here.some(({ name }) => name === each.name));
  const others = [...here, ...later].filter((each) => !design.sizes.some(({ size }) => size === each.name));
  const put = (name: string, found?: SheetSize): void => {
    // Small sheets are read upright, as ISO 5457 (from memory) has it for A4.
    const upright = found ? Math.max(found.width, found.height) < 300 : false;
    onEdit((now) => setSize(now, name, upright ? 'portrait' : 'landscape'));
  };
  const choose = async (name: string): Promise<void> => {
    const found = others.find((each) => each.name === name);
    if (found && later.includes(found)) {
      const refused = await add({ sizes: [found] }, name);
      if (refused !== undefined) {
        enqueueSnackbar(`Not added: ${refused}`, { variant: 'error' });
        return;
      }
    }
    if (name !== '') put(name, found);
  };
  return (
    <Section title="Sheet sizes">
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {design.sizes.map(({ size, orientation }) => (
          <Box
            component="li"
            key={size}
            sx={{ display: 'flex', alignItems: 'center', gap: 2, borderBottom: 1, borderColor: 'divider', py: 0.5 }}
          >
            <Typography sx={{ flex: 1 }}>{size}</Typography>
            <Button
              size="small"
              color="inherit"
              aria-label={`${size} is ${orientation}; turn it`}
              onClick={() =>
                onEdit((now) => setSize(now, size, orientation === 'landscape' ? 'portrait' : 'landscape'))
              }
            >
              {orientation}
            </Button>
            <IconButton
              size="small"
              aria-label={`Remove ${size}`}
              onClick={() => onEdit((now) => removeSize(now, size))}
            >
              <CloseIcon fontSize="inherit" />
            </IconButton>
          </Box>
        ))}
      </Box>
      <ChosenEntry
        kind="size"
        standard={standard}
        label="Add a sheet size"
        value=""
        options={[
          ['', 'Choose…'],
          ...others.map((each): [string, string] => [
            each.name,
            later.includes(each) ? `${each.name}, new in the standard` : each.name,
          ]),
        ]}
        onSet={(name) => void choose(name)}
      />
    </Section>
  );
}
