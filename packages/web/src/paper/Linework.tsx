import { memo, useMemo } from 'react';
import type { Drawing, Item } from '@mendrel/core';
import { emPerCapital } from '@mendrel/core';
import { svgMarkup, svgPicture } from '@mendrel/formats/svg';
import { useTypefaces } from '../app/typefaces';

/**
 * The items of a drawing as SVG, written by the same writer as SVG files; it escapes what it writes. The frame is kept
 * apart from the rest, since it stays the same while a title block is being edited.
 */
export const Linework = memo(function Linework({ drawing, ink = 'currentColor' }: { drawing: Drawing; ink?: string }) {
  const typefaces = useTypefaces();
  const [frame, rest] = useMemo(() => {
    const options = { emPerCapital: emPerCapital(typefaces), ink };
    const ofFrame = (item: Item): boolean => item.part === 'frame';
    return [
      svgPicture(drawing.items.filter(ofFrame), drawing.height, options),
      svgMarkup(
        drawing.items.filter((item) => !ofFrame(item)),
        drawing.height,
        options,
      ),
    ];
  }, [drawing, typefaces, ink]);
  return (
    <>
      <Markup svg={frame} />
      <Markup svg={rest} />
    </>
  );
});

/** SVG text in the document; equal text is left alone. */
const Markup = memo(function Markup({ svg }: { svg: string }) {
  return <g dangerouslySetInnerHTML={{ __html: svg }} />;
});
