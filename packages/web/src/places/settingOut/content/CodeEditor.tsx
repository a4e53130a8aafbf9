import type { CodeContent, CodeLevel } from '@mendrel/core';
import { CODE_LEVELS } from '@mendrel/core';
import { Chosen } from '../../../app/Chosen';
import { Pair } from '../details/Section';
import { Typed } from '../../../app/Typed';
import type { EditedKind, EditorProps } from './editing';
import { readPattern } from './patternProblem';

const LEVEL_WORDS: Readonly<Record<CodeLevel, string>> = {
  L: '7 % of it',
  M: '15 % of it',
  Q: '25 % of it',
  H: '30 % of it',
};

/** A QR code: what it says, its side on paper, and how much of it may be damaged. */
function CodeEditor({ content, unit, onChange }: EditorProps<CodeContent>) {
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
          label="Side"
          length={unit}
          required
          value={content.side}
          onSet={(side) => onChange({ ...content, side })}
        />
        <Chosen
          label="May be damaged"
          value={content.level}
          options={CODE_LEVELS.map((level) => [level, LEVEL_WORDS[level]] as const)}
          onSet={(level) => onChange({ ...content, level })}
        />
      </Pair>
    </>
  );
}

export const codes: EditedKind<'code'> = {
  Editor: CodeEditor,
  adding: { menu: 'QR code', command: 'Add a QR code' },
  make: ({ id, unit }) => ({
    id,
    kind: 'code',
    horizontal: 'right',
    vertical: 'bottom',
    rotation: 0,
    pattern: '{project.number}/{sheet.number}[/{sheet.revision}]',
    side: unit === 'in' ? '3/4 in' : '20 mm',
    level: 'M',
  }),
};
