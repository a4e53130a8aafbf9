import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { Project } from '@mendrel/contract';
import type { AreaSettings, MeasuredArea, OfficeStandard } from '@mendrel/core';
import {
  AREA_UNITS,
  areaRows,
  counted,
  groupedAreas,
  listedAreas,
  letteringOfViews,
  unlistedGroups,
} from '@mendrel/core';
import { errorOf } from '../../../app/api';
import { Sign } from '../../../app/FindingMark';
import { Failed, Loading } from '../../../app/states';
import { drawingApi } from '../views/drawingApi';
import { areaApi } from './areaApi';
import { AreaPlan } from './AreaPlan';
import { AreaSources } from './AreaSources';
import { AreaTable } from './AreaTable';
import { ListedAreas } from './ListedAreas';

interface Props {
  project: Project;
  standard: OfficeStandard;
}

/** Most groups of a project. */
const MOST_GROUPS = 60;
/** Findings that are listed. */
const LISTED = 12;

/** Areas measured from the drawings of a project: outlines on a plan, by groups with totals, and the table that title blocks show. */
export function Areas({ project, standard }: Props) {
  const saved = areaApi.useAreasQuery(project.id);
  const drawings = drawingApi.useDrawingsQuery(project.id);
  const [draft, setDraft] = useState<AreaSettings>();
  const [shown, setShown] = useState(0);
  const [lit, setLit] = useState<MeasuredArea>();
  const [save, saving] = areaApi.useSaveAreasMutation();
  const { enqueueSnackbar } = useSnackbar();
  const settings = draft ?? saved.data?.settings;
  const measured = areaApi.useMeasuredAreasQuery(
    { id: project.id, sources: settings?.sources ?? [] },
    { skip: draft === undefined || draft.sources === saved.data?.settings.sources },
  );
  const sources = draft && draft.sources !== saved.data?.settings.sources ? measured.data : saved.data?.sources;
  const listed = settings?.listed;
  const areas = useMemo(
    () => [...(sources ?? []).flatMap((each) => each.areas), ...listedAreas(listed ? { listed } : {})],
    [sources, listed],
  );
  const error = saved.error ?? drawings.error ?? measured.error;
  if (error) return <Failed error={error} retry={() => void saved.refetch()} />;
  if (!settings || !saved.data || !drawings.data) return <Loading what="the areas" />;

  const change = (over: Partial<AreaSettings>): void => setDraft({ ...settings, ...over });
  const keep = async (): Promise<void> => {
    const result = await save({ id: project.id, settings, version: saved.data?.version ?? project.version });
    if (result.error) enqueueSnackbar(`Not saved: ${errorOf(result.error).message}`, { variant: 'error' });
    else {
      setDraft(undefined);
      const now = result.data.sources.flatMap((each) => each.areas);
      const rows = areaRows([...now, ...listedAreas(settings)], settings);
      enqueueSnackbar(`Saved; the table of areas has ${counted(rows.length, 'row')}`);
    }
  };
  const current = sources?.[shown];
  const of = settings.sources[shown];
  const box = drawings.data
    .find(({ id }) => id === of?.drawing)
    ?.spaces.find(({ linework }) => linework === current?.linework)?.box;
  const grouped = groupedAreas(areas, settings);
  const unlisted = unlistedGroups(areas, settings);
  const findings = current?.findings ?? [];
  return (
    <Box sx={{ flex: 1, minHeight: 0, overflow: 'auto', p: 5, display: 'flex', gap: 6, alignItems: 'flex-start' }}>
      <Box sx={{ flex: 'none', width: 660 }}>
        <Typography variant="h2" component="h2" sx={{ mb: 3 }}>
          Areas
        </Typography>
        <AreaSources
          drawings={drawings.data}
          sources={settings.sources}
          works={standard.unit}
          shown={shown}
          onShow={setShown}
          onChange={(next) => change({ sources: next })}
        />
        <ListedAreas
          listed={settings.listed ?? []}
          unit={settings.unit}
          onChange={(next) => change({ listed: next })}
        />
        <Box sx={{ mt: 4 }}>
          {current && box ? (
            <AreaPlan
              source={current}
              box={box}
              settings={settings}
              lettering={letteringOfViews(standard)}
              lit={lit}
              findings={findings}
            />
          ) : measured.isFetching ? (
            <Loading what="the outlines" />
          ) : null}
        </Box>
        {findings.length > 0 ? (
          <Box component="ul" aria-label="What is wrong with the outlines" sx={{ listStyle: 'none', p: 0, mt: 3 }}>
            {findings.slice(0, LISTED).map(({ kind, message }, i) => (
              <li key={i}>
                <Sign weight={kind === 'no name' || kind === 'outside' ? 'gap' : 'error'} /> {message}
              </li>
            ))}
            {findings.length > LISTED ? <li>and {findings.length - LISTED} more, marked on the plan</li> : null}
          </Box>
        ) : null}
      </Box>
      <Box
        sx={{
          flex: 1,
          minWidth: 380,
          bgcolor: 'background.paper',
          border: 1,
          borderColor: 'divider',
          borderRadius: 1,
          p: 4,
        }}
      >
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mb: 3 }}>
          <TextField
            select
            size="small"
            label="Unit"
            value={settings.unit}
            onChange={(event) => change({ unit: event.target.value as AreaSettings['unit'] })}
            sx={{ width: 96 }}
          >
            {Object.keys(AREA_UNITS).map((unit) => (
              <MenuItem key={unit} value={unit}>
                {unit}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            select
            size="small"
            label="Digits"
            value={settings.decimals}
            onChange={(event) => change({ decimals: Number(event.target.value) })}
            sx={{ width: 80 }}
          >
            {[0, 1, 2, 3].map((digits) => (
              <MenuItem key={digits} value={digits}>
                {digits}
              </MenuItem>
            ))}
          </TextField>
          <Box sx={{ flex: 1 }} />
          {draft ? (
            <Button color="inherit" onClick={() => setDraft(undefined)}>
              Discard
            </Button>
          ) : null}
          <Button
            variant="contained"
            disabled={!draft || saving.isLoading || measured.isFetching}
            onClick={() => void keep()}
          >
            Save the areas
          </Button>
        </Box>
        {unlisted.length > 0 ? (
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mb: 2 }}>
            <Typography sx={{ flex: 1 }}>
              The {settings.listed ? 'drawings and the list' : 'drawings'} say {unlisted.slice(0, 4).join(', ')}
              {unlisted.length > 4 ? ` and ${unlisted.length - 4} more groups` : ''}.
            </Typography>
            <Button
              size="small"
              variant="outlined"
              onClick={() => change({ groups: [...settings.groups, ...unlisted].slice(0, MOST_GROUPS) })}
            >
              Use these groups
            </Button>
          </Box>
        ) : null}
        <NewGroup groups={settings.groups} onChange={(groups) => change({ groups })} />
        {areas.length > 0 ? (
          <AreaTable
            grouped={grouped}
            settings={settings}
            onLight={setLit}
            onGroup={(key, group) => {
              const others = Object.entries(settings.groupOf).filter(([each]) => each !== key);
              // In none by hand, whatever the drawing says.
              change({ groupOf: Object.fromEntries([...others, [key, group ?? '']]) });
            }}
          />
        ) : (
          <Typography sx={{ color: 'text.secondary' }}>
            Choose a drawing and the layers of its outlines. Names and numbers are read from what stands in them; the
            table of areas in your title blocks follows.
          </Typography>
        )}
      </Box>
    </Box>
  );
}

/** Groups in their order, with one to be added; an empty one can be taken away. */
function NewGroup({ groups, onChange }: { groups: readonly string[]; onChange: (groups: string[]) => void }) {
  const [name, setName] = useState('');
  const trimmed = name.trim();
  const add = (): void => {
    if (trimmed === '' || groups.includes(trimmed)) return;
    onChange([...groups, trimmed]);
    setName('');
  };
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mb: 2, flexWrap: 'wrap' }}>
      {groups.map((group) => (
        <Button
          key={group}
          size="small"
          color="inherit"
          variant="outlined"
          aria-label={`Remove the group ${group}`}
          title="Remove the group; its areas are in none then"
          onClick={() => onChange(groups.filter((each) => each !== group))}
        >
          {group} ×
        </Button>
      ))}
      <TextField
        size="small"
        label="New group"
        value={name}
        onChange={(event) => setName(event.target.value.slice(0, 80))}
        onKeyDown={(event) => {
          if (event.key === 'Enter') add();
        }}
        sx={{ width: 140 }}
      />
      <Button size="small" disabled={trimmed === '' || groups.includes(trimmed)} onClick={add}>
        Add the group
      </Button>
    </Box>
  );
}
