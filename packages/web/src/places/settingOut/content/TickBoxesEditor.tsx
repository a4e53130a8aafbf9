import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CloseIcon from '@mui/icons-material/Close';
import IconButton from '@mui/material/IconButton';
import type { OfficeStandard, Parameter, TickBoxes } from '@mendrel/core';
import { choicesOf, MOST_TICK_BOXES as MOST_BOXES, parametersOf, penFor, roleFor, TICKED } from '@mendrel/core';
import { Chosen, ChosenEntry, ChosenPen, ChosenRole } from '../details/Chosen';
import { Pair, Row } from '../details/Section';
import { Typed } from '../details/Typed';
import type { EditedKind, EditorProps } from './editing';

/** Parameters that can tick a box, those whose value is one of few first. */
const ticking = (standard: OfficeStandard): Parameter[] => {
  const all = [...parametersOf(standard).values()].filter(({ kind }) => kind !== 'picture');
  return [...all.filter((each) => choicesOf(each)), ...all.filter((each) => !choicesOf(each))];
};

/** A box for each value that a parameter may have; one for its example where it may have any. */
const boxesFor = (parameter: Parameter): TickBoxes['boxes'] =>
  parameter.kind === 'tick'
    ? [{ value: TICKED, words: parameter.name }]
    : (choicesOf(parameter) ?? [parameter.typical]).slice(0, MOST_BOXES).map((value) => ({ value, words: value }));

/** Tick boxes: the parameter that ticks one, the boxes and their words, and how they stand. */
function TickBoxesEditor({ content, standard, unit, onChange }: EditorProps<TickBoxes>) {
  const parameters = ticking(standard);
  const setBox = (index: number, change: Partial<TickBoxes['boxes'][number]>): void =>
    onChange({ ...content, boxes: content.boxes.map((box, i) => (i === index ? { ...box, ...change } : box)) });
  return (
    <>
      <ChosenEntry
        kind="parameter"
        label="Ticked by"
        value={content.parameter}
        standard={standard}
        options={[
          ...(parameters.some(({ key }) => key === content.parameter)
            ? []
            : [[content.parameter, `{${content.parameter}}`] as const]),
          ...parameters.map(({ key, name }) => [key, `${name}  {${key}}`] as const),
        ]}
        onSet={(key) => {
          const parameter = parametersOf(standard).get(key);
          onChange({ ...content, parameter: key, boxes: parameter ? boxesFor(parameter) : content.boxes });
        }}
      />
      {content.boxes.map((box, i) => (
        <Box key={i} sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 28px', gap: 1.5, alignItems: 'start' }}>
          <Typed label={`Box ${i + 1}`} value={box.words} onSet={(words) => setBox(i, { words })} />
          <Typed label="Ticked by value" value={box.value} onSet={(value) => setBox(i, { value })} />
          <IconButton
            size="small"
            aria-label={`Remove box ${i + 1}`}
            disabled={content.boxes.length === 1}
            onClick={() => onChange({ ...content, boxes: content.boxes.filter((_, k) => k !== i) })}
            sx={{ mt: 1 }}
          >
            <CloseIcon fontSize="inherit" />
          </IconButton>
        </Box>
      ))}
      <Row>
        <Button
          size="small"
          disabled={content.boxes.length >= MOST_BOXES}
          onClick={() => onChange({ ...content, boxes: [...content.boxes, { value: '', words: '' }] })}
        >
          Add a box
        </Button>
      </Row>
      <Pair>
        <Chosen
          label="Boxes in a"
          value={content.arrangement}
          options={[
            ['below', 'Column'],
            ['beside', 'Row'],
          ]}
          onSet={(arrangement) => onChange({ ...content, arrangement })}
        />
        <Typed
          label="Side of a box"
          length={unit}
          required
          value={content.side}
          onSet={(side) => onChange({ ...content, side })}
        />
      </Pair>
      <Pair>
        <ChosenRole
          label="Lettering role"
          value={content.role}
          standard={standard}
          onSet={(role) => onChange({ ...content, role })}
        />
        <ChosenPen
          label="Pen"
          value={content.pen}
          standard={standard}
          onSet={(pen) => onChange({ ...content, pen: pen ?? content.pen })}
        />
      </Pair>
    </>
  );
}

export const tickBoxes: EditedKind<'ticks'> = {
  Editor: TickBoxesEditor,
  adding: { menu: 'Tick boxes', command: 'Add tick boxes' },
  make: ({ id, unit, standard }) => {
    const choices = ticking(standard);
    const parameter = choices.find((each) => choicesOf(each)) ?? choices.find(({ key }) => key === 'sheet.status');
    return {
      id,
      kind: 'ticks',
      horizontal: 'left',
      vertical: 'middle',
      rotation: 0,
      parameter: parameter?.key ?? 'sheet.status',
      boxes: parameter ? boxesFor(parameter) : [{ value: '', words: 'Box' }],
      arrangement: 'below',
      side: unit === 'in' ? '1/8 in' : '3 mm',
      role: roleFor(standard, 'caption', unit).id,
      pen: penFor(standard, 'fine').id,
    };
  },
};
