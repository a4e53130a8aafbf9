import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Axis, Cell } from '@mendrel/core';
import {
  cellLabel,
  copyTrack,
  EditError,
  insertBeside,
  moveTrack,
  nameTrack,
  readTracks,
  removeTrack,
  setTrack,
  setTrackLine,
  setTrackOnSize,
  splitSpan,
  trackDimensionName,
  TrackError,
  trackInWords,
} from '@mendrel/core';
import { dimensionOf } from '../paper/dividers';
import { useOnlySize } from '../useOnlySize';
import type { DetailsProps } from './DetailsProps';
import { ChosenPen } from './Chosen';
import { Folded, Row } from './Section';
import { Typed } from '../../../app/Typed';

/** The tracks of the division that the selected cell stands in: their sizes, their order, their lines. */
export function TrackDetails(props: DetailsProps & { parent: Cell }) {
  const { parent, selected, onEdit } = props;
  const child = parent.division?.children.find((each) => each.cell.id === selected);
  if (!parent.division || !child) return null;
  const { rows, columns } = parent.division;
  return (
    <>
      {rows.length > 1 ? <TrackOn {...props} axis="rows" index={child.row} span={child.rowSpan} /> : null}
      {columns.length > 1 ? <TrackOn {...props} axis="columns" index={child.column} span={child.columnSpan} /> : null}
      {child.rowSpan * child.columnSpan > 1 ? (
        <Row>
          <Typography sx={{ color: 'text.secondary' }}>
            Spans {child.columnSpan} columns and {child.rowSpan} rows.
          </Typography>
          <Button size="small" onClick={() => onEdit((now) => splitSpan(now, selected))}>
            Split it
          </Button>
        </Row>
      ) : null}
    </>
  );
}

interface OnAxis {
  axis: Axis;
  index: number;
  span: number;
}

function TrackOn({ design, standard, parent, axis, index, span, onEdit }: DetailsProps & { parent: Cell } & OnAxis) {
  const onlySize = useOnlySize();
  const track = parent.division?.[axis][index];
  if (!track) return null;
  const only = 'fixed' in track ? onlySize : undefined;
  const word = axis === 'rows' ? 'Row' : 'Column';
  const dimension = dimensionOf(design, track);
  const read = (text: string): string => {
    try {
      const read = readTracks(text, design.unit);
      if (read.length !== 1) throw new TrackError('this is one track; divide under the paper to get several');
      return text;
    } catch (error) {
      throw error instanceof TrackError ? new EditError(error.message) : error;
    }
  };
  const name = (): void =>
    onEdit((now) => nameTrack(now, parent.id, axis, index, trackDimensionName(now, parent.id, axis, index)));
  return (
    <Folded
      title={span > 1 ? `${word}s ${index + 1} to ${index + span}` : `${word} ${index + 1} of ${cellLabel(parent)}`}
      note={trackInWords(track, design.unit)}
    >
      <Typed
        label={`Size of the ${word.toLowerCase()}`}
        value={trackInWords(track, design.unit)}
        read={read}
        help={
          only
            ? `Counts for ${only} only.`
            : dimension
              ? `The dimension ${dimension} sets it.`
              : '40, 3/4 in, *, 2*, fit, * min 30 max 60, a dimension'
        }
        onSet={(text) =>
          onEdit((now) => {
            const [next] = readTracks(text, now.unit);
            if (!next) return now;
            return only !== undefined && 'fixed' in next
              ? setTrackOnSize(now, parent.id, axis, index, next.fixed, only)
              : setTrack(now, parent.id, axis, index, next);
          })
        }
        required
      />
      <Row>
        <Button size="small" onClick={() => onEdit((now) => insertBeside(now, parent.id, axis, index, 'before'))}>
          Insert before
        </Button>
        <Button
          size="small"
          onClick={() => onEdit((now) => insertBeside(now, parent.id, axis, index + span - 1, 'after'))}
        >
          Insert after
        </Button>
        <Button size="small" onClick={() => onEdit((now) => copyTrack(now, parent.id, axis, index))}>
          Duplicate
        </Button>
        <Button
          size="small"
          disabled={index === 0}
          onClick={() => onEdit((now) => moveTrack(now, parent.id, axis, index, index - 1))}
        >
          {axis === 'rows' ? 'Move up' : 'Move left'}
        </Button>
        <Button
          size="small"
          disabled={index + 1 >= (parent.division?.[axis].length ?? 0)}
          onClick={() => onEdit((now) => moveTrack(now, parent.id, axis, index, index + 1))}
        >
          {axis === 'rows' ? 'Move down' : 'Move right'}
        </Button>
        {'fixed' in track && dimension === undefined ? (
          <Button size="small" onClick={name}>
            Make a dimension
          </Button>
        ) : null}
        <Button size="small" color="inherit" onClick={() => onEdit((now) => removeTrack(now, parent.id, axis, index))}>
          Remove
        </Button>
      </Row>
      {index + span < (parent.division?.[axis].length ?? 0) ? (
        <ChosenPen
          label={axis === 'rows' ? 'Line under it' : 'Line to its right'}
          value={parent.division?.[axis][index + span - 1]?.line}
          standard={standard}
          unset="As the panel"
          onSet={(pen) => onEdit((now) => setTrackLine(now, parent.id, axis, index + span - 1, pen))}
        />
      ) : null}
    </Folded>
  );
}
