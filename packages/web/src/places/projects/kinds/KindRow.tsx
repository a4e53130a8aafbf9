import { useState } from 'react';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import DeleteOutlineIcon from '@mui/icons-material/DeleteOutlined';
import { useSnackbar } from 'notistack';
import type { DesignSwap, Project } from '@mendrel/contract';
import type { SheetKind } from '@mendrel/core';
import { MOST_KIND_CHARACTERS, moduleWords } from '@mendrel/core';
import { api, errorOf } from '../../../app/api';
import { DesignRevision } from '../swap/DesignRevision';
import type { SheetDesigns } from '../sheetDrawings';
import { withKind } from './changedKinds';
import { FIGURES } from './figures';
import { GridOfKind } from './GridOfKind';
import { useOwnKinds } from './useOwnKinds';

interface Props {
  kind: SheetKind;
  /** Whether the office has it besides the usual ones. */
  own: boolean;
  project: Project;
  designs: SheetDesigns | undefined;
  busy: boolean;
  onDesign: (words: string, swap: DesignSwap) => void;
  onSize: (change: DesignSwap) => Promise<void>;
}

const LIKE_OTHERS = 'others';

/** One kind of sheet: its design, the size of new sheets, its module grid. */
export function KindRow({ kind: { name, figure }, own, project, designs, busy, onDesign, onSize }: Props) {
  const all = api.useDesignsQuery().data;
  const has = project.kinds.find((each) => each.kind === name);
  const designId = has?.designId ?? null;
  const size = has?.size ?? null;
  const used = all?.find(({ id }) => id === (designId ?? project.designId));
  const changed = (change: Parameters<typeof withKind>[2]): DesignSwap => ({
    kinds: withKind(project.kinds, name, change),
  });
  return (
    <tr>
      <th scope="row">{own ? <NameField name={name} /> : name}</th>
      <td>{own ? <FigureField name={name} figure={figure} /> : figure}</td>
      <td>
        <TextField
          select
          fullWidth
          disabled={busy || !all}
          value={all ? (designId ?? LIKE_OTHERS) : ''}
          onChange={({ target }) => {
            const wanted = target.value === LIKE_OTHERS ? null : target.value;
            const words = all?.find(({ id }) => id === (wanted ?? project.designId))?.name ?? '';
            onDesign(`Draw each ${name} with ${words}`, changed({ designId: wanted }));
          }}
          slotProps={{ select: { SelectDisplayProps: { 'aria-label': `Design of ${name}` } } }}
        >
          <MenuItem value={LIKE_OTHERS}>The design of the project</MenuItem>
          {(all ?? []).map(({ id, name: of }) => (
            <MenuItem key={id} value={id}>
              {of}
            </MenuItem>
          ))}
        </TextField>
      </td>
      <td>
        {has && designId !== null ? (
          <DesignRevision
            designId={designId}
            value={has.designRevision}
            hiddenLabel={`Revision of the design of ${name}`}
            disabled={busy}
            onSet={(designRevision) =>
              onDesign(
                designRevision === null
                  ? `Draw each ${name} with the draft`
                  : `Draw each ${name} with revision ${designRevision}`,
                changed({ designRevision }),
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
          onChange={({ target }) => void onSize(changed({ size: target.value === '' ? null : target.value }))}
          slotProps={{
            select: { displayEmpty: true, SelectDisplayProps: { 'aria-label': `Size of new ${name} sheets` } },
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
      <td>
        <GridOfKind
          kind={name}
          own={has?.modules ?? null}
          design={designs?.of({ kind: name })}
          disabled={busy}
          onSet={(modules) =>
            onDesign(
              modules
                ? `Stand views of each ${name} in another module grid: ${moduleWords(modules)}`
                : `Stand views of each ${name} in the modules of its design`,
              changed({ modules }),
            )
          }
        />
      </td>
      <td>{own ? <DeleteKind name={name} /> : null}</td>
    </tr>
  );
}

/** The name of a kind of the office's own: sheets, projects and conditions of designs follow another one. */
function NameField({ name }: { name: string }) {
  const [typed, setTyped] = useState(name);
  const [saving, setSaving] = useState(false);
  const { own, save } = useOwnKinds();
  const { enqueueSnackbar } = useSnackbar();
  const set = async (to: string): Promise<void> => {
    const error = await save(
      own.map((each) => (each.name === name ? { ...each, name: to } : each)),
      { from: name, to },
    );
    setSaving(false);
    if (error) enqueueSnackbar(`Not renamed: ${errorOf(error).message}`, { variant: 'error' });
    else enqueueSnackbar(`${name} is called ${to} now, on all sheets`);
  };
  const finish = (): void => {
    const to = typed.trim();
    if (to === '' || to === name) setTyped(name);
    // Whoever presses Enter leaves the field as well.
    else if (!saving) {
      setSaving(true);
      void set(to);
    }
  };
  return (
    <TextField
      value={typed}
      onChange={({ target }) => setTyped(target.value)}
      onBlur={finish}
      onKeyDown={({ key }) => {
        if (key === 'Enter') finish();
        if (key === 'Escape') setTyped(name);
      }}
      slotProps={{ htmlInput: { 'aria-label': `Name of ${name}`, maxLength: MOST_KIND_CHARACTERS } }}
    />
  );
}

/** The figure of a kind of the office's own in sheet numbers. */
function FigureField({ name, figure }: SheetKind) {
  const { own, save } = useOwnKinds();
  const { enqueueSnackbar } = useSnackbar();
  const set = async (wanted: number): Promise<void> => {
    const error = await save(own.map((each) => (each.name === name ? { name, figure: wanted } : each)));
    if (error) enqueueSnackbar(`Not changed: ${errorOf(error).message}`, { variant: 'error' });
  };
  return (
    <TextField
      select
      value={figure}
      onChange={({ target }) => void set(Number(target.value))}
      slotProps={{ select: { SelectDisplayProps: { 'aria-label': `Figure of ${name}` } } }}
    >
      {FIGURES.map((each) => (
        <MenuItem key={each} value={each}>
          {each}
        </MenuItem>
      ))}
    </TextField>
  );
}

function DeleteKind({ name }: { name: string }) {
  const { own, save } = useOwnKinds();
  const { enqueueSnackbar } = useSnackbar();
  const remove = async (): Promise<void> => {
    const error = await save(own.filter((each) => each.name !== name));
    if (error) enqueueSnackbar(`Not deleted: ${errorOf(error).message}`, { variant: 'error' });
  };
  return (
    <Box>
      <IconButton size="small" aria-label={`Delete the kind ${name}`} onClick={() => void remove()}>
        <DeleteOutlineIcon fontSize="small" />
      </IconButton>
    </Box>
  );
}
