import { writeFile } from '../files';
import type { Command } from './command';
import { solveFile } from './solveFile';
import { tidy } from './tidy';

/** Solves a design for one size and writes cells, texts and findings. */
export const solve: Command = (words) => {
  const { layout, target } = solveFile(words, 'json');
  const rect = ({ x, y, width, height }: { x: number; y: number; width: number; height: number }) => ({
    x: tidy(x),
    y: tidy(y),
    width: tidy(width),
    height: tidy(height),
  });
  const solved = {
    sheet: { name: layout.sheet.name, width: layout.sheet.width, height: layout.sheet.height },
    frame: rect(layout.frame),
    drawingArea: rect(layout.drawingArea),
    cells: layout.cells
      .filter((cell) => !cell.divided && !layout.hidden.has(cell.id))
      .map((cell) => ({ id: cell.id, name: cell.name, ...rect(cell) })),
    texts: layout.texts.map((text) => ({
      text: text.text,
      cell: text.cell,
      role: text.role,
      x: tidy(text.x),
      y: tidy(text.y),
      height: text.height,
      width: tidy(text.width),
      rotation: text.rotation,
      lines: text.lines.map((line) => line.text),
      fit: text.fit,
      by: tidy(text.by),
    })),
    findings: layout.findings,
  };
  writeFile(target, `${JSON.stringify(solved, null, 2)}\n`);
};
