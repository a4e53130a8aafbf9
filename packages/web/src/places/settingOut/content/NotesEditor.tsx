import type { Notes } from '@mendrel/core';
import { roleFor } from '@mendrel/core';
import { ChosenRole } from '../details/Chosen';
import { Typed } from '../../../app/Typed';
import type { EditedKind, EditorProps } from './editing';

/** Long fixed text: its paragraphs and its lettering role. */
function NotesEditor({ content, standard, onChange }: EditorProps<Notes>) {
  return (
    <>
      <Typed label="Text" multiline value={content.text} onSet={(text) => onChange({ ...content, text })} />
      <ChosenRole
        label="Lettering role"
        value={content.role}
        standard={standard}
        onSet={(role) => onChange({ ...content, role })}
      />
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
