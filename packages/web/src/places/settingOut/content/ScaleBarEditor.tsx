import type { OfficeStandard, Parameter, ScaleBar } from '@mendrel/core';
import { isWords, parametersOf, readScale, roleFor } from '@mendrel/core';
import { ChosenRole } from '../details/Chosen';
import { ChosenParameter } from '../details/ChosenParameter';
import { Pair } from '../details/Section';
import { Typed } from '../../../app/Typed';
import type { EditedKind, EditorProps } from './editing';

/** Parameters whose values may be a scale, those whose example is one first. */
const sayingScales = (standard: OfficeStandard): Parameter[] => {
  const all = [...parametersOf(standard).values()].filter(isWords);
  const says = (parameter: Parameter): boolean => readScale(parameter.typical) !== undefined;
  return [...all.filter(says), ...all.filter((each) => !says(each))];
};

/** A scale bar: which scale it shows, how long it may be, and its figures. */
function ScaleBarEditor({ content, standard, unit, onChange }: EditorProps<ScaleBar>) {
  return (
    <>
      <ChosenParameter
        label="Scale from"
        value={content.parameter}
        standard={standard}
        parameters={sayingScales(standard)}
        onSet={(parameter) => onChange({ ...content, parameter })}
      />
      <Pair>
        <Typed
          label="Longest"
          length={unit}
          required
          value={content.length}
          onSet={(length) => onChange({ ...content, length })}
        />
        <Typed
          label="Bar height"
          length={unit}
          required
          value={content.height}
          onSet={(height) => onChange({ ...content, height })}
        />
      </Pair>
      <ChosenRole
        label="Figures"
        value={content.role}
        standard={standard}
        onSet={(role) => onChange({ ...content, role })}
      />
    </>
  );
}

export const scaleBars: EditedKind<'scaleBar'> = {
  Editor: ScaleBarEditor,
  adding: { menu: 'Scale bar', command: 'Add a scale bar' },
  make: ({ id, unit, standard }) => ({
    id,
    kind: 'scaleBar',
    horizontal: 'left',
    vertical: 'bottom',
    rotation: 0,
    parameter: 'sheet.scale',
    length: unit === 'in' ? '2 in' : '50 mm',
    height: unit === 'in' ? '1/16 in' : '1.5 mm',
    role: roleFor(standard, 'caption', unit).id,
  }),
};
