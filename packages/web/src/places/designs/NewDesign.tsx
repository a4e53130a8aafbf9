import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { DesignSummary } from '@mendrel/contract';
import type { Design, OfficeStandard, SheetSize, Starter, WorkingUnit } from '@mendrel/core';
import { sizesOf, starterDesign, STARTERS, usualOrientation } from '@mendrel/core';
import { Card, OwnStarterCard, StarterCard } from './StarterCards';

/** What a new design is made from: a starter with sizes, or a copy of a design that is there, for sizes of its own where it is a starter. */
export type NewDesignChoice = { document: Design } | { copyOf: string; name: string; sizes?: Design['sizes'] };

interface Props {
  designs: readonly DesignSummary[];
  standard: OfficeStandard;
  onStart: (choice: NewDesignChoice) => void;
  onClose: () => void;
}

/** The size a new design begins with; others are ticked, or added later. */
const FIRST_SIZES = { mm: ['ISO A1'], in: ['ARCH D'] } as const;

/** Starts a design: from a starter solved for the chosen sheet sizes, from an existing design, or by way of intake. */
export function NewDesign({ designs, standard, onStart, onClose }: Props) {
  const [name, setName] = useState('New design');
  const own = designs.filter(({ starter }) => starter);
  const [key, setKey] = useState<Starter['key'] | 'copy' | OwnKey>(own[0] ? ownKey(own[0].id) : 'right-strip');
  const [unit, setUnit] = useState<WorkingUnit>(standard.unit);
  const [copyOf, setCopyOf] = useState(designs[0]?.id ?? '');
  const all = sizesOf(standard);
  const [chosen, setChosen] = useState<readonly string[]>(own[0]?.sizes ?? FIRST_SIZES[standard.unit]);
  const sizes = all.filter((each) => chosen.includes(each.name));
  const fromOwn = own.find(({ id }) => ownKey(id) === key);
  const ready = name.trim() !== '' && (key === 'copy' ? copyOf !== '' : sizes.length > 0);
  const start = (): void => {
    if (!ready) return;
    if (fromOwn) onStart({ copyOf: fromOwn.id, name: name.trim(), sizes: servedBy(sizes) });
    else if (key === 'copy') onStart({ copyOf, name: name.trim() });
    else if (isShipped(key)) onStart({ document: starterDesign(key, name.trim(), unit, sizes, standard) });
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="new-design-title" fullWidth maxWidth="md">
      <DialogTitle id="new-design-title">New design</DialogTitle>
      <DialogContent>
        <Box
          component="form"
          id="new-design"
          onSubmit={(event) => {
            event.preventDefault();
            start();
          }}
          sx={{ display: 'flex', flexDirection: 'column', gap: 4, pt: 2 }}
        >
          <Box sx={{ display: 'flex', gap: 3 }}>
            <TextField
              label="Name"
              value={name}
              autoFocus
              onFocus={(event) => event.target.select()}
              onChange={(event) => setName(event.target.value)}
              slotProps={{ htmlInput: { maxLength: 120 } }}
            />
            {fromOwn ? null : (
              <ToggleButtonGroup
                size="small"
                exclusive
                color="primary"
                value={unit}
                aria-label="Unit of the design"
                onChange={(_event, next: WorkingUnit | null) => {
                  if (!next) return;
                  setUnit(next);
                  setChosen(FIRST_SIZES[next]);
                }}
              >
                <ToggleButton value="mm">mm</ToggleButton>
                <ToggleButton value="in">inches</ToggleButton>
              </ToggleButtonGroup>
            )}
          </Box>
          {key === 'copy' ? (
            <TextField select label="Copy of" value={copyOf} onChange={(event) => setCopyOf(event.target.value)}>
              {designs.map((design) => (
                <MenuItem key={design.id} value={design.id}>
                  {design.name}
                </MenuItem>
              ))}
            </TextField>
          ) : (
            <SizeChoice all={all} unit={unit} chosen={chosen} onChoose={setChosen} />
          )}
          <Box role="radiogroup" aria-label="Start from" sx={GRID}>
            {own.map((starter) => (
              <OwnStarterCard
                key={starter.id}
                starter={starter}
                standard={standard}
                chosen={key === ownKey(starter.id)}
                onChoose={() => {
                  setKey(ownKey(starter.id));
                  setChosen(starter.sizes);
                }}
              />
            ))}
            {STARTERS.map((starter) => (
              <StarterCard
                key={starter.key}
                starter={starter}
                unit={unit}
                sizes={sizes}
                standard={standard}
                chosen={key === starter.key}
                onChoose={() => {
                  setKey(starter.key);
                  // Sizes of a starter of the office need not be those of the unit.
                  if (fromOwn) setChosen(FIRST_SIZES[unit]);
                }}
              />
            ))}
            <Card name="An existing design" chosen={key === 'copy'} onChoose={() => setKey('copy')}>
              <Typography variant="caption" sx={{ color: 'text.secondary' }}>
                A copy to go on from. A legacy drawing becomes a design in{' '}
                <Link component={RouterLink} to="/intake">
                  Intake
                </Link>
                .
              </Typography>
            </Card>
          </Box>
        </Box>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
        <Button type="submit" form="new-design" variant="contained" disabled={!ready}>
          Create design
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** A design of the office among what can be begun from. */
type OwnKey = `own ${string}`;
const ownKey = (id: string): OwnKey => `own ${id}`;
const isShipped = (key: string): key is Starter['key'] => STARTERS.some((each) => each.key === key);

const servedBy = (sizes: readonly SheetSize[]): Design['sizes'] =>
  sizes.map((size) => ({ size: size.name, orientation: usualOrientation(size) }));

const GRID = { display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 3 } as const;

function SizeChoice({
  all,
  unit,
  chosen,
  onChoose,
}: {
  all: readonly SheetSize[];
  unit: WorkingUnit;
  chosen: readonly string[];
  onChoose: (names: readonly string[]) => void;
}) {
  const [every, setEvery] = useState(false);
  const near = all.filter(
    (each) => every || chosen.includes(each.name) || (each.unit === unit && Math.min(each.width, each.height) >= 200),
  );
  return (
    <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
      <Typography component="legend" sx={{ color: 'text.secondary' }}>
        Sheet sizes it serves
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, maxHeight: 132, overflow: 'auto' }}>
        {near.map(({ name }) => (
          <FormControlLabel
            key={name}
            label={name}
            control={
              <Checkbox
                size="small"
                checked={chosen.includes(name)}
                onChange={(event) =>
                  onChoose(event.target.checked ? [...chosen, name] : chosen.filter((each) => each !== name))
                }
              />
            }
          />
        ))}
      </Box>
      {every ? null : (
        <Button size="small" onClick={() => setEvery(true)}>
          Show every size
        </Button>
      )}
    </Box>
  );
}
