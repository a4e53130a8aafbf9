import { useMemo, useState } from 'react';
import Button from '@mui/material/Button';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { LetteringRole, OfficeStandard } from '@mendrel/core';
import { formatLength, letteringSpecimen, ROLE_USES } from '@mendrel/core';
import { FileButton } from '../../../app/FileButton';
import { api, errorOf } from '../../../app/api';
import { PlainTable } from '../../../app/PlainTable';
import { reloadTypefaces, useTypefaces } from '../../../app/typefaces';
import { Card } from '../../../app/Card';
import { Specimen } from '../Specimen';
import { Split } from '../Split';
import { TableCard } from '../TableCard';
import type { Column } from '../table/columns';
import { choices, lengths, numbers, plainOptions, ticks, words } from '../table/columns';
import { freshId, freshName, useStandardEdit } from '../useStandardEdit';

const columnsOf = (standard: OfficeStandard, typefaces: readonly string[]): Column<LetteringRole>[] => [
  words(
    { key: 'name', name: 'Role', width: 150 },
    (role) => role.name,
    (role, name) => ({ ...role, name }),
  ),
  choices(
    { key: 'use', name: 'For', width: 84 },
    (role) => role.use,
    (role, use) => ({ ...role, use: ROLE_USES.find((each) => each === use) ?? role.use }),
    () => plainOptions(ROLE_USES),
  ),
  lengths(
    { key: 'height', name: 'Height', width: 62 },
    (role) => role.height,
    (role, height) => ({ ...role, height }),
    (role) => role.unit,
    [0.5, 200],
  ),
  choices(
    { key: 'unit', name: 'Unit', width: 56 },
    (role) => role.unit,
    (role, unit) => ({ ...role, unit: unit === 'in' ? 'in' : 'mm' }),
    () => plainOptions(['mm', 'in']),
  ),
  choices(
    { key: 'typeface', name: 'Typeface and weight', width: 232 },
    (role) => role.typeface,
    (role, typeface) => ({ ...role, typeface }),
    (role) => plainOptions(typefaces.includes(role.typeface) ? typefaces : [role.typeface, ...typefaces]),
  ),
  numbers(
    { key: 'widthFactor', name: 'Width', width: 56 },
    (role) => role.widthFactor,
    (role, widthFactor) => ({ ...role, widthFactor }),
    [0.5, 2],
  ),
  numbers(
    { key: 'lineSpacing', name: 'Spacing', width: 60 },
    (role) => role.lineSpacing,
    (role, lineSpacing) => ({ ...role, lineSpacing }),
    [1, 4],
  ),
  ticks(
    { key: 'capitals', name: 'Capitals', width: 40 },
    (role) => role.capitals,
    (role, capitals) => ({ ...role, capitals }),
  ),
  choices(
    { key: 'pen', name: 'Pen', width: 92 },
    (role) => role.pen,
    (role, pen) => ({ ...role, pen }),
    () => standard.pens.map((pen) => ({ value: pen.id, label: pen.name })),
  ),
];

/** Lettering roles, each with its specimen at true size. */
export function Lettering() {
  const { standard, change, problemsIn } = useStandardEdit();
  const list = api.useTypefacesQuery();
  const typefaces = useTypefaces();
  const [chosen, setChosen] = useState('value');
  const role = standard.roles.find((each) => each.id === chosen) ?? standard.roles[0];
  const drawing = useMemo(
    () => (role ? letteringSpecimen(role, standard, typefaces) : undefined),
    [role, standard, typefaces],
  );
  const columns = useMemo(() => columnsOf(standard, list.data?.map((each) => each.name) ?? []), [standard, list.data]);
  return (
    <>
      {role && drawing ? (
        <Card
          title={`${role.name}, ${formatLength(role.height, role.unit, true)}`}
          about="At true size on a screen of 96 pixels to the inch. The ruler is in the role’s unit; the fine lines are base line and cap line."
        >
          <Specimen drawing={drawing} label={`Specimen of ${role.name} with a ruler`} trueSize />
        </Card>
      ) : null}
      <TableCard
        title="Lettering roles"
        about="Heights are those of capitals on paper. Width and spacing are factors; spacing is from base line to base line."
        add="Add a role"
        path="roles"
        caption="Lettering roles"
        columns={columns}
        rows={standard.roles}
        idOf={(each) => each.id}
        nameOf={(each) => each.name}
        problems={problemsIn('roles')}
        onChange={(roles, field) => change({ roles }, field)}
        least={1}
        fresh={(rows) => ({
          ...(rows.find((each) => each.id === chosen) ?? NEW_ROLE(standard)),
          id: freshId(rows, 'role'),
          name: freshName(rows, 'New role'),
        })}
        chosen={role?.id}
        onChoose={setChosen}
      />
      <Heights />
      <TypefaceList />
    </>
  );
}

const NEW_ROLE = (standard: OfficeStandard): LetteringRole => {
  const [first] = standard.roles;
  if (!first) throw new Error('a standard has at least one role');
  return first;
};

interface HeightRow {
  id: string;
  height: number;
}

const HEIGHT_COLUMNS: Column<HeightRow>[] = [
  lengths(
    { key: 'height', name: 'Height in mm', width: 110 },
    (row) => row.height,
    (row, height) => ({ ...row, height }),
    () => 'mm',
    [0.5, 200],
  ),
];

/** The series that texts may step down through. */
function Heights() {
  const { standard, change, problemsIn } = useStandardEdit();
  return (
    <Split width={420} beside={null}>
      <TableCard
        title="Series of heights"
        about="Texts step down to the next of these; ISO 3098 by default, with the inch heights of common practice."
        add="Add a height"
        path="heights"
        caption="Series of lettering heights"
        columns={HEIGHT_COLUMNS}
        rows={standard.heights.map((height, i) => ({ id: String(i), height }))}
        idOf={(row) => row.id}
        nameOf={(row) => formatLength(row.height, 'mm', true)}
        problems={problemsIn('heights')}
        onChange={(rows, field) =>
          change(
            // Sorted only when a row came or went: a row must not run away from under the fingers.
            {
              heights:
                rows.length === standard.heights.length
                  ? rows.map((row) => row.height)
                  : rows.map((row) => row.height).sort((a, b) => a - b),
            },
            field,
          )
        }
        least={1}
        fresh={(rows) => ({ id: String(rows.length), height: (rows.at(-1)?.height ?? 10) * Math.SQRT2 })}
        extra={{ name: 'In inches', width: 80, of: (row) => formatLength(row.height, 'in', true) }}
      />
    </Split>
  );
}

/** Chooses the typeface that letters come from which others lack. */
function Fallback({ names }: { names: readonly string[] }) {
  const { standard, change } = useStandardEdit();
  const { fallbackTypeface: chosen = '' } = standard;
  return (
    <TextField
      select
      label="Letters that a typeface lacks come from"
      value={chosen}
      onChange={({ target }) => change({ fallbackTypeface: target.value === '' ? undefined : target.value })}
      helperText="Set as high as the others. Without one, what a typeface lacks is told wherever it stands."
      slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
      sx={{ my: 4, maxWidth: 420 }}
    >
      <MenuItem value="">No other typeface</MenuItem>
      {[...new Set([...names, ...(chosen === '' ? [] : [chosen])])].map((name) => (
        <MenuItem key={name} value={name}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** The typefaces available, and a way to bring in more. */
function TypefaceList() {
  const { data } = api.useTypefacesQuery();
  const [add, adding] = api.useAddTypefaceMutation();
  const [remove] = api.useDeleteTypefaceMutation();
  const [licence, setLicence] = useState('');
  const { enqueueSnackbar } = useSnackbar();
  const upload = async (file: File): Promise<void> => {
    const result = await add({ file, licence: licence.trim() });
    if (result.error) {
      enqueueSnackbar(`${file.name} was not added: ${errorOf(result.error).message}`, { variant: 'error' });
      return;
    }
    setLicence('');
    await reloadTypefaces();
    enqueueSnackbar(`${result.data.name} can be chosen for roles now`, { variant: 'success' });
  };
  const takeAway = async (id: string): Promise<void> => {
    const result = await remove(id);
    if (result.error) enqueueSnackbar(errorOf(result.error).message, { variant: 'error' });
    else await reloadTypefaces();
  };
  return (
    <Card
      title="Typefaces"
      about="They are embedded in PDF, so their licence must allow that. TrueType or OpenType, up to 8 MB."
    >
      <Box sx={{ maxWidth: 720 }}>
        <PlainTable caption="Typefaces" headings={['Name', 'Licence', 'Where it comes from']}>
          {data?.map((each) => (
            <tr key={each.name}>
              <th scope="row">{each.name}</th>
              <td>{each.licence}</td>
              <td>
                {each.id === null ? (
                  'ships with Mendrel'
                ) : (
                  <Button size="small" onClick={() => each.id && void takeAway(each.id)}>
                    Remove {each.name}
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </PlainTable>
        <Box sx={{ display: 'flex', gap: 3, alignItems: 'flex-start', pt: 4 }}>
          <TextField
            label="Licence of the typeface to upload"
            value={licence}
            onChange={(event) => setLicence(event.target.value)}
            placeholder="OFL 1.1, or the number of your desktop and embedding licence"
            helperText={
              licence.trim() === '' ? 'Say under which licence it may be used and embedded, then choose the file.' : ' '
            }
            slotProps={{ htmlInput: { maxLength: 300 }, inputLabel: { shrink: true } }}
          />
          <FileButton
            variant="outlined"
            disabled={licence.trim() === '' || adding.isLoading}
            of="Font file"
            accept=".ttf,.otf"
            onFile={(file) => void upload(file)}
          >
            {adding.isLoading ? 'Uploading…' : 'Upload a typeface…'}
          </FileButton>
        </Box>
        <Fallback names={data?.map(({ name }) => name) ?? []} />
        <Typography sx={{ color: 'text.secondary' }}>
          Typefaces in use by the draft or by a published standard cannot be removed.
        </Typography>
      </Box>
    </Card>
  );
}
