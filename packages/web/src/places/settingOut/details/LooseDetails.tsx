import Button from '@mui/material/Button';
import type { AnchoredPoint, Design, Loose, LoosePictureSize, OfficeStandard } from '@mendrel/core';
import {
  ANCHORS,
  AREA_ANCHOR,
  cellLabel,
  cellsOf,
  EditError,
  FRAME_ANCHOR,
  removeLoose,
  setLoose,
  SHEET_ANCHOR,
  withCondition,
} from '@mendrel/core';
import { Chosen } from '../../../app/Chosen';
import { ChosenPen, ChosenRole } from './Chosen';
import { ANCHOR_WORDS } from './PanelDetails';
import { Pair, Row, Section } from './Section';
import { Typed } from '../../../app/Typed';
import { OpacityField } from '../content/OpacityField';
import { readPattern } from '../content/patternProblem';
import { PictureFields } from '../content/PictureFields';
import { withOptional } from '../content/withOptional';

interface Props {
  design: Design;
  standard: OfficeStandard;
  loose: Loose;
  onEdit: (edit: (design: Design) => Design) => void;
}

export const LOOSE_WORDS: Readonly<Record<Loose['kind'], string>> = {
  line: 'Free line',
  rectangle: 'Free rectangle',
  stamp: 'Stamp',
  picture: 'Picture on the sheet',
};

/** What stands outside of cells: where it hangs, its pen or its words, and when it is there. */
export function LooseDetails({ design, standard, loose, onEdit }: Props) {
  const keep = (next: Loose): void => onEdit((now) => setLoose(now, next));
  return (
    <Section title={LOOSE_WORDS[loose.kind]}>
      {loose.kind === 'picture' ? (
        <>
          <PictureFields picture={loose} standard={standard} unit={design.unit} onChange={keep}>
            <Chosen label="Size" value={loose.size} options={SIZES} onSet={(size) => keep({ ...loose, size })} />
          </PictureFields>
          <OrderField of={loose} onSet={keep} />
          {loose.size === 'own' ? (
            <PointEditor title="Place" design={design} point={loose.at} onSet={(at) => keep({ ...loose, at })} />
          ) : null}
        </>
      ) : loose.kind === 'stamp' ? (
        <>
          <Typed
            label="Words"
            value={loose.pattern}
            required
            read={readPattern}
            onSet={(pattern) => keep({ ...loose, pattern })}
          />
          <Pair>
            <ChosenRole
              label="Lettering role"
              value={loose.role}
              standard={standard}
              onSet={(role) => keep({ ...loose, role })}
            />
            <Typed
              label="Rotation in degrees"
              value={String(loose.angle)}
              read={(text) => {
                const angle = Number(text);
                if (text === '' || !(Math.abs(angle) <= 180)) throw new EditError('Degrees from -180 to 180.');
                return String(angle);
              }}
              onSet={(text) => keep({ ...loose, angle: Number(text) })}
            />
          </Pair>
          <Chosen
            label="Box around it"
            value={loose.boxed ? 'yes' : 'no'}
            options={[
              ['yes', 'Drawn'],
              ['no', 'None'],
            ]}
            onSet={(choice) => keep({ ...loose, boxed: choice === 'yes' })}
          />
          <Pair>
            <OpacityField of={loose} onSet={keep} />
            <OrderField of={loose} onSet={keep} />
          </Pair>
          <PointEditor title="Centre" design={design} point={loose.at} onSet={(at) => keep({ ...loose, at })} />
        </>
      ) : (
        <>
          <ChosenPen
            label="Pen"
            value={loose.pen}
            standard={standard}
            onSet={(pen) => keep({ ...loose, pen: pen ?? loose.pen })}
          />
          <PointEditor title="From" design={design} point={loose.from} onSet={(from) => keep({ ...loose, from })} />
          <PointEditor title="To" design={design} point={loose.to} onSet={(to) => keep({ ...loose, to })} />
        </>
      )}
      <Typed
        label="Show when"
        formula
        value={loose.when ?? ''}
        placeholder="always"
        onSet={(when) => keep(withCondition(loose, when))}
      />
      <Row>
        <Button size="small" color="inherit" onClick={() => onEdit((now) => removeLoose(now, loose.id))}>
          Remove
        </Button>
      </Row>
    </Section>
  );
}

const SIZES: readonly (readonly [LoosePictureSize, string])[] = [
  ['own', 'Its own'],
  ['frame', 'As large as goes into the frame'],
  ['sheet', 'As large as goes onto the sheet'],
];

/** Whether something lies over the drawing or under it. */
function OrderField<T extends { under?: true | undefined }>({ of, onSet }: { of: T; onSet: (next: T) => void }) {
  return (
    <Chosen
      label="Lies"
      value={of.under ? 'under' : 'over'}
      options={[
        ['over', 'Over the drawing'],
        ['under', 'Under the drawing'],
      ]}
      onSet={(order) => onSet(withOptional<T, 'under'>(of, 'under', order === 'under' ? true : undefined))}
    />
  );
}

function PointEditor({
  title,
  design,
  point,
  onSet,
}: {
  title: string;
  design: Design;
  point: AnchoredPoint;
  onSet: (point: AnchoredPoint) => void;
}) {
  const panels = new Set(design.panels.map((panel) => panel.root.id));
  const places: [string, string][] = [
    [SHEET_ANCHOR, 'The sheet'],
    [FRAME_ANCHOR, 'The frame'],
    [AREA_ANCHOR, 'The drawing area'],
    ...design.panels.map((panel): [string, string] => [panel.id, panel.name]),
    ...[...cellsOf(design)]
      .filter(({ cell }) => !panels.has(cell.id))
      .map(({ cell }): [string, string] => [cell.id, cellLabel(cell)]),
  ];
  return (
    <Section title={title}>
      <Pair>
        <Chosen label="Measured from" value={point.of} options={places} onSet={(of) => onSet({ ...point, of })} />
        <Chosen
          label="Point of it"
          value={point.anchor}
          options={ANCHORS.map((anchor) => [anchor, ANCHOR_WORDS[anchor]] as const)}
          onSet={(anchor) => onSet({ ...point, anchor })}
        />
        <Typed label="Right by" length={design.unit} required value={point.x} onSet={(x) => onSet({ ...point, x })} />
        <Typed label="Up by" length={design.unit} required value={point.y} onSet={(y) => onSet({ ...point, y })} />
      </Pair>
    </Section>
  );
}
