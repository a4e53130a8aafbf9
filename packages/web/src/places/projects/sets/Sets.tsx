import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import ListItemText from '@mui/material/ListItemText';
import { useSnackbar } from 'notistack';
import type { Project, Sheet } from '@mendrel/contract';
import type { OfficeStandard } from '@mendrel/core';
import { counted } from '@mendrel/core';
import { errorOf, faultOf } from '../../../app/api';
import { useCommands } from '../../../app/commands';
import type { Downloads } from '../../../app/download';
import { issueApi } from '../../../app/issueApi';
import { Empty, Failed, Loading } from '../../../app/states';
import { SetForm } from './SetForm';
import { freshName, nameOf } from './setWords';

interface Props {
  project: Project;
  sheets: readonly Sheet[];
  standard: OfficeStandard;
  downloads: Downloads;
}

/** The sets of a project: ordered choices of its sheets that are put out together. */
export function Sets({ project, sheets, standard, downloads }: Props) {
  const found = issueApi.useProjectSetsQuery(project.id);
  const [create, creating] = issueApi.useCreateSetMutation();
  const [opened, setOpened] = useState<string>();
  const { enqueueSnackbar } = useSnackbar();
  const sets = found.currentData;
  const add = async (): Promise<void> => {
    const values = { 'set.name': freshName(sets ?? []) };
    const result = await create({ projectId: project.id, values, sheets: [] });
    if (result.error) enqueueSnackbar(`Not made: ${errorOf(result.error).message}`, { variant: 'error' });
    else setOpened(result.data.id);
  };
  useCommands([{ name: 'New set', keys: 'N', run: () => void add() }]);
  const fault = faultOf(found);
  if (fault) return <Failed error={fault} retry={() => void found.refetch()} />;
  if (!sets) return <Loading what="the sets" />;
  const button = (
    <Button variant="contained" onClick={() => void add()} disabled={creating.isLoading || sheets.length === 0}>
      New set
    </Button>
  );
  const shown = sets.find(({ id }) => id === opened) ?? sets[0];
  if (!shown)
    return (
      <Empty title="No sets yet" action={button}>
        {sheets.length === 0
          ? 'Add sheets in the register first.'
          : 'A set is an ordered choice of sheets that go out together, such as those for the planning application. Until there is one, all sheets of the register are the set.'}
      </Empty>
    );
  return (
    <Box sx={{ flex: 1, minHeight: 0, display: 'flex', gap: 5, p: 4, overflow: 'auto' }}>
      <Box sx={{ width: 240, flex: 'none', display: 'flex', flexDirection: 'column', gap: 3 }}>
        {button}
        <List
          component="nav"
          aria-label="Sets"
          dense
          disablePadding
          sx={{ border: 1, borderColor: 'divider', bgcolor: 'background.paper' }}
        >
          {sets.map((set) => (
            <ListItemButton key={set.id} selected={set.id === shown.id} onClick={() => setOpened(set.id)}>
              <ListItemText
                primary={nameOf(set)}
                secondary={counted(set.sheets.length, 'sheet')}
                slotProps={{ primary: { noWrap: true, title: nameOf(set) } }}
              />
            </ListItemButton>
          ))}
        </List>
      </Box>
      <SetForm
        key={`${shown.id} ${shown.version} ${shown.sheets.length}`}
        set={shown}
        sheets={sheets}
        standard={standard}
        downloads={downloads}
        onDeleted={() => setOpened(undefined)}
      />
    </Box>
  );
}
