import type { Signing } from '@mendrel/core';
import { penFor, roleFor, SIGNING_FORMS, SIGNING_WORDS } from '@mendrel/core';
import { Chosen } from '../../../app/Chosen';
import { RoleAndPen } from '../details/Chosen';
import { Pair } from '../details/Section';
import { Typed } from '../../../app/Typed';
import type { EditedKind, EditorProps } from './editing';
import { readPattern } from './patternProblem';

/** A line to sign on, or the circle of a seal: its size, and the words with it. */
function SigningEditor({ content, standard, unit, onChange }: EditorProps<Signing>) {
  const isLine = content.form === 'line';
  return (
    <>
      <Pair>
        <Chosen
          label="Form"
          value={content.form}
          options={SIGNING_FORMS.map((form) => [form, SIGNING_WORDS[form]] as const)}
          onSet={(form) => onChange({ ...content, form })}
        />
        <Typed
          label={isLine ? 'Length' : 'Diameter'}
          length={unit}
          required
          value={content.size}
          onSet={(size) => onChange({ ...content, size })}
        />
      </Pair>
      <Typed
        label={isLine ? 'Words under it' : 'Words in it'}
        value={content.pattern}
        read={readPattern}
        onSet={(pattern) => onChange({ ...content, pattern })}
      />
      <RoleAndPen of={content} standard={standard} onSet={(change) => onChange({ ...content, ...change })} />
    </>
  );
}

export const signings: EditedKind<'signing'> = {
  Editor: SigningEditor,
  adding: { menu: 'Signature or seal', command: 'Add a signature line or seal' },
  make: ({ id, unit, standard }) => ({
    id,
    kind: 'signing',
    form: 'line',
    horizontal: 'left',
    vertical: 'bottom',
    rotation: 0,
    size: unit === 'in' ? '1 1/2 in' : '40 mm',
    pattern: '{sheet.checkedBy}',
    role: roleFor(standard, 'caption', unit).id,
    pen: penFor(standard, 'fine').id,
  }),
};
