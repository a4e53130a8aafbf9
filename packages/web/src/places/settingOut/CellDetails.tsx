import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Content, Design, OfficeStandard, SheetLayout } from '@mendrel/core';
import {
  addContent,
  cellLabel,
  EditError,
  findCell,
  FormulaError,
  freshId,
  joinCell,
  parseFormula,
  removeContent,
  setCell,
  setContent,
  setPanel,
} from '@mendrel/core';
import { ContentEditor } from './ContentEditor';
import { lengthWords } from './dividers';

interface Props {
  design: Design;
  layout: SheetLayout | undefined;
  standard: OfficeStandard;
  selected: string;
  /** Applies an edit; what it throws is shown to the person. */
  onEdit: (edit: (design: Design) => Design) => void;
}

/** What is selected, in detail: the cell's name and extent, and its contents. */
export function CellDetails({ design, layout, standard, selected, onEdit }: Props) {
  const place = findCell(design, selected);
  if (!place) return null;
  const { cell, panel } = place;
  const at = layout?.cells.find((each) => each.id === selected);
  const isRoot = panel.root.id === cell.id;
  const add = (kind: 'caption' | 'field'): void => {
    const fit = { lines: 1, condense: 0.85, steps: 1 };
    const base = { id: freshId(design, 'content'), horizontal: 'left', rotation: 0, fit } as const;
    const content: Content =
      kind === 'caption'
        ? { ...base, kind, vertical: 'top', role: 'caption', text: 'Caption' }
        : { ...base, kind, vertical: 'bottom', role: 'value', pattern: '{sheet.title}' };
    onEdit((current) => addContent(current, cell.id, content));
  };
  return (
    <Box
      component="section"
      aria-labelledby="cell-heading"
      sx={{ p: 3.5, display: 'flex', flexDirection: 'column', gap: 3 }}
    >
      <Typography id="cell-heading" variant="h3" component="h2" sx={{ color: 'text.secondary' }}>
        {isRoot ? 'Panel' : 'Cell'}
      </Typography>
      <Typed
        label="Name"
        value={isRoot ? panel.name : cell.name}
        placeholder={cellLabel(cell)}
        onSet={(name) =>
          onEdit((current) => (isRoot ? setPanel(current, panel.id, { name }) : setCell(current, cell.id, { name })))
        }
        required={isRoot}
      />
      {at ? (
        <Typography sx={{ color: 'text.secondary' }}>
          {lengthWords(at.width, design.unit)} × {lengthWords(at.height, design.unit)} {design.unit} on{' '}
          {layout?.sheet.name}
        </Typography>
      ) : null}
      {isRoot ? (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2.5 }}>
          {panel.width !== undefined ? (
            <Typed
              label="Width"
              formula
              value={panel.width}
              onSet={(width) => onEdit((current) => setPanel(current, panel.id, { width }))}
              required
            />
          ) : null}
          {panel.height !== undefined ? (
            <Typed
              label="Height"
              formula
              value={panel.height}
              onSet={(height) => onEdit((current) => setPanel(current, panel.id, { height }))}
              required
            />
          ) : null}
        </Box>
      ) : (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2.5 }}>
          <Typed
            label="Padding"
            formula
            value={cell.padding ?? ''}
            placeholder="1.2 mm"
            onSet={(padding) => onEdit((current) => setCell(current, cell.id, { padding }))}
          />
          <Typed
            label="Show when"
            formula
            value={cell.when ?? ''}
            placeholder="always"
            onSet={(when) => onEdit((current) => setCell(current, cell.id, { when }))}
          />
        </Box>
      )}
      {cell.division ? (
        <Box>
          <Typography sx={{ color: 'text.secondary', mb: 1 }}>
            Divided into {cell.division.children.length} cells.
          </Typography>
          <Button size="small" variant="outlined" onClick={() => onEdit((current) => joinCell(current, cell.id))}>
            Join them into one
          </Button>
        </Box>
      ) : (
        <Box>
          <Typography variant="h3" component="h3" sx={{ color: 'text.secondary', pb: 2 }}>
            In this cell
          </Typography>
          {cell.contents.length === 0 ? (
            <Typography sx={{ color: 'text.secondary', pb: 2 }}>
              Nothing yet. Add a caption or a field, or divide it below.
            </Typography>
          ) : null}
          {cell.contents.map((content) => (
            <ContentEditor
              key={content.id}
              content={content}
              standard={standard}
              unit={design.unit}
              text={layout?.texts.find((each) => each.content === content.id)}
              findings={
                layout?.findings.filter((each) => each.where.content === content.id && each.kind !== 'missing') ?? []
              }
              onChange={(next) => onEdit((current) => setContent(current, next))}
              onRemove={() => onEdit((current) => removeContent(current, content.id))}
            />
          ))}
          <Box
            sx={{ display: 'flex', gap: 2, borderTop: cell.contents.length > 0 ? 1 : 0, borderColor: 'divider', pt: 2 }}
          >
            <Button size="small" onClick={() => add('caption')}>
              Add caption
            </Button>
            <Button size="small" onClick={() => add('field')}>
              Add field
            </Button>
          </Box>
        </Box>
      )}
    </Box>
  );
}

interface TypedProps {
  label: string;
  value: string;
  onSet: (value: string) => void;
  placeholder?: string;
  formula?: boolean;
  required?: boolean;
}

/** A text field that hands its value over when it is left or Enter is pressed, and only if it can be used. */
function Typed({ label, value, onSet, placeholder, formula = false, required = false }: TypedProps) {
  const [typed, setTyped] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const finish = (): void => {
    if (typed === undefined || typed.trim() === value) {
      setTyped(undefined);
      setProblem(undefined);
      return;
    }
    const text = typed.trim();
    try {
      if (required && text === '') throw new EditError('This cannot be empty.');
      if (formula && text !== '') parseFormula(text);
      onSet(text);
      setTyped(undefined);
      setProblem(undefined);
    } catch (error) {
      if (!(error instanceof EditError || error instanceof FormulaError)) throw error;
      setProblem(error.message);
    }
  };
  return (
    <TextField
      label={label}
      value={typed ?? value}
      placeholder={placeholder}
      error={problem !== undefined}
      helperText={problem}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={finish}
      onKeyDown={(event) => {
        if (event.key === 'Enter') finish();
        else if (event.key === 'Escape') {
          setTyped(undefined);
          setProblem(undefined);
        }
      }}
      slotProps={{ inputLabel: { shrink: true }, htmlInput: { spellCheck: false } }}
    />
  );
}
