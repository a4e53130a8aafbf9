import { useState } from 'react';
import TextField from '@mui/material/TextField';
import type { Caption, Field, OfficeStandard } from '@mendrel/core';
import { isWords, fillPattern, MOST_TEXT_LINES, parametersOf, roleFor } from '@mendrel/core';
import { Chosen } from '../../../app/Chosen';
import { ChosenRole } from '../details/Chosen';
import { ChosenParameter } from '../details/ChosenParameter';
import { BREAK_HINT, keepsText } from '../../../app/typedBreaks';
import { Pair } from '../details/Section';
import type { EditedKind, EditorProps } from './editing';
import { LanguageFields } from './LanguageFields';
import { patternProblem } from './patternProblem';
import { withOptional } from './withOptional';

const LINES = [1, 2, 3, 4, 6, 12, 40];

/** A caption or a field: its words, its lettering role, and what it may do to fit. */
function TextEditor({ content, standard, onChange }: EditorProps<Caption | Field>) {
  const words = content.kind === 'caption' ? content.text : content.pattern;
  const [typed, setTyped] = useState<string>();
  const problem = content.kind === 'field' && typed !== undefined ? patternProblem(typed) : undefined;
  const keep = (): void => {
    if (typed === undefined || problem !== undefined) return;
    setTyped(undefined);
    if (typed === words) return;
    // What is broken by hand needs as many lines at least.
    const lines = Math.min(MOST_TEXT_LINES, Math.max(content.fit.lines, typed.split('\n').length));
    const fit = { ...content.fit, lines };
    onChange(content.kind === 'caption' ? { ...content, text: typed, fit } : { ...content, pattern: typed, fit });
  };
  const parameters = [...parametersOf(standard).values()].filter((each) => isWords(each));
  const { lines, condense, steps } = content.fit;
  const fit = (change: Partial<Caption['fit']>): void => onChange({ ...content, fit: { ...content.fit, ...change } });
  return (
    <>
      <TextField
        label={content.kind === 'caption' ? 'Fixed words' : 'Words from data'}
        value={typed ?? words}
        error={problem !== undefined}
        helperText={problem ?? (content.kind === 'field' ? fieldHelp(typed ?? words, standard) : undefined)}
        onChange={(event) => setTyped(event.target.value)}
        multiline
        maxRows={6}
        onBlur={keep}
        onKeyDown={(event) => {
          if (keepsText(event)) keep();
          else if (event.key === 'Escape') setTyped(undefined);
        }}
        slotProps={{ htmlInput: { spellCheck: content.kind === 'caption', title: BREAK_HINT } }}
      />
      {content.kind === 'caption' ? (
        <LanguageFields
          standard={standard}
          what="Words"
          words={content.inLanguages}
          onSet={(inLanguages) => onChange(withOptional(content, 'inLanguages', inLanguages))}
        />
      ) : null}
      {content.kind === 'field' ? (
        <ChosenParameter
          label="Add a parameter"
          value=""
          standard={standard}
          parameters={parameters}
          onSet={(key) =>
            onChange({ ...content, pattern: content.pattern === '' ? `{${key}}` : `${content.pattern} {${key}}` })
          }
        />
      ) : null}
      <ChosenRole
        label="Lettering role"
        value={content.role}
        standard={standard}
        onSet={(role) => onChange({ ...content, role })}
      />
      <Pair>
        <Chosen
          label="Most lines"
          value={String(lines)}
          options={(LINES.includes(lines) ? LINES : [...LINES, lines]).map((n) => [String(n), String(n)] as const)}
          onSet={(value) => fit({ lines: Number(value) })}
        />
        <Chosen
          label="Condense to"
          value={String(condense)}
          options={[1, 0.95, 0.9, 0.85, 0.8, 0.75, 0.7].map(
            (n) => [String(n), n === 1 ? 'Never' : `${Math.round(n * 100)} %`] as const,
          )}
          onSet={(value) => fit({ condense: Number(value) })}
        />
        <Chosen
          label="Step down"
          value={String(steps)}
          options={[0, 1, 2, 3].map((n) => [String(n), n === 0 ? 'Never' : `${n} height${n > 1 ? 's' : ''}`] as const)}
          onSet={(value) => fit({ steps: Number(value) })}
        />
      </Pair>
    </>
  );
}

function fieldHelp(pattern: string, standard: OfficeStandard): string {
  const parameters = parametersOf(standard);
  const values = Object.fromEntries([...parameters.values()].map((each) => [each.key, each.typical]));
  const { text, missing, spared } = fillPattern(pattern, values);
  const unknown = [...missing, ...spared].find((key) => !parameters.has(key));
  return unknown ? `There is no parameter {${unknown}}.` : text === '' ? 'Nothing yet.' : `Reads for example: ${text}`;
}

const FIT = { lines: 1, condense: 0.85, steps: 1 };

export const captions: EditedKind<'caption'> = {
  Editor: TextEditor,
  adding: { menu: 'Caption', command: 'Add a caption', key: 'C' },
  make: ({ id, unit, standard }) => ({
    id,
    kind: 'caption',
    horizontal: 'left',
    vertical: 'top',
    rotation: 0,
    role: roleFor(standard, 'caption', unit).id,
    text: 'Caption',
    fit: FIT,
  }),
};

export const fields: EditedKind<'field'> = {
  Editor: TextEditor,
  adding: { menu: 'Field', command: 'Add a field', key: 'F' },
  make: ({ id, unit, standard }) => ({
    id,
    kind: 'field',
    horizontal: 'left',
    vertical: 'bottom',
    rotation: 0,
    role: roleFor(standard, 'value', unit).id,
    pattern: '{sheet.title}',
    fit: FIT,
  }),
};
