import { useLayoutEffect, useRef, useState } from 'react';
import { styled, useTheme } from '@mui/material/styles';
import type { Axis, Design, OfficeStandard, TriedOn } from '@mendrel/core';
import { emPerCapital } from '@mendrel/core';
import { useAppSelector } from '../../../app/store';
import { useTypefaces } from '../../../app/typefaces';
import type { OverlayView } from '../../../paper/Paper';
import { clearedCanvas, paintDrawing } from '../../../paper/paintDrawing';
import { unpackedImage } from '../../../paper/unpackedImages';
import type { EditScope, Preview } from '../settingOutSlice';
import type { Good } from '../../../paper/useSolved';
import { solvedOnce } from '../../../paper/useSolved';
import type { WorkedDivision } from './dividers';
import { countsFor, lengthWords, standsAt, trackOf, workedDivisions } from './dividers';
import { edgePlaces } from './edgePlaces';
import type { BesideLines, EdgeColours } from './paintEdge';
import { paintBeside, paintEdge } from './paintEdge';
import { marksOf, selectedOf, spillGrounds } from './marks';
import { paintMarks } from './paintMarks';
import { SaidAtRest } from './SaidAtRest';

interface Props {
  view: OverlayView;
  /** The sheet as it was before the drag; shown as long as a dragged one cannot be solved. */
  before: Good;
  tried: TriedOn;
  standard: OfficeStandard;
  scope: EditScope;
  selection: readonly string[];
}

/**
 * The sheet while a divider is dragged: linework, lettering, sizes and handles painted, in place of the elements that show
 * them otherwise. A step of a drag may move everything there is on the paper, and painting all of it costs less than having
 * the page style, place and paint some hundred elements anew.
 */
export function DraggedPaper(props: Props) {
  const preview = useAppSelector((root) => root.settingOut.preview);
  return preview?.held ? <Painted {...props} design={preview.design} held={preview.held} /> : null;
}

function Painted({
  view,
  before,
  tried,
  standard,
  scope,
  selection,
  design,
  held,
}: Props & { design: Preview['design']; held: NonNullable<Preview['held']> }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const typefaces = useTypefaces();
  const ink = useTheme().palette.office.sheetInk;
  const [colours] = useState(edgeColours);
  const [sheetColour] = useState(() => pageColour('office-sheet'));
  const { size } = before;
  const solved = solvedOnce(design, size, tried, standard, typefaces);
  const { layout, drawing } = solved.problem ? before : solved;
  const divisions = workedDivisions(design, layout, selection.at(-1));
  const cell = selectedOf(layout, selection).find((each) => each.id === selection.at(-1));
  const { viewport, size: window } = view;
  const division = divisions.find((each) => each.axis === held.axis);
  const said = division ? saidBeside(design, division, held, size, scope) : [];
  // A canvas is painted outside of React; in the same frame, or it would lag behind what stands over it.
  useLayoutEffect(() => {
    const context = canvas.current && clearedCanvas(canvas.current, window.width, window.height);
    if (!context) return;
    const marks = marksOf(layout, design.unit, selection);
    paintMarks(context, spillGrounds(marks, sheetColour), drawing.height, viewport);
    paintDrawing(context, drawing, {
      viewport,
      ink,
      least: 1,
      emPerCapital: emPerCapital(typefaces),
      image: unpackedImage,
    });
    paintMarks(context, marks, drawing.height, viewport);
    for (const division of divisions) {
      const selectedTrack = cell ? trackOf(division, cell) : undefined;
      const places = edgePlaces(division, view, selectedTrack);
      const sizes = division.lengths.map((length) => lengthWords(length, design.unit));
      const index = division.axis === held.axis ? held.index : undefined;
      paintEdge(context, { places, sizes, selectedTrack, held: index }, colours);
    }
    if (said.length > 0) paintBeside(context, held, window, said, colours);
  });
  return (
    <>
      <Over ref={canvas} aria-hidden style={{ width: window.width, height: window.height }} />
      <SaidAtRest words={said.map((line) => line.map(({ words }) => words).join('')).join(', ')} />
    </>
  );
}

const Over = styled('canvas')({ position: 'absolute', inset: 0, pointerEvents: 'none' });

/** What a dragged divider comes to: the lengths on both sides, and what is special about them or what they count for. */
function saidBeside(
  design: Design,
  division: WorkedDivision,
  { axis, index }: { axis: Axis; index: number },
  size: string,
  scope: EditScope,
): BesideLines {
  const words = (track: number): string => lengthWords(division.lengths[track] ?? 0, design.unit);
  const track = division.cell.division?.[axis][index];
  return [
    [
      { words: words(index), strong: true },
      { words: ' | ' },
      { words: words(index + 1), strong: true },
      { words: ` ${design.unit}` },
    ],
    [{ words: standsAt(division, index) ?? `for ${countsFor(design, track, size, scope)}` }],
  ];
}

/** The colours that labels and handles have on the page now; a canvas knows nothing of the theme. */
function edgeColours(): EdgeColours {
  return {
    leader: pageColour('text-secondary'),
    ground: pageColour('background-paper'),
    line: pageColour('divider'),
    text: pageColour('text-primary'),
    accent: pageColour('primary-main'),
    onAccent: pageColour('primary-contrastText'),
  };
}

/** A colour of the theme as the page has it now, light or dark. */
const pageColour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--mui-palette-${name}`);
