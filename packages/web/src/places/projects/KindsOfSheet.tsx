import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { DesignSwap, Project, ProjectKindChange } from '@mendrel/contract';
import { SHEET_KINDS } from '@mendrel/core';
import { api } from '../../app/api';
import { Card } from '../../app/Card';
import { PlainTable } from '../../app/PlainTable';

interface Props {
  project: Project;
  /** Whether something else is being changed that would be lost. */
  busy: boolean;
  /** Asks whether sheets are to be drawn with other designs. */
  onDesign: (words: string, swap: DesignSwap) => void;
  /** Changes what new sheets begin with. */
  onSize: (change: DesignSwap) => Promise<void>;
}

const LIKE_OTHERS = 'others';
const DRAFT = 'draft';

/** What sheets of a kind are drawn with, where it is not what the others are drawn with, and which size new ones have. */
export function KindsOfSheet({ project, busy, onDesign, onSize }: Props) {
  const designs = api.useDesignsQuery();
  const changed = (wanted: ProjectKindChange): { kinds: ProjectKindChange[] } => {
    const others = project.kinds
      .filter(({ kind }) => kind !== wanted.kind)
      .map(({ kind, designId, designRevision, size }) => ({ kind, designId, designRevision, size }));
    return { kinds: [...others, wanted] };
  };
  return (
    <Card
      wide
      title="Kinds of sheet"
      about="A kind may have a design of its own, a cover for instance; all others are drawn with the design of the project."
    >
      <PlainTable
        caption="What each kind of sheet is drawn with"
        headings={['Kind', 'Design', 'Revision of it', 'Size of new sheets']}
      >
        {SHEET_KINDS.map((kind) => {
          const own = project.kinds.find((each) => each.kind === kind);
          const designId = own?.designId ?? null;
          const size = own?.size ?? null;
          const used = designs.data?.find(({ id }) => id === (designId ?? project.designId));
          return (
            <tr key={kind}>
              <th scope="row">{kind}</th>
              <td>
                <TextField
                  select
                  fullWidth
                  disabled={busy || !designs.data}
                  value={designs.data ? (designId ?? LIKE_OTHERS) : ''}
                  onChange={({ target }) => {
                    const own = target.value === LIKE_OTHERS ? null : target.value;
                    const name = designs.data?.find(({ id }) => id === (own ?? project.designId))?.name ?? '';
                    onDesign(`Draw each ${kind} with ${name}`, changed({ kind, designId: own, size }));
                  }}
                  slotProps={{ select: { SelectDisplayProps: { 'aria-label': `Design of ${kind}` } } }}
                >
                  <MenuItem value={LIKE_OTHERS}>The design of the project</MenuItem>
                  {(designs.data ?? []).map(({ id, name }) => (
                    <MenuItem key={id} value={id}>
                      {name}
                    </MenuItem>
                  ))}
                </TextField>
              </td>
              <td>
                {own && designId !== null ? (
                  <KindRevision
                    kind={kind}
                    designId={designId}
                    value={own.designRevision}
                    busy={busy}
                    onSet={(designRevision) =>
                      onDesign(
                        designRevision === null
                          ? `Draw each ${kind} with the draft`
                          : `Draw each ${kind} with revision ${designRevision}`,
                        changed({ kind, designId, designRevision, size }),
                      )
                    }
                  />
                ) : null}
              </td>
              <td>
                <TextField
                  select
                  fullWidth
                  disabled={busy}
                  value={used?.sizes.includes(size ?? '') ? size : ''}
                  onChange={({ target }) =>
                    void onSize(
                      changed({
                        kind,
                        designId,
                        ...(own && designId !== null ? { designRevision: own.designRevision } : {}),
                        size: target.value === '' ? null : target.value,
                      }),
                    )
                  }
                  slotProps={{
                    select: { displayEmpty: true, SelectDisplayProps: { 'aria-label': `Size of new ${kind} sheets` } },
                  }}
                >
                  <MenuItem value="">the usual size</MenuItem>
                  {(used?.sizes ?? []).map((each) => (
                    <MenuItem key={each} value={each}>
                      {each}
                    </MenuItem>
                  ))}
                </TextField>
              </td>
            </tr>
          );
        })}
      </PlainTable>
    </Card>
  );
}

interface RevisionProps {
  kind: string;
  designId: string;
  value: number | null;
  busy: boolean;
  onSet: (revision: number | null) => void;
}

/** Which revision of its own design a kind of sheet is drawn with. */
function KindRevision({ kind, designId, value, busy, onSet }: RevisionProps) {
  const revisions = api.useDesignRevisionsQuery(designId).currentData;
  return (
    <TextField
      select
      fullWidth
      disabled={busy || !revisions}
      value={revisions ? (value ?? DRAFT) : ''}
      onChange={({ target }) => onSet(target.value === DRAFT ? null : Number(target.value))}
      slotProps={{ select: { SelectDisplayProps: { 'aria-label': `Revision of the design of ${kind}` } } }}
    >
      <MenuItem value={DRAFT}>Follows the draft</MenuItem>
      {(revisions ?? []).map(({ number, note }) => (
        <MenuItem key={number} value={number}>
          Revision {number}: {note}
        </MenuItem>
      ))}
    </TextField>
  );
}
