import { basename, extname } from 'node:path';
import type { OfficeStandard, SheetLayout, Typefaces, Values } from '@mendrel/core';
import {
  composeSheet,
  emPerCapital,
  exportLayers,
  frameOf,
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
import { FontFileError, readTypefaces, writeDxf, writeSvg } from '@mendrel/formats';
import { PictureError } from '@mendrel/formats/pictures';
import type { ReadingLimits, ReadingResult, ReadingTask } from '@mendrel/reading';
import { READING_LIMITS, ReadingLimitError } from '@mendrel/reading';
import { version } from '../../../package.json';
import { CommandError, countOf, needed, readArguments } from './arguments';
import { readBytes, readDesignFile, readValuesFile, refuseSameFile, writeFile } from './files';

/** Where the command writes what it has to say. */
export interface Output {
  out: (text: string) => void;
  error: (text: string) => void;
}

const HELP = `mendrel: title blocks without the server

  mendrel sizes [--json]
  mendrel convert FILE.dxf|.svg|.pdf --out DESIGN.json --report REPORT.json [--seconds N] [--megabytes N]
  mendrel solve DESIGN.json --size "ISO A3" [--values VALUES.json] --json OUT.json
  mendrel draw DESIGN.json --size "ISO A3" [--values VALUES.json] --out SHEET.pdf|.svg|.dxf
  mendrel --help | --version

convert gives a drawing up that takes more than ${READING_LIMITS.seconds} seconds or ${READING_LIMITS.megabytes} MB of memory; --seconds and --megabytes
change that.`;

const standard: OfficeStandard = STARTING_STANDARD;

/** Reads a drawing within limits, wherever that runs. */
export type ReadDrawing = (task: ReadingTask, limits: ReadingLimits) => Promise<ReadingResult>;

/** Runs one command. @returns the exit code: 0, or 1 after one line on the error output */
export async function runCommand(words: readonly string[], output: Output, read: ReadDrawing): Promise<number> {
  const [command, ...rest] = words;
  try {
    if (rest.some((word) => word === '--help' || word === '-h')) {
      output.out(HELP);
      return 0;
    }
    switch (command) {
      case 'sizes':
        sizes(rest, output);
        return 0;
      case 'convert':
        await convert(rest, read);
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
      case '-h':
        output.out(HELP);
        return 0;
      case '--version':
      case 'version':
        output.out(version);
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
  ReadingLimitError,
  LayoutError,
  UnknownSizeError,
  UnknownLetteringError,
  PictureError,
  FontFileError,
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

async function convert(words: readonly string[], readDrawing: ReadDrawing): Promise<void> {
  const read = readArguments(words, { options: ['out', 'report', 'seconds', 'megabytes'], flags: [] });
  const file = oneFile(read.positional, 'the drawing');
  const out = needed(read, 'out');
  const report = needed(read, 'report');
  const limits = {
    seconds: countOf(read, 'seconds', READING_LIMITS.seconds),
    megabytes: countOf(read, 'megabytes', READING_LIMITS.megabytes),
  };
  refuseSameFile([file], [out, report]);
  const bytes = readBytes(file);
  const name = basename(file, extname(file));
  let result: ReadingResult;
  try {
    result = await readDrawing({ kind: 'drawing', bytes, name, by: { standard } }, limits);
  } catch (error) {
    throw error instanceof ReadingLimitError
      ? new CommandError(`${file}: ${error.message}; --${error.limit} sets another limit`)
      : error;
  }
  if ('unreadable' in result)
    // What is told of a line begins with it.
    throw new CommandError(`${file}${result.line === undefined ? ': ' : ', '}${result.unreadable}`);
  if (!('conversion' in result))
    throw new Error('failed' in result ? result.failed : 'a drawing was asked for, and something else was answered');
  writeFile(out, `${JSON.stringify(result.conversion.design, null, 2)}\n`);
  writeFile(report, `${JSON.stringify(result.conversion.report, null, 2)}\n`);
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
  const valuesFile = read.options.get('values');
  refuseSameFile([file, ...(valuesFile === undefined ? [] : [valuesFile])], [target]);
  const design = readDesignFile(file);
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
