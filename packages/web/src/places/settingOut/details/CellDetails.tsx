import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import type { Cell, WorkingUnit } from '@mendrel/core';
import { cellLabel, findCell, joinCell, lockPanel, setCell, setCellEdge, setGap } from '@mendrel/core';
import { CellContents } from '../content/CellContents';
import { lengthWords } from '../paper/dividers';
import { Chosen } from '../../../app/Chosen';
import { ChosenEdges } from './Chosen';
import { defaultPadding } from './defaultPadding';
import { GREYS, withOwnColour } from './grounds';
import { Locked } from './Locked';
import { PanelDetails } from './PanelDetails';
import { Folded, Pair, Row, Section } from './Section';
import { TrackDetails } from './TrackDetails';
import type { DetailsProps } from './DetailsProps';
import { Typed } from '../../../app/Typed';

const GROUNDS = [['', 'None'] as const, ...GREYS];

/** What is selected, in detail: the cell's name and extent, its track, and its contents; of a panel also its place. */
export function CellDetails(props: DetailsProps) {
  const { design, layout, standard, selected, onEdit } = props;
  const place = findCell(design, selected);
  if (!place) return null;
  const { cell, panel, above } = place;
  const at = layout?.cells.find((each) => each.id === selected);
  const isRoot = panel.root.id === cell.id;
  const left = layout?.hidden.has(cell.id) ?? false;
  const change = (next: Parameters<typeof setCell>[2]): void => onEdit((now) => setCell(now, cell.id, next));
  const extent = at
    ? `${lengthWords(at.width, design.unit)} × ${lengthWords(at.height, design.unit)} ${design.unit} on ${layout?.sheet.name}`
    : '';
  return (
    <Locked
      locked={panel.locked && !design.locked ? panel.name : undefined}
      onUnlock={() => onEdit((now) => lockPanel(now, panel.id, false))}
    >
      {isRoot ? (
        <>
          <PanelDetails {...props} panel={panel} extent={extent} left={left} />
          {cell.division ? null : <Padding cell={cell} unit={design.unit} onSet={(padding) => change({ padding })} />}
        </>
      ) : (
        <Section title="Cell">
          <Typed label="Name" value={cell.name} placeholder={cellLabel(cell)} onSet={(name) => change({ name })} />
          <Typography sx={{ color: 'text.secondary' }}>
            {left ? `Left out on ${layout?.sheet.name}: its condition does not hold.` : extent}
          </Typography>
          <Pair>
            <Padding cell={cell} unit={design.unit} onSet={(padding) => change({ padding })} />
            <Typed
              label="Show when"
              formula
              value={cell.when ?? ''}
              placeholder="always"
              onSet={(when) => change({ when })}
            />
          </Pair>
        </Section>
      )}
      {above.at(-1) ? <TrackDetails {...props} parent={above.at(-1)!} /> : null}
      {cell.division ? (
        <Section title="Divided">
          <Typography sx={{ color: 'text.secondary' }}>Divided into {cell.division.children.length} cells.</Typography>
          <Pair>
            {(['rows', 'columns'] as const).map((axis) =>
              (cell.division?.[axis].length ?? 0) > 1 ? (
                <Typed
                  key={axis}
                  label={axis === 'rows' ? 'Row gap' : 'Column gap'}
                  length={design.unit}
                  value={cell.division?.gaps?.[axis] ?? ''}
                  placeholder="none"
                  onSet={(gap) => onEdit((now) => setGap(now, cell.id, axis, gap))}
                />
              ) : null,
            )}
          </Pair>
          <Row>
            <Button size="small" variant="outlined" onClick={() => onEdit((now) => joinCell(now, cell.id))}>
              Join cells
            </Button>
          </Row>
        </Section>
      ) : (
        <CellContents {...props} cell={cell} />
      )}
      <Folded title="Fill and edges" note={cell.fill ?? (cell.edges ? 'own edges' : '')}>
        <Chosen
          label="Fill"
          value={cell.fill ?? ''}
          options={withOwnColour(GROUNDS, cell.fill ?? '')}
          onSet={(fill) => change({ fill })}
        />
        <ChosenEdges
          edges={cell.edges}
          standard={standard}
          unset="As the division"
          onSet={(edge, pen) => onEdit((now) => setCellEdge(now, cell.id, edge, pen))}
        />
      </Folded>
    </Locked>
  );
}

function Padding({ cell, unit, onSet }: { cell: Cell; unit: WorkingUnit; onSet: (padding: string) => void }) {
  return (
    <Typed label="Padding" length={unit} value={cell.padding ?? ''} placeholder={defaultPadding(unit)} onSet={onSet} />
  );
}
