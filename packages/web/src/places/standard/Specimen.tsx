import { useMemo } from 'react';
import Box from '@mui/material/Box';
import type { Drawing } from '@mendrel/core';
import { emPerCapital } from '@mendrel/core';
import { svgMarkup } from '@mendrel/formats/svg';
import { useTypefaces } from '../../app/typefaces';

interface Props {
  drawing: Drawing;
  label: string;
  /** At true size, by the reference pixel of 1/96 in; otherwise as wide as there is room. */
  trueSize?: boolean;
  /** Without the paper's ground and edge. */
  bare?: boolean;
}

/** A drawn specimen on paper. */
export function Specimen({ drawing, label, trueSize = false, bare = false }: Props) {
  const typefaces = useTypefaces();
  const markup = useMemo(
    () => svgMarkup(drawing.items, drawing.height, { emPerCapital: emPerCapital(typefaces), ink: 'currentColor' }),
    [drawing, typefaces],
  );
  const size = trueSize ? { width: `${drawing.width}mm`, height: `${drawing.height}mm` } : { width: '100%' };
  return (
    <Box
      component="svg"
      role="img"
      aria-label={label}
      viewBox={`0 0 ${drawing.width} ${drawing.height}`}
      style={{ '--least-line': trueSize ? '0.1px' : `${drawing.width / 420}px` } as React.CSSProperties}
      sx={{
        display: 'block',
        ...size,
        maxWidth: 'none',
        ...(bare
          ? { color: 'text.primary' }
          : { bgcolor: 'office.sheet', color: 'office.sheetInk', boxShadow: '0 0 0 1px rgba(128,128,128,0.5)' }),
      }}
      dangerouslySetInnerHTML={{ __html: markup }}
    />
  );
}
