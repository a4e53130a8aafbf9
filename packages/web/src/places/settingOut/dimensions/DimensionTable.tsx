import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import type { Design } from '@mendrel/core';
import { clearDimension, dimensionUses, removeDimension, renameDimension, setDimension } from '@mendrel/core';
import { Typed } from '../../../app/Typed';
import { lengthWords } from '../paper/dividers';
import type { Solved } from '../../../paper/useSolved';
import { asFormula } from '../../../app/asFormula';
import { Sign } from '../../../app/FindingMark';

interface Props {
  design: Design;
  solved: readonly Solved[];
  onEdit: (edit: (design: Design) => Design) => void;
  onClose: () => void;
}

/** All dimensions: their names, the general formula, what each size comes to, what they depend on and what uses them. */
export function DimensionTable({ design, solved, onEdit, onClose }: Props) {
  const uses = dimensionUses(design);
  return (
    <Dialog open onClose={onClose} aria-labelledby="dimension-table-title" fullWidth maxWidth="xl">
      <DialogTitle id="dimension-table-title">Dimensions</DialogTitle>
      <DialogContent>
        {design.dimensions.length === 0 ? (
          <Typography sx={{ color: 'text.secondary' }}>
            None yet. Add one beside the outline, or turn a typed length into one.
          </Typography>
        ) : null}
        <Box
          component="table"
          sx={{
            borderCollapse: 'collapse',
            fontSize: '0.8125rem',
            fontVariantNumeric: 'tabular-nums',
            '& td, & th': { p: 1.5, textAlign: 'left', verticalAlign: 'top', borderBottom: 1, borderColor: 'divider' },
            '& th': { fontWeight: 600 },
          }}
        >
          <thead>
            <tr>
              <th scope="col">Name</th>
              <th scope="col">For all sizes</th>
              {design.sizes.map(({ size }) => (
                <th key={size} scope="col">
                  {size}
                </th>
              ))}
              <th scope="col">Depends on</th>
              <th scope="col">Used by</th>
              <th>
                <Box component="span" sx={{ position: 'absolute', width: 1, height: 1, overflow: 'hidden' }}>
                  Remove
                </Box>
              </th>
            </tr>
          </thead>
          <tbody>
            {design.dimensions.map(({ name, formula, bySize }) => {
              const use = uses.find((each) => each.name === name);
              return (
                <tr key={name}>
                  <td>
                    <Box sx={{ width: 130 }}>
                      <Typed
                        label="Name"
                        required
                        value={name}
                        onSet={(to) => onEdit((now) => renameDimension(now, name, to))}
                      />
                    </Box>
                  </td>
                  <td>
                    <Box sx={{ width: 170 }}>
                      <Typed
                        label={`${name} in general`}
                        required
                        value={formula}
                        read={(text) => asFormula(text, design.unit)}
                        onSet={(text) => onEdit((now) => setDimension(now, name, text))}
                      />
                    </Box>
                  </td>
                  {design.sizes.map(({ size }) => {
                    const own = bySize?.[size];
                    const found = solved.find((each) => each.size === size);
                    const value = found && !found.problem ? found.layout.dimensions.get(name) : undefined;
                    return (
                      <td key={size}>
                        <Box sx={{ fontWeight: own === undefined ? 400 : 600, whiteSpace: 'nowrap' }}>
                          {value === undefined ? '—' : lengthWords(value, design.unit)}
                        </Box>
                        {own === undefined ? null : (
                          <Button
                            size="small"
                            color="inherit"
                            title={`Its own value there is ${own}`}
                            aria-label={`Remove own value of ${name} on ${size}`}
                            onClick={() => onEdit((now) => clearDimension(now, name, size))}
                            sx={{ minWidth: 0, px: 1 }}
                          >
                            Remove own
                          </Button>
                        )}
                      </td>
                    );
                  })}
                  <td>{use?.dependsOn.join(', ') || '—'}</td>
                  <td>
                    {use && use.usedBy.length > 0 ? (
                      <>
                        {use.usedBy.slice(0, 3).join(', ')}
                        {use.usedBy.length > 3 ? ` and ${use.usedBy.length - 3} more` : ''}
                      </>
                    ) : (
                      <Box component="span" sx={{ color: 'warning.main' }}>
                        <Sign weight="gap" /> unused
                      </Box>
                    )}
                  </td>
                  <td>
                    <Button
                      size="small"
                      color="inherit"
                      aria-label={`Remove ${name}`}
                      onClick={() => onEdit((now) => removeDimension(now, name))}
                    >
                      Remove
                    </Button>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </Box>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}
