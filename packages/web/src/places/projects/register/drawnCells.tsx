import Box from '@mui/material/Box';
import { toMend } from '@mendrel/core';
import { SheetPicture } from '../../../paper/SheetPicture';
import { useDrawn } from '../drawnSheets';
import type { ProjectSheet } from '../sheetDrawings';
import { SheetState } from '../SheetState';
import { PICTURE } from './pictureSizes';

function Picture({ sheet, size }: { sheet: ProjectSheet; size: keyof typeof PICTURE }) {
  const result = useDrawn(sheet);
  if ('problem' in result) return null;
  return (
    <Box sx={{ height: '100%', display: 'flex', alignItems: 'center' }}>
      <SheetPicture
        drawing={result.drawing}
        {...PICTURE[size]}
        label={`Picture of ${result.sheet.number}`}
        least={0.5}
      />
    </Box>
  );
}

/** A sheet as it looks, in a row of usual height. */
export const SmallPicture = ({ sheet }: { sheet: ProjectSheet }) => <Picture sheet={sheet} size="small" />;

/** A sheet large enough to be told from others. */
export const LargePicture = ({ sheet }: { sheet: ProjectSheet }) => <Picture sheet={sheet} size="large" />;

/** What has to be mended on a sheet. */
export const Findings = ({ sheet }: { sheet: ProjectSheet }) => <SheetState findings={toMend(useDrawn(sheet))} />;
