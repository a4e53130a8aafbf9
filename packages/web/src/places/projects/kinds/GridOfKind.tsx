import { useState } from 'react';
import { dequal } from 'dequal/lite';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import type { ProjectKind } from '@mendrel/contract';
import type { Design } from '@mendrel/core';
import { moduleWords } from '@mendrel/core';
import { ModuleGridFields } from '../../../app/ModuleGridFields';

type Modules = NonNullable<ProjectKind['modules']>;

interface Props {
  kind: string;
  /** Null for that of the design. */
  own: ProjectKind['modules'];
  /** What the kind is drawn with, with its own grid where it has one. */
  design: Design | undefined;
  disabled: boolean;
  onSet: (modules: ProjectKind['modules']) => void;
}

/** Sizes of which a count of their own can be typed here. */
const MOST_SIZES = 6;

/** The module grid of a kind of sheet, told in short and changed in a dialog. */
export function GridOfKind({ kind, own, design, disabled, onSet }: Props) {
  const [typed, setTyped] = useState<Modules>();
  if (!design) return null;
  const close = (): void => setTyped(undefined);
  return (
    <>
      <Button
        size="small"
        color="inherit"
        disabled={disabled}
        aria-label={`Module grid of ${kind}: ${moduleWords(design.modules)}`}
        onClick={() => setTyped(design.modules)}
        sx={{ color: own ? 'text.primary' : 'text.secondary', fontWeight: own ? 600 : 400, textAlign: 'left' }}
      >
        {moduleWords(design.modules)}
      </Button>
      {typed ? (
        <Dialog open onClose={close} maxWidth="xs" fullWidth aria-labelledby="grid-of-kind">
          <DialogTitle id="grid-of-kind">Module grid of each {kind}</DialogTitle>
          <DialogContent>
            <Typography sx={{ color: 'text.secondary', mb: 4 }}>
              {own ? 'It has a grid of its own.' : 'It has that of its design until it is changed here.'}
            </Typography>
            <Box sx={{ display: 'flex', flexDirection: 'column', gap: 3.5, pt: 1 }}>
              <ModuleGridFields
                modules={typed}
                unit={design.unit}
                sizes={design.sizes.slice(0, MOST_SIZES).map(({ size }) => size)}
                onSet={setTyped}
              />
            </Box>
          </DialogContent>
          <DialogActions>
            {own ? (
              <Button
                color="inherit"
                sx={{ mr: 'auto' }}
                onClick={() => {
                  onSet(null);
                  close();
                }}
              >
                As in its design
              </Button>
            ) : null}
            <Button color="inherit" onClick={close}>
              Cancel
            </Button>
            <Button
              variant="contained"
              disabled={dequal(typed, design.modules)}
              onClick={() => {
                onSet(typed);
                close();
              }}
            >
              Use this grid
            </Button>
          </DialogActions>
        </Dialog>
      ) : null}
    </>
  );
}
