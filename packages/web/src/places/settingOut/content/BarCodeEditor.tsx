import type { BarCode } from '@mendrel/core';
import { roleFor } from '@mendrel/core';
import { Chosen } from '../../../app/Chosen';
import { Pair } from '../details/Section';
import { Typed } from '../../../app/Typed';
import type { EditedKind, EditorProps } from './editing';
import { readPattern } from './patternProblem';
import { withOptional } from './withOptional';

/** A bar code: what it says, its size on paper, and whether the words stand under it. */
function BarCodeEditor({ content, standard, unit, onChange }: EditorProps<BarCode>) {
  return (
    <>
      <Typed
        label="It says"
        value={content.pattern}
        required
        read={readPattern}
        onSet={(pattern) => onChange({ ...content, pattern })}
      />
      <Pair>
        <Typed
          label="Width"
          length={unit}
          required
          value={content.width}
          onSet={(width) => onChange({ ...content, width })}
        />
        <Typed
          label="Height of its bars"
          length={unit}
          required
          value={content.height}
          onSet={(height) => onChange({ ...content, height })}
        />
      </Pair>
      <Chosen
        label="Words under it"
        value={content.role ?? ''}
        options={[['', 'None'], ...standard.roles.map(({ id, name }) => [id, name] as const)]}
        onSet={(role) => onChange(withOptional(content, 'role', role || undefined))}
      />
    </>
  );
}

export const barCodes: EditedKind<'barCode'> = {
  Editor: BarCodeEditor,
  adding: { menu: 'Bar code', command: 'Add a bar code' },
  make: ({ id, unit, standard }) => ({
    id,
    kind: 'barCode',
    horizontal: 'centre',
    vertical: 'bottom',
    rotation: 0,
    pattern: '{project.number}-{sheet.number}',
    width: unit === 'in' ? '2 1/2 in' : '60 mm',
    height: unit === 'in' ? '3/8 in' : '10 mm',
    role: roleFor(standard, 'caption', unit).id,
  }),
};
