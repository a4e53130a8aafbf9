import { basename, extname } from 'node:path';
import type { OfficeStandard, SheetLayout, Typefaces, Values } from '@mendrel/core';
import {
  composeSheet,
  convertSpaces,
  emPerCapital,
  exportLayers,
  frameOf,
  IntakeError,
  LayoutError,
  SHEET_SIZES,
  solveDesign,
  frameRuleFor,
  STARTING_STANDARD,
  UnknownLetteringError,
  UnknownSizeError,
  zonesOf,
} from '@mendrel/core';
import { shippedFontFiles } from '@mendrel/fonts/files';
import { SHIPPED_TYPEFACES } from '@mendrel/fonts';
import { DxfError, readTypefaces, writeDxf, writeSvg } from '@mendrel/formats';
import { LegacyFileError, readLegacyFile } from '@mendrel/formats/legacy';
import { CommandError, needed, readArguments } from './arguments';
import { readBytes, readDesignFile, readValuesFile, writeFile } from './files';

/** Where the command writes what it has to say. */
export interface Output {
  out: (text: string) => void;
  error: (text: string) => void;
}

const HELP = `mendrel: title blocks without the server

  mendrel sizes [--json]
  mendrel convert FILE.dxf|.svg|.pdf --out DESIGN.json --report REPORT.json
  mendrel solve DESIGN.json --size "ISO A3" [--values VALUES.json] --json OUT.json
  mendrel draw DESIGN.json --size "ISO A3" [--values VALUES.json] --out SHEET.pdf|.svg|.dxf`;

const standard: OfficeStandard = STARTING_STANDARD;

/** Runs one command. @returns the exit code: 0, or 1 after one line on the error output */
export async function runCommand(words: readonly string[], output: Output): Promise<number> {
  const [command, ...rest] = words;
  try {
    switch (command) {
      case 'sizes':
        sizes(rest, output);
        return 0;
      case 'convert':
        await convert(rest);
        return 0;
      case 'solve':
        solve(rest);
        return 0;
      case 'draw':
        await draw(rest);
        return 0;
      case undefined:
      case 'help':
      case '--help':
        output.out(HELP);
        return 0;
      default:
        throw new CommandError(`there is no command "${command}"; there are sizes, convert, solve and draw`);
    }
  } catch (error) {
    output.error(`mendrel: ${lineOf(error)}`);
    return 1;
  }
}

const KNOWN_ERRORS = [
  CommandError,
  DxfError,
  IntakeError,
  LegacyFileError,
  LayoutError,
  UnknownSizeError,
  UnknownLetteringError,
];

function lineOf(error: unknown): string {
  if (!(error instanceof Error)) return String(error);
  const message = error.message.replace(/\s*\n\s*/g, ' ');
  const where = error instanceof LayoutError ? `${error.where}: ` : '';
  return KNOWN_ERRORS.some((kind) => error instanceof kind)
    ? `${where}${message}`
    : `this should not happen: ${message}`;
}

function sizes(words: readonly string[], output: Output): void {
  const read = readArguments(words, { options: [], flags: ['json'] });
  const list = SHEET_SIZES.map((size) => {
    const rule = frameRuleFor(size, standard.frameRules);
    const frame = frameOf(size, rule.margins);
    const zones = rule.zones.shown ? zonesOf(size, frame, rule.zones) : { columns: [], rows: [] };
    return {
      name: size.name,
      width: tidy(size.width),
      height: tidy(size.height),
      frame: { x: tidy(frame.x), y: tidy(frame.y), width: tidy(frame.width), height: tidy(frame.height) },
      zones: { columns: zones.columns.length, rows: zones.rows.length },
    };
  });
  if (read.flags.has('json')) output.out(JSON.stringify(list, null, 2));
  else for (const size of list) output.out(`${size.name.padEnd(10)} ${size.width} x ${size.height} mm`);
}

const tidy = (value: number): number => Math.round(value * 1e6) / 1e6;

function oneFile(positional: readonly string[], what: string): string {
  const [file, extra] = positional;
  if (file === undefined) throw new CommandError(`${what} is missing`);
  if (extra !== undefined) throw new CommandError(`"${extra}" is one file too many`);
  return file;
}

async function convert(words: readonly string[]): Promise<void> {
  const read = readArguments(words, { options: ['out', 'report'], flags: [] });
  const file = oneFile(read.positional, 'the drawing');
  const out = needed(read, 'out');
  const report = needed(read, 'report');
  const bytes = readBytes(file);
  try {
    const name = basename(file, extname(file));
    const result = convertSpaces(await readLegacyFile(bytes), name, { standard, typefaces: typefaces().faces });
    writeFile(out, `${JSON.stringify(result.design, null, 2)}\n`);
    writeFile(report, `${JSON.stringify(result.report, null, 2)}\n`);
  } catch (error) {
    if (error instanceof DxfError) throw new CommandError(`${file}, ${error.message}`);
    if (error instanceof IntakeError || error instanceof LegacyFileError)
      throw new CommandError(`${file}: ${error.message}`);
    throw error;
  }
}

function typefaces(): { files: Map<string, Uint8Array>; faces: Typefaces } {
  const files = shippedFontFiles();
  return { files, faces: readTypefaces(files) };
}

interface SolvedFile {
  layout: SheetLayout;
  values: Values;
  design: ReturnType<typeof readDesignFile>;
  files: Map<string, Uint8Array>;
  faces: Typefaces;
}

function solveFile(words: readonly string[], own: string): SolvedFile & { target: string; file: string } {
  const read = readArguments(words, { options: ['size', 'values', own], flags: [] });
  const file = oneFile(read.positional, 'the design');
  const size = needed(read, 'size');
  const target = needed(read, own);
  const design = readDesignFile(file);
  const valuesFile = read.options.get('values');
  const values = valuesFile === undefined ? {} : readValuesFile(valuesFile);
  const { files, faces } = typefaces();
  let layout: SheetLayout;
  try {
    layout = solveDesign(design, { size, values, standard, typefaces: faces });
  } catch (error) {
    if (error instanceof LayoutError) throw new CommandError(`${file}: ${error.where}: ${error.message}`);
    if (error instanceof UnknownLetteringError) throw new CommandError(`${file}: ${error.message}`);
    throw error;
  }
  return { layout, values, design, files, faces, target, file };
}

function solve(words: readonly string[]): void {
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
}

async function draw(words: readonly string[]): Promise<void> {
  const { layout, values, design, files, faces, target } = solveFile(words, 'out');
  const drawing = composeSheet(design, layout, { standard, typefaces: faces, values });
  const em = emPerCapital(faces);
  const kind = extname(target).toLowerCase();
  if (kind === '.svg') {
    const embedded = new Map([...files].map(([name, bytes]) => [name, Buffer.from(bytes).toString('base64')]));
    writeFile(target, writeSvg(drawing, { emPerCapital: em }, embedded));
  } else if (kind === '.dxf') {
    const fontFile = (name: string): string => SHIPPED_TYPEFACES.find((face) => face.name === name)?.file ?? 'txt';
    const layers = exportLayers(standard);
    writeFile(target, writeDxf(drawing, { blockName: design.name, layers, fontFile }));
  } else if (kind === '.pdf') {
    // The PDF writer is large and slow to load, so that the other commands do without it.
    const { writePdf } = await import('@mendrel/formats/pdf');
    writeFile(target, await writePdf([drawing], { fonts: files, emPerCapital: em, title: design.name }));
  } else throw new CommandError(`--out ${target}: write to a file that ends in .pdf, .svg or .dxf`);
}
