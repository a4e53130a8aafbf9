import { useDeferredValue, useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Design, Finding, OfficeStandard, WorkingUnit } from '@mendrel/core';
import { EditError, LEAST_FACTOR, MM_PER, MOST_FACTOR, scaleDesign } from '@mendrel/core';
import { useTypefaces } from '../../../app/typefaces';
import { FindingMark, Sign } from '../../../app/FindingMark';
import { SheetPicture } from '../../../paper/SheetPicture';
import type { Solved } from '../../../paper/useSolved';
import { solvedOnce } from '../../../paper/useSolved';
import { useTried } from '../bench/useTried';
import { Chosen } from '../../../app/Chosen';

interface Props {
  design: Design;
  standard: OfficeStandard;
  panel?: string;
  onEdit: (edit: (design: Design) => Design) => void;
  onClose: () => void;
}

/** Steps that lengths may come to, in mm. */
const STEPS: Readonly<Record<WorkingUnit, readonly (readonly [string, string])[]>> = {
  mm: [
    ['0.01', '0.01 mm'],
    ['0.5', '0.5 mm'],
    ['1', '1 mm'],
  ],
  in: [
    [String(MM_PER.in / 64), '1/64 in'],
    [String(MM_PER.in / 32), '1/32 in'],
    [String(MM_PER.in / 16), '1/16 in'],
  ],
};

/** From one size of the ISO series to the next; one of its sheets is so many times as long as the next one. */
const SERIES = Math.SQRT2;

/** A factor as it is typed: `1.41`, `1,41`, `71 %`, `1:2`. Undefined for anything else, and for one that is no factor. */
export function readFactor(text: string): number | undefined {
  const plain = text.trim().replaceAll(',', '.');
  const ratio = /^(\d+(?:\.\d+)?)\s*[:/]\s*(\d+(?:\.\d+)?)$/.exec(plain);
  const single = /^(\d*\.?\d+)\s*(%?)$/.exec(plain);
  const factor = ratio
    ? Number(ratio[1]) / Number(ratio[2])
    : single
      ? Number(single[1]) / (single[2] === '%' ? 100 : 1)
      : Number.NaN;
  return factor >= LEAST_FACTOR && factor <= MOST_FACTOR ? factor : undefined;
}

const errorsOf = (solved: Solved): Pick<Finding, 'weight' | 'message'>[] =>
  solved.problem
    ? [{ weight: 'error', message: solved.problem.message }]
    : solved.layout.findings.filter(({ weight }) => weight === 'error');

/** Scales a design or one of its panels by a factor: what it comes to on every size is seen before it is done. */
export function ScaleDialog({ design, standard, panel, onEdit, onClose }: Props) {
  const typefaces = useTypefaces();
  const tried = useTried(design, standard);
  const [typed, setTyped] = useState('1');
  const [step, setStep] = useState(STEPS[design.unit][1]![0]);
  const factor = readFactor(typed);
  const asked = useDeferredValue(factor);
  const scaling = useMemo(() => ({ step: Number(step), ...(panel === undefined ? {} : { panel }) }), [step, panel]);
  const name = panel === undefined ? design.name : (design.panels.find(({ id }) => id === panel)?.name ?? '');
  const scaled = useMemo(() => {
    if (asked === undefined || asked === 1) return undefined;
    try {
      return scaleDesign(design, { factor: asked, ...scaling }, standard);
    } catch (error) {
      if (error instanceof EditError) return error.message;
      throw error;
    }
  }, [design, asked, scaling, standard]);
  const refused = typeof scaled === 'string' ? scaled : undefined;
  const next = typeof scaled === 'string' ? undefined : scaled;
  return (
    <Dialog open onClose={onClose} aria-labelledby="scale-title" fullWidth maxWidth="sm">
      <DialogTitle id="scale-title" sx={{ overflowWrap: 'anywhere' }}>
        Scale {name}
      </DialogTitle>
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 4 }}>
        <Typography sx={{ color: 'text.secondary' }}>
          Every length times the factor, each text in the role of its use that comes nearest. What depends on the sheet
          keeps doing so; conditions, pens and margins stay.
        </Typography>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 3, alignItems: 'start' }}>
          <TextField
            autoFocus
            label="Factor"
            value={typed}
            error={factor === undefined}
            helperText={
              factor === undefined
                ? `A factor from ${LEAST_FACTOR} to ${MOST_FACTOR}, such as 1.41, 71 % or 1:2`
                : '1.41, 71 %, 1:2'
            }
            onFocus={(event) => event.currentTarget.select()}
            onChange={({ target }) => setTyped(target.value)}
            slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: 20 } }}
          />
          <Chosen label="Lengths in steps of" value={step} options={STEPS[design.unit]} onSet={setStep} />
        </Box>
        <Box sx={{ display: 'flex', gap: 3 }}>
          <Button size="small" onClick={() => setTyped(SERIES.toFixed(3))}>
            One ISO size up
          </Button>
          <Button size="small" onClick={() => setTyped((1 / SERIES).toFixed(3))}>
            One ISO size down
          </Button>
        </Box>
        {refused === undefined ? null : (
          <Typography role="alert" sx={{ color: 'error.main' }}>
            <Sign weight="error" /> {refused}
          </Typography>
        )}
        {next ? (
          <Box
            component="ul"
            aria-label="On every size"
            sx={{ listStyle: 'none', p: 0, m: 0, display: 'grid', gap: 3 }}
          >
            {next.sizes.map(({ size }) => (
              <OnSize
                key={size}
                before={solvedOnce(design, size, tried, standard, typefaces)}
                after={solvedOnce(next, size, tried, standard, typefaces)}
              />
            ))}
          </Box>
        ) : null}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
        <Button
          variant="contained"
          disabled={factor === undefined || factor === 1 || next === undefined}
          onClick={() => {
            if (factor === undefined) return;
            onEdit((now) => scaleDesign(now, { factor, ...scaling }, standard));
            onClose();
          }}
        >
          Scale it
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** Errors named for one size. */
const MOST_NAMED = 3;

/** What a size comes to: its sheet, and what fits no longer. */
function OnSize({ before, after }: { before: Solved; after: Solved }) {
  const known = new Set(errorsOf(before).map(({ message }) => message));
  const errors = errorsOf(after);
  const fresh = errors.filter(({ message }) => !known.has(message));
  return (
    <Box component="li" aria-label={after.size} sx={{ display: 'flex', gap: 4, alignItems: 'flex-start' }}>
      {after.problem ? null : (
        <SheetPicture drawing={after.drawing} width={96} height={68} label={`${after.size} as it would be`} />
      )}
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <b>{after.size}</b>
        {errors.length === 0 ? (
          <Typography component="span" sx={{ color: 'success.main', ml: 2 }}>
            fits
          </Typography>
        ) : null}
        {errors.length > 0 && fresh.length === 0 ? (
          <Typography sx={{ color: 'text.secondary' }}>Nothing new; what did not fit before still does not.</Typography>
        ) : null}
        {fresh.slice(0, MOST_NAMED).map((finding, i) => (
          <Typography key={i} component="div">
            <FindingMark finding={finding} />
          </Typography>
        ))}
        {fresh.length > MOST_NAMED ? <Typography>and {fresh.length - MOST_NAMED} more</Typography> : null}
      </Box>
    </Box>
  );
}
