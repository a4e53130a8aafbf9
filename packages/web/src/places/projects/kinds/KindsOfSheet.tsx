import type { DesignSwap, Project } from '@mendrel/contract';
import { USUAL_KINDS } from '@mendrel/core';
import { Card } from '../../../app/Card';
import { PlainTable } from '../../../app/PlainTable';
import { useSheetKinds } from '../../../app/sheetKinds';
import type { SheetDesigns } from '../sheetDrawings';
import { AddKind } from './AddKind';
import { KindRow } from './KindRow';

interface Props {
  project: Project;
  designs: SheetDesigns | undefined;
  /** Whether something else is being changed that would be lost. */
  busy: boolean;
  /** Asks whether sheets are to be drawn otherwise. */
  onDesign: (words: string, swap: DesignSwap) => void;
  /** Changes what new sheets begin with. */
  onSize: (change: DesignSwap) => Promise<void>;
}

/** What sheets of a kind are drawn with, where it is not what the others are drawn with, and which size new ones have. */
export function KindsOfSheet({ project, designs, busy, onDesign, onSize }: Props) {
  const kinds = useSheetKinds();
  return (
    <Card
      wide
      title="Kinds of sheet"
      about="A kind may have a design or a module grid of its own; all others have those of the project. The kinds themselves are the same in all projects."
    >
      <PlainTable
        caption="What each kind of sheet is drawn with"
        headings={['Kind', 'Figure', 'Design', 'Revision of it', 'Size of new sheets', 'Module grid', 'Edit']}
      >
        {kinds.map((kind, i) => (
          <KindRow
            key={kind.name}
            kind={kind}
            own={i >= USUAL_KINDS.length}
            project={project}
            designs={designs}
            busy={busy}
            onDesign={onDesign}
            onSize={onSize}
          />
        ))}
      </PlainTable>
      <AddKind />
    </Card>
  );
}
