import { memo, useEffect, useRef } from 'react';
import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import type { Drawing, ImageItem, TextItem } from '@mendrel/core';
import { picturePaths } from '@mendrel/formats/svg';

interface Props {
  drawing: Drawing;
  width: number;
  height: number;
  label: string;
  /** Least line on screen in pixels: heavier than on paper, so that small pictures stay legible. */
  least?: number;
}

/** Texts lower than this on screen, in pixels, are left out; lower than twice this they are bars. */
const LEAST_TEXT = 1.2;

/**
 * A small picture of a sheet, drawn by the paths that the SVG writer writes: its lines, its fills and its larger texts as
 * bars. It is painted rather than built of elements, since it is painted again and again while a design is edited.
 */
export const SheetPicture = memo(function SheetPicture({ drawing, width, height, label, least = 0.7 }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { palette } = useTheme();
  const scale = Math.min(width / drawing.width, height / drawing.height);
  // The ink is the same in light and dark, as the paper is; asking the element for it would lay the page out each time.
  const ink = palette.office.sheetInk;
  useEffect(() => {
    if (canvas.current) paint(canvas.current, drawing, scale, least, ink);
  }, [drawing, scale, least, ink]);
  return (
    <Box
      component="canvas"
      ref={canvas}
      role="img"
      aria-label={label}
      style={{ width: drawing.width * scale, height: drawing.height * scale }}
      sx={{
        display: 'block',
        flex: 'none',
        bgcolor: 'office.sheet',
        boxShadow: '0 0 0 1px rgba(0,0,0,0.18)',
      }}
    />
  );
});

function paint(canvas: HTMLCanvasElement, drawing: Drawing, scale: number, least: number, ink: string): void {
  const context = canvas.getContext('2d');
  if (!context) return;
  const dots = window.devicePixelRatio || 1;
  const width = Math.max(1, Math.round(drawing.width * scale * dots));
  const height = Math.max(1, Math.round(drawing.height * scale * dots));
  // Setting the size clears the canvas too, but has the page around it laid out anew.
  if (canvas.width !== width || canvas.height !== height) {
    canvas.width = width;
    canvas.height = height;
  } else {
    context.resetTransform();
    context.clearRect(0, 0, width, height);
  }
  context.scale(scale * dots, scale * dots);
  const { lines, areas, rest } = picturePaths(drawing.items, drawing.height);
  for (const { data, colour } of areas) {
    context.fillStyle = colour ?? ink;
    context.fill(new Path2D(data), 'evenodd');
  }
  for (const { data, width, dashes, colour } of lines) {
    context.strokeStyle = colour ?? ink;
    context.lineWidth = Math.max(width, least / scale);
    context.setLineDash(dashes ?? []);
    context.stroke(new Path2D(data));
  }
  for (const item of rest) {
    if (item.kind === 'image') paintImage(context, item, drawing.height);
    else if (item.kind === 'text' && item.height * scale > LEAST_TEXT) paintText(context, item, drawing.height, ink);
  }
}

/** A text as a bar of its width and two thirds of its height, which is what the eye makes of it at this size. */
function paintText(context: CanvasRenderingContext2D, item: TextItem, height: number, ink: string): void {
  context.save();
  context.translate(item.at.x, height - item.at.y);
  context.rotate((-item.rotation * Math.PI) / 180);
  context.fillStyle = item.colour ?? ink;
  context.globalAlpha = 0.75;
  context.fillRect(0, -item.height * 0.8, item.width, item.height * 0.65);
  context.restore();
}

/** The place of an image, as a grey area; unpacking it for each small picture would cost more than it shows. */
function paintImage(context: CanvasRenderingContext2D, item: ImageItem, height: number): void {
  const { x, y, width, height: tall } = item.clip ?? item;
  context.save();
  context.globalAlpha = 0.25;
  context.fillRect(x, height - y - tall, width, tall);
  context.restore();
}
