import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import type { Anchor, Dock, Panel } from '@mendrel/core';
import {
  ANCHORS,
  DOCKS,
  lockPanel,
  mirrorPanel,
  movePanel,
  namePanelLength,
  removePanel,
  setPanel,
  setPanelEdge,
  setPanelLengthOnSize,
  suggestedName,
} from '@mendrel/core';
import { useOnlySize } from '../useOnlySize';
import type { DetailsProps } from './DetailsProps';
import { Chosen } from '../../../app/Chosen';
import { ChosenEdges, ChosenPen } from './Chosen';
import { Scale } from './Scale';
import { Folded, Pair, Row, Section } from './Section';
import { Typed } from '../../../app/Typed';

export const DOCK_WORDS: Readonly<Record<Dock, string>> = {
  left: 'Left edge',
  right: 'Right edge',
  top: 'Top edge',
  bottom: 'Bottom edge',
  'lower-right': 'Lower right corner',
  'lower-left': 'Lower left corner',
  'upper-right': 'Upper right corner',
  'upper-left': 'Upper left corner',
  floating: 'Floating',
};

export const ANCHOR_WORDS: Readonly<Record<Anchor, string>> = {
  'upper-left': 'Upper left',
  upper: 'Upper middle',
  'upper-right': 'Upper right',
  left: 'Left middle',
  centre: 'Middle',
  right: 'Right middle',
  'lower-left': 'Lower left',
  lower: 'Lower middle',
  'lower-right': 'Lower right',
};

/** A panel: where it docks, how large it is, when it is there, its lines. */
export function PanelDetails({
  design,
  standard,
  panel,
  extent,
  left,
  onEdit,
}: DetailsProps & { panel: Panel; extent: string; left: boolean }) {
  const change = (next: Parameters<typeof setPanel>[2]): void => onEdit((now) => setPanel(now, panel.id, next));
  const only = useOnlySize();
  const order = design.panels.findIndex((each) => each.id === panel.id);
  const plain = (key: 'width' | 'height'): boolean => {
    const text = panel[key];
    return text !== undefined && !design.dimensions.some((each) => each.name === text.trim());
  };
  return (
    <Section title="Panel">
      <Typed label="Name" value={panel.name} onSet={(name) => change({ name })} required />
      <Typography sx={{ color: 'text.secondary' }}>
        {left ? 'Left out on this size: its condition does not hold.' : extent}
      </Typography>
      <Chosen
        label="Place"
        value={panel.dock}
        options={DOCKS.map((dock) => [dock, DOCK_WORDS[dock]] as const)}
        onSet={(dock) => change({ dock })}
      />
      <Pair>
        {(['width', 'height'] as const).map((key) =>
          panel[key] === undefined ? null : (
            <Typed
              key={key}
              label={key === 'width' ? 'Width' : 'Height'}
              length={design.unit}
              value={panel[key] ?? ''}
              {...(only === undefined ? {} : { help: `Counts for ${only} only.` })}
              onSet={(text) =>
                only === undefined
                  ? change({ [key]: text })
                  : onEdit((now) => setPanelLengthOnSize(now, panel.id, key, text, only))
              }
              required
            />
          ),
        )}
      </Pair>
      {panel.dock === 'floating' ? (
        <>
          <Chosen
            label="Anchor to the frame’s"
            value={panel.anchor ?? 'lower-left'}
            options={ANCHORS.map((anchor) => [anchor, ANCHOR_WORDS[anchor]] as const)}
            onSet={(anchor) => change({ anchor })}
          />
          <Pair>
            <Typed
              label="Right by"
              length={design.unit}
              value={panel.x ?? ''}
              placeholder="0"
              onSet={(x) => change({ x })}
            />
            <Typed
              label="Up by"
              length={design.unit}
              value={panel.y ?? ''}
              placeholder="0"
              onSet={(y) => change({ y })}
            />
          </Pair>
        </>
      ) : (
        <Typed
          label="Distance from the frame"
          length={design.unit}
          value={panel.distance ?? ''}
          placeholder="none"
          onSet={(distance) => change({ distance })}
        />
      )}
      {panel.dock.includes('-') && !panel.overlay ? (
        <Chosen
          label="Leaves to views"
          value={panel.leaves ?? 'all'}
          options={[
            ['all', 'All but the panel, an L'],
            ['rectangle', 'The larger rectangle beside it'],
          ]}
          onSet={(leaves) => change({ leaves })}
        />
      ) : null}
      <FormControlLabel
        control={
          <Checkbox
            size="small"
            checked={panel.overlay ?? false}
            onChange={(event) => change({ overlay: event.target.checked })}
          />
        }
        label="Takes no room from views: a border or a watermark"
      />
      <Typed
        label="Show when"
        formula
        value={panel.when ?? ''}
        placeholder="always"
        onSet={(when) => change({ when })}
      />
      <Row>
        <Button size="small" onClick={() => onEdit((now) => mirrorPanel(now, panel.id))}>
          Mirror
        </Button>
        <Scale design={design} standard={standard} panel={panel.id} onEdit={onEdit} />
        <Button size="small" disabled={order === 0} onClick={() => onEdit((now) => movePanel(now, panel.id, -1))}>
          Move up in order
        </Button>
        <Button
          size="small"
          disabled={order + 1 >= design.panels.length}
          onClick={() => onEdit((now) => movePanel(now, panel.id, 1))}
        >
          Move down in order
        </Button>
        {panel.locked ? null : (
          <Button size="small" onClick={() => onEdit((now) => lockPanel(now, panel.id, true))}>
            Lock
          </Button>
        )}
        {(['width', 'height'] as const).filter(plain).map((key) => (
          <Button
            key={key}
            size="small"
            onClick={() =>
              onEdit((now) => namePanelLength(now, panel.id, key, suggestedName(now, `${panel.name} ${key}`)))
            }
          >
            Make the {key} a dimension
          </Button>
        ))}
        <Button size="small" color="inherit" onClick={() => onEdit((now) => removePanel(now, panel.id))}>
          Remove
        </Button>
      </Row>
      <Folded title="Lines" note={panel.edges ? 'own edges' : ''}>
        <ChosenPen
          label="Outline"
          value={panel.outlinePen}
          standard={standard}
          onSet={(pen) => change({ outlinePen: pen ?? panel.outlinePen })}
        />
        <ChosenPen
          label="Dividers"
          value={panel.dividerPen}
          standard={standard}
          onSet={(pen) => change({ dividerPen: pen ?? panel.dividerPen })}
        />
        <ChosenEdges
          edges={panel.edges}
          standard={standard}
          unset="As the outline"
          onSet={(edge, pen) => onEdit((now) => setPanelEdge(now, panel.id, edge, pen))}
        />
      </Folded>
    </Section>
  );
}
