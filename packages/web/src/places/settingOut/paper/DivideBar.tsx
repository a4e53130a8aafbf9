import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { Axis, Design, Track, TypedDivision, WorkingUnit } from '@mendrel/core';
import { EditError, findCell, parseLength, QuantityError, readDivision, TrackError, writeTracks } from '@mendrel/core';
import { lengthWords } from './dividers';
import { Sign } from '../../../app/FindingMark';

interface Props {
  design: Design;
  cellId: string;
  /** The cell's extent on the sheet shown, in mm. */
  width: number;
  height: number;
  /** How many cells are divided at once; the others are divided as this one. */
  cells: number;
  /** Divides into what was typed. @throws EditError for what cannot be divided so */
  onDivide: (into: TypedDivision) => void;
}

/** A length that was typed, in mm; NaN for a formula. */
function typedLength(text: string, unit: WorkingUnit): number {
  try {
    return parseLength(text, unit);
  } catch (error) {
    if (error instanceof QuantityError) return NaN;
    throw error;
  }
}

/**
 * What the typed tracks come to, in words: `12 + 18 + 10 = 40 mm`.
 * @param length of what is divided, in mm
 * @param gap between the tracks, as it was typed
 */
export function sumInWords(
  design: Design,
  tracks: readonly Track[],
  length: number,
  gap?: string,
): { text: string; wrong: boolean } {
  const unit = design.unit;
  const fixed = tracks.map((track) => ('fixed' in track ? typedLength(track.fixed, unit) : undefined));
  const gaps = gap === undefined ? 0 : typedLength(gap, unit) * (tracks.length - 1);
  if ([...fixed, gaps].some((each) => Number.isNaN(each))) return { text: 'uses dimensions', wrong: false };
  const room = length - gaps;
  const sum = fixed.reduce<number>((total, each) => total + (each ?? 0), 0);
  const shares = tracks.reduce((total, track) => total + ('share' in track ? track.share : 0), 0);
  const left = room - sum;
  const parts = tracks.map((track, i) => {
    const length = fixed[i];
    if (length !== undefined) return lengthWords(length, unit);
    return 'share' in track && left > 0 ? lengthWords((left * track.share) / shares, unit) : '·';
  });
  const roomWords = `${lengthWords(length, unit)} ${unit}`;
  if (gaps > 0) parts.push(`${lengthWords(gaps, unit)} of gaps`);
  if (sum > room + 0.005)
    return { text: `${lengthWords(sum - room, unit)} ${unit} more than the ${roomWords} there are`, wrong: true };
  if (shares === 0 && left > 0.005 && !tracks.some((track) => 'fit' in track)) {
    return {
      text: `${lengthWords(left, unit)} ${unit} of ${roomWords} are left over; make one track *`,
      wrong: true,
    };
  }
  return { text: `${roomWords} = ${parts.join(' + ')}`, wrong: false };
}

/** What a cell is divided into. */
type Kind = Axis | 'grid';

/** One line for dividing: the track list is typed, and its sum is shown while typing. */
export function DivideBar({ design, cellId, width, height, cells, onDivide }: Props) {
  const division = findCell(design, cellId)?.cell.division;
  const own: Kind =
    !division || division.columns.length === 1 ? 'rows' : division.rows.length === 1 ? 'columns' : 'grid';
  const [kind, setKind] = useState<Kind>(own);
  const written = (axis: Axis): string => writeTracks(division?.[axis] ?? [], design.unit, division?.gaps?.[axis]);
  const known =
    !division || own !== kind ? '' : kind === 'grid' ? `${written('columns')} by ${written('rows')}` : written(kind);
  const [typed, setTyped] = useState<string>();
  const [refused, setRefused] = useState<string>();
  const text = typed ?? known;

  let tracks: TypedDivision = {};
  let problem: string | undefined;
  if (text.trim() !== '') {
    try {
      tracks = readDivision(text, kind, design.unit);
    } catch (error) {
      if (!(error instanceof TrackError)) throw error;
      problem = error.message;
    }
  }
  const sums = [
    ...(tracks.columns ? [sumInWords(design, tracks.columns, width, tracks.gaps?.columns)] : []),
    ...(tracks.rows ? [sumInWords(design, tracks.rows, height, tracks.gaps?.rows)] : []),
  ];
  const divide = (): void => {
    if (problem !== undefined || sums.length === 0) return;
    try {
      onDivide(tracks);
      setRefused(undefined);
      setTyped(undefined);
    } catch (error) {
      if (!(error instanceof EditError)) throw error;
      setRefused(error.message);
    }
  };
  const sum = sums.length > 0 ? sums.map((each) => each.text).join('  by  ') : undefined;
  const message = refused ?? problem ?? sum;
  const wrong = refused !== undefined || problem !== undefined || sums.some((each) => each.wrong);
  const room = (mm: number): string => `${lengthWords(mm, design.unit)} ${design.unit}`;
  const toDivide = kind === 'grid' ? `${room(width)} by ${room(height)}` : room(kind === 'rows' ? height : width);
  return (
    <Box
      component="form"
      aria-label="Divide the cell"
      onSubmit={(event) => {
        event.preventDefault();
        divide();
      }}
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 2.5,
        px: 2.5,
        py: 1.5,
        bgcolor: 'background.paper',
        borderTop: 1,
        borderColor: 'divider',
        flex: 'none',
      }}
    >
      <ToggleButtonGroup
        size="small"
        exclusive
        color="primary"
        value={kind}
        aria-label="Divide into"
        onChange={(_event, next: Kind | null) => {
          if (!next) return;
          setKind(next);
          setRefused(undefined);
        }}
      >
        <ToggleButton value="rows">Rows</ToggleButton>
        <ToggleButton value="columns">Columns</ToggleButton>
        <ToggleButton value="grid">Grid</ToggleButton>
      </ToggleButtonGroup>
      <InputBase
        id="divide-tracks"
        value={text}
        placeholder={kind === 'grid' ? '* x2 by 10 x4' : design.unit === 'mm' ? '40 | * | 12 x2' : '3/4 | 1/2 x3 | *'}
        onChange={(event) => {
          setTyped(event.target.value);
          setRefused(undefined);
        }}
        inputProps={{
          'aria-label': 'Track sizes',
          'aria-invalid': wrong,
          'aria-describedby': 'divide-sum',
          spellCheck: false,
        }}
        sx={{
          width: 230,
          px: 2.5,
          height: 32,
          border: 1,
          borderColor: wrong ? 'error.main' : 'divider',
          borderRadius: 1,
          bgcolor: 'background.paper',
          fontSize: '0.8125rem',
          '&.Mui-focused': { borderColor: 'primary.main' },
        }}
      />
      <Button
        type="submit"
        variant="outlined"
        size="small"
        disabled={problem !== undefined || sums.length === 0 || typed === undefined}
      >
        {cells > 1 ? `Divide all ${cells}` : 'Divide'}
      </Button>
      <Box
        id="divide-sum"
        role="status"
        sx={{
          flex: 1,
          minWidth: 0,
          color: wrong ? 'error.main' : 'text.secondary',
          fontSize: '0.8125rem',
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          whiteSpace: 'nowrap',
        }}
        title={message}
      >
        {wrong ? (
          <>
            <Sign weight="error" />{' '}
          </>
        ) : null}
        {message ?? `${toDivide} to divide`}
      </Box>
    </Box>
  );
}
