import type { Content, Notes, OfficeStandard } from '@mendrel/core';
import { ChosenRole } from '../details/Chosen';
import { Typed } from '../details/Typed';

/** Long fixed text: its paragraphs and its lettering role. */
export function NotesEditor({
  content,
  standard,
  onChange,
}: {
  content: Notes;
  standard: OfficeStandard;
  onChange: (content: Content) => void;
}) {
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
