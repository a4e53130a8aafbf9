import type { Notes } from '@mendrel/core';
import { readMarks, roleFor, writeMarks } from '@mendrel/core';
import { ChosenRole } from '../details/Chosen';
import { Typed } from '../../../app/Typed';
import type { EditedKind, EditorProps } from './editing';
import { withOptional } from './withOptional';

/** Notes with what was typed, and with a role for strong words from the first of them on. */
function withMarks(content: Notes, typed: string, strongRole: string): Notes {
  const { text, paragraphs } = readMarks(typed);
  const next = withOptional<Notes, 'paragraphs'>({ ...content, text }, 'paragraphs', paragraphs);
  const strong = paragraphs?.some(({ runs }) => runs.some((run) => run.strong)) ?? false;
  return withOptional<Notes, 'strong'>(next, 'strong', strong ? (content.strong ?? strongRole) : undefined);
}

/** Long fixed text: its paragraphs with what stands out in them, and its lettering roles. */
function NotesEditor({ content, standard, unit, onChange }: EditorProps<Notes>) {
  const strongRole = roleFor(standard, 'title', unit).id;
  return (
    <>
      <Typed
        label="Text"
        multiline
        value={writeMarks(content)}
        help="*strong*, _underlined_, | between columns, lines that begin with 1. or - for lists"
        onSet={(typed) => onChange(withMarks(content, typed, strongRole))}
      />
      <ChosenRole
        label="Lettering role"
        value={content.role}
        standard={standard}
        onSet={(role) => onChange({ ...content, role })}
      />
      {content.strong === undefined ? null : (
        <ChosenRole
          label="Strong words as"
          value={content.strong}
          standard={standard}
          onSet={(strong) => onChange({ ...content, strong })}
        />
      )}
    </>
  );
}

export const notes: EditedKind<'notes'> = {
  Editor: NotesEditor,
  adding: { menu: 'Notes', command: 'Add notes' },
  make: ({ id, unit, standard }) => ({
    id,
    kind: 'notes',
    horizontal: 'left',
    vertical: 'top',
    rotation: 0,
    role: roleFor(standard, 'notes', unit).id,
    text: 'Notes',
  }),
};
