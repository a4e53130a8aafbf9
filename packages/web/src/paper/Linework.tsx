import { memo, useMemo } from 'react';
import type { Drawing } from '@mendrel/core';
import { svgMarkup } from '@mendrel/formats/svg';
import { emPerCapital, useTypefaces } from '../app/typefaces';

/** The items of a drawing as SVG, written by the same writer as SVG files; it escapes what it writes. */
export const Linework = memo(function Linework({ drawing, ink = 'currentColor' }: { drawing: Drawing; ink?: string }) {
  const typefaces = useTypefaces();
  const markup = useMemo(
    () => svgMarkup(drawing.items, drawing.height, { emPerCapital: emPerCapital(typefaces), ink }),
    [drawing, typefaces, ink],
  );
  return <g dangerouslySetInnerHTML={{ __html: markup }} />;
});
