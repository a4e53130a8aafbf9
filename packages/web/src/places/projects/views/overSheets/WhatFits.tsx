import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { counted } from '@mendrel/core';
import { PlainTable } from '../../../../app/PlainTable';
import type { ArrangeAnswer } from './arrangeTask';

interface Props {
  fits: ArrangeAnswer['fits'];
  views: number;
  /** The size of the sheets that are arranged: its scales can be taken. */
  size: string;
  scale: string | undefined;
  onScale: (scale: string) => void;
}

/** How many sheets of each size all views take at each scale. */
export function WhatFits({ fits, views, size, scale, onScale }: Props) {
  const all = fits[0]?.needed.map((each) => each.scale) ?? [];
  const isSome = (i: number): boolean => fits.some(({ needed }) => needed[i]?.sheets !== undefined);
  // Scales at which no size holds all of them say nothing.
  const scales = all.filter((_scale, i) => isSome(i));
  if (scales.length === 0)
    return <Typography>At no scale of the list does a sheet of any size hold the largest of these views.</Typography>;
  return (
    <Box sx={{ overflow: 'auto' }}>
      <Typography sx={{ color: 'text.secondary', mb: 3 }}>
        How many sheets {counted(views, 'view')} take, all at the same scale. Choose one of {size} to arrange them so.
        {scales.length < all.length
          ? ` At ${all.find((_scale, i) => !isSome(i))} and the like no sheet holds them all.`
          : ''}
      </Typography>
      <PlainTable caption="Sheets needed by scale and size" headings={['Scale', ...fits.map((each) => each.size)]}>
        {scales.map((each) => (
          <tr key={each}>
            <th scope="row">{each}</th>
            {fits.map(({ size: of, needed }) => {
              const { sheets, tooLarge = [] } = needed.find((row) => row.scale === each) ?? {};
              const words = sheets === undefined ? 'too large' : String(sheets);
              const why = `${tooLarge.slice(0, 3).join(', ')}${tooLarge.length > 3 ? ` and ${tooLarge.length - 3} more` : ''}`;
              return (
                <td key={of}>
                  {of === size && sheets !== undefined ? (
                    <Button
                      size="small"
                      variant={each === scale ? 'contained' : 'outlined'}
                      aria-label={`${counted(sheets, 'sheet')} at ${each}`}
                      onClick={() => onScale(each)}
                    >
                      {words}
                    </Button>
                  ) : (
                    <Box
                      component="span"
                      {...(sheets === undefined ? { title: `Too large for a sheet: ${why}` } : {})}
                      sx={{ color: sheets === undefined ? 'text.secondary' : 'text.primary' }}
                    >
                      {words}
                    </Box>
                  )}
                </td>
              );
            })}
          </tr>
        ))}
      </PlainTable>
    </Box>
  );
}
