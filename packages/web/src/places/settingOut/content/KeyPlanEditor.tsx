import type { KeyPlan } from '@mendrel/core';
import { isWords, parametersOf, penFor } from '@mendrel/core';
import { Chosen } from '../../../app/Chosen';
import { ChosenPen, ChosenRole } from '../details/Chosen';
import { ChosenParameter } from '../details/ChosenParameter';
import { GREYS, withOwnColour } from '../details/grounds';
import type { EditedKind, EditorProps } from './editing';
import { withOptional } from './withOptional';

/** A key plan: where its outline comes from, which part is marked, and how. */
function KeyPlanEditor({ content, standard, onChange }: EditorProps<KeyPlan>) {
  const all = [...parametersOf(standard).values()];
  return (
    <>
      <ChosenParameter
        label="Outline from"
        value={content.outline}
        standard={standard}
        parameters={all.filter(({ kind }) => kind === 'outline')}
        onSet={(outline) => onChange({ ...content, outline })}
      />
      <ChosenParameter
        label="Part that is marked"
        value={content.marks}
        standard={standard}
        parameters={all.filter(isWords)}
        onSet={(marks) => onChange({ ...content, marks })}
      />
      <Chosen
        label="Marked with"
        value={content.fill}
        options={withOwnColour(GREYS, content.fill)}
        onSet={(fill) => onChange({ ...content, fill })}
      />
      <ChosenRole
        label="Names of parts"
        value={content.role ?? ''}
        standard={standard}
        unset="Not written"
        onSet={(role) => onChange(withOptional<KeyPlan, 'role'>(content, 'role', role || undefined))}
      />
      <ChosenPen
        drawn
        label="Lines"
        value={content.pen}
        standard={standard}
        onSet={(pen) => onChange({ ...content, pen: pen ?? content.pen })}
      />
    </>
  );
}

export const keyPlans: EditedKind<'keyPlan'> = {
  Editor: KeyPlanEditor,
  adding: { menu: 'Key plan', command: 'Add a key plan' },
  make: ({ id, standard }) => ({
    id,
    kind: 'keyPlan',
    horizontal: 'centre',
    vertical: 'middle',
    rotation: 0,
    outline: 'project.keyPlan',
    marks: 'sheet.keyPlanPart',
    fill: '#a6a6a6',
    pen: penFor(standard, 'fine').id,
  }),
};
