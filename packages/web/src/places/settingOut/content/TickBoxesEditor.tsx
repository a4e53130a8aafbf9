import type { OfficeStandard, Parameter, TickBoxes } from '@mendrel/core';
import {
  isWords,
  choicesOf,
  MOST_TICK_BOXES as MOST_BOXES,
  parametersOf,
  penFor,
  roleFor,
  TICKED,
} from '@mendrel/core';
import { Chosen } from '../../../app/Chosen';
import { RoleAndPen } from '../details/Chosen';
import { ChosenParameter } from '../details/ChosenParameter';
import { Pair } from '../details/Section';
import { Typed } from '../../../app/Typed';
import type { EditedKind, EditorProps } from './editing';
import { EntryRows } from './EntryRows';

/** Parameters that can tick a box, those whose value is one of few first. */
const ticking = (standard: OfficeStandard): Parameter[] => {
  const all = [...parametersOf(standard).values()].filter(isWords);
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
  return (
    <>
      <ChosenParameter
        label="Ticked by"
        value={content.parameter}
        standard={standard}
        parameters={parameters}
        onSet={(key) => {
          const parameter = parametersOf(standard).get(key);
          onChange({ ...content, parameter: key, boxes: parameter ? boxesFor(parameter) : content.boxes });
        }}
      />
      <EntryRows
        entries={content.boxes}
        name="box"
        most={MOST_BOXES}
        widths="1fr 1fr"
        blank={() => ({ value: '', words: '' })}
        fields={(box, position, change) => (
          <>
            <Typed label={`Box ${position}`} value={box.words} onSet={(words) => change({ words })} />
            <Typed label="Ticked by value" value={box.value} onSet={(value) => change({ value })} />
          </>
        )}
        onSet={(boxes) => onChange({ ...content, boxes })}
      />
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
        <Typed
          label="From box to box"
          length={unit}
          value={content.step ?? ''}
          placeholder="close"
          onSet={(step) => {
            const next = { ...content, step };
            if (step === '') delete (next as Partial<TickBoxes>).step;
            onChange(next);
          }}
        />
      </Pair>
      <RoleAndPen of={content} standard={standard} onSet={(change) => onChange({ ...content, ...change })} />
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
