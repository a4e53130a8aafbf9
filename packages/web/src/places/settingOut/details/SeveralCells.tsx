import { useState } from 'react';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Cell, Content, Design, OfficeStandard } from '@mendrel/core';
import {
  changeContents,
  clearCell,
  fillCells,
  findCell,
  isText,
  joinNeighbours,
  putFields,
  setCell,
} from '@mendrel/core';
import { FieldsDialog } from '../content/FieldsDialog';
import { Chosen } from '../../../app/Chosen';
import { Pair, Row, Section } from './Section';
import { Typed } from '../../../app/Typed';
import { defaultPadding } from './defaultPadding';

interface Props {
  design: Design;
  standard: OfficeStandard;
  selection: readonly string[];
  copied: Cell | undefined;
  onEdit: (edit: (design: Design) => Design) => void;
}

const MIXED = 'mixed';

/** The one value that all have, or that they differ. */
function common<T extends string>(values: readonly T[]): T | typeof MIXED {
  const [first, ...others] = values;
  return first !== undefined && others.every((each) => each === first) ? first : MIXED;
}

/** Several cells, changed together. */
export function SeveralCells({ design, standard, selection, copied, onEdit }: Props) {
  const [putting, setPutting] = useState(false);
  const cells = selection.flatMap((id) => findCell(design, id)?.cell ?? []);
  const texts = cells.flatMap((cell) => cell.contents.filter(isText));
  const each = (change: (content: Content) => Content): void => onEdit((now) => changeContents(now, selection, change));
  const all = (change: Parameters<typeof setCell>[2]): void =>
    onEdit((now) => selection.reduce((design, id) => setCell(design, id, change), now));
  const mixed = [[MIXED, 'Different ones'] as const];
  const role = common(texts.map((text) => text.role));
  const across = common(texts.map((text) => text.horizontal));
  const up = common(texts.map((text) => text.vertical));
  const paddings = common(cells.map((cell) => cell.padding ?? ''));
  const conditions = common(cells.map((cell) => cell.when ?? ''));
  return (
    <Section title="Several cells">
      <Typography>
        {cells.length} cells, {texts.length} {texts.length === 1 ? 'text' : 'texts'}.
      </Typography>
      {texts.length > 0 ? (
        <>
          <Chosen
            label="Lettering role of all"
            value={role}
            options={[...(role === MIXED ? mixed : []), ...standard.roles.map((one) => [one.id, one.name] as const)]}
            onSet={(next) =>
              each((content) => (isText(content) && next !== MIXED ? { ...content, role: next } : content))
            }
          />
          <Pair>
            <Chosen
              label="Horizontal"
              value={across}
              options={[...(across === MIXED ? mixed : []), ['left', 'Left'], ['centre', 'Centre'], ['right', 'Right']]}
              onSet={(next) =>
                each((content) => (isText(content) && next !== MIXED ? { ...content, horizontal: next } : content))
              }
            />
            <Chosen
              label="Vertical"
              value={up}
              options={[...(up === MIXED ? mixed : []), ['top', 'Top'], ['middle', 'Middle'], ['bottom', 'Bottom']]}
              onSet={(next) =>
                each((content) => (isText(content) && next !== MIXED ? { ...content, vertical: next } : content))
              }
            />
          </Pair>
        </>
      ) : null}
      <Pair>
        <Typed
          label="Padding of all"
          length={design.unit}
          value={paddings === MIXED ? '' : paddings}
          placeholder={paddings === MIXED ? 'different ones' : defaultPadding(design.unit)}
          onSet={(padding) => all({ padding })}
        />
        <Typed
          label="Show all when"
          formula
          value={conditions === MIXED ? '' : conditions}
          placeholder={conditions === MIXED ? 'different ones' : 'always'}
          onSet={(when) => all({ when })}
        />
      </Pair>
      <Row>
        <Button size="small" variant="outlined" onClick={() => onEdit((now) => joinNeighbours(now, selection))}>
          Join cells
        </Button>
        <Button size="small" onClick={() => setPutting(true)}>
          Add fields…
        </Button>
        {copied ? (
          <Button size="small" onClick={() => onEdit((now) => fillCells(now, selection, copied))}>
            Fill with the copied cell
          </Button>
        ) : null}
        <Button
          size="small"
          color="inherit"
          onClick={() => onEdit((now) => selection.reduce((design, id) => clearCell(design, id), now))}
        >
          Empty them
        </Button>
      </Row>
      {putting ? (
        <FieldsDialog
          standard={standard}
          cells={cells.filter((cell) => !cell.division).length}
          onPut={(parameters) => onEdit((now) => putFields(now, selection, parameters, standard))}
          onClose={() => setPutting(false)}
        />
      ) : null}
    </Section>
  );
}
