import { useEffect } from 'react';
import { NavLink, useParams } from 'react-router';
import Box from '@mui/material/Box';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import ListItemText from '@mui/material/ListItemText';
import type { StandardState } from '@mendrel/contract';
import type { OfficeStandard } from '@mendrel/core';
import { api, faultOf } from '../../app/api';
import { Failed, Loading } from '../../app/states';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { Checks } from './parts/Checks';
import { Devices } from './parts/Devices';
import { Dimensions } from './parts/Dimensions';
import { Frames } from './parts/Frames';
import { Layers } from './parts/Layers';
import { Lettering } from './parts/Lettering';
import { Lines } from './parts/Lines';
import { OfficeData } from './parts/OfficeData';
import { Parameters } from './parts/Parameters';
import { RealSizes } from './parts/RealSizes';
import { Revisions } from './parts/Revisions';
import { Scales } from './parts/Scales';
import { Sizes } from './parts/Sizes';
import { Symbols } from './parts/Symbols';
import { Tables } from './parts/Tables';
import { StandardBar } from './StandardBar';
import { standardOpened, standardUnsaved } from './standardSlice';
import { useStandardEdit } from './useStandardEdit';
import { Sign } from '../../app/FindingMark';

interface Part {
  key: string;
  name: string;
  /** The tables it edits, for marking where something is wrong. */
  tables: readonly (keyof OfficeStandard)[];
}

const PARTS: readonly Part[] = [
  { key: 'sizes', name: 'Sheet sizes', tables: ['sizes'] },
  { key: 'frames', name: 'Frame rules', tables: ['frameRules'] },
  { key: 'lettering', name: 'Lettering', tables: ['roles', 'heights'] },
  { key: 'real-sizes', name: 'Real sizes', tables: [] },
  { key: 'lines', name: 'Pens and patterns', tables: ['pens', 'patterns'] },
  { key: 'layers', name: 'Layers', tables: ['layers'] },
  { key: 'scales', name: 'Scales and wording', tables: ['scales', 'wording'] },
  { key: 'dimensions', name: 'Dimensions', tables: ['dimensions'] },
  { key: 'parameters', name: 'Parameters', tables: ['parameters'] },
  { key: 'tables', name: 'Tables', tables: ['tables'] },
  { key: 'symbols', name: 'Symbols', tables: ['symbols'] },
  { key: 'office', name: 'Office data', tables: [] },
  { key: 'devices', name: 'Devices', tables: ['devices'] },
  { key: 'checks', name: 'Checks', tables: ['reducedPrints', 'leastHeight'] },
  { key: 'revisions', name: 'Revisions and files', tables: [] },
];

/** The office standard: its draft, part by part, each with a drawn specimen. */
export default function Standard() {
  const dispatch = useAppDispatch();
  const found = api.useStandardQuery();
  const { data } = found;
  const { present, version } = useAppSelector((root) => root.standard);
  const unsaved = useAppSelector(standardUnsaved);
  const outdated = data !== undefined && (present === undefined || (!unsaved && data.version > version));

  // The draft on the server becomes the edited one when it is first seen, or newer and nothing would be lost.
  useEffect(() => {
    if (data && outdated) dispatch(standardOpened({ version: data.version, standard: data.draft }));
  }, [data, outdated, dispatch]);

  const fault = faultOf(found);
  if (fault) return <Failed error={fault} retry={() => void found.refetch()} />;
  if (!data || !present) return <Loading what="the office standard" />;
  return <StandardEditor state={data} />;
}

function StandardEditor({ state }: { state: StandardState }) {
  const { part = 'sizes' } = useParams();
  const { problems } = useStandardEdit();
  const unread = Object.keys(useAppSelector((root) => root.standard.unread));
  const shown = PARTS.find((each) => each.key === part)?.key ?? 'sizes';
  const faulty = ({ tables }: Part): boolean =>
    tables.some(
      (table) =>
        problems.some(({ where }) => where === table || where.startsWith(`${table}.`)) ||
        unread.some((field) => field === table || field.startsWith(`${table}.`)),
    );
  return (
    <>
      <StandardBar state={state} />
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
        <Box
          component="nav"
          aria-label="Parts of the standard"
          sx={{
            width: 176,
            flex: 'none',
            overflow: 'auto',
            bgcolor: 'background.paper',
            borderRight: 1,
            borderColor: 'divider',
          }}
        >
          <List component="div" dense disablePadding>
            {PARTS.map((each) => (
              <ListItemButton
                key={each.key}
                component={NavLink}
                to={`/standard/${each.key}`}
                selected={each.key === shown}
                aria-current={each.key === shown ? 'page' : undefined}
              >
                <ListItemText primary={each.name} />
                {faulty(each) ? (
                  <Box component="span" role="img" aria-label="has errors" sx={{ color: 'error.main' }}>
                    <Sign weight="error" />
                  </Box>
                ) : null}
              </ListItemButton>
            ))}
          </List>
        </Box>
        <Box sx={{ flex: 1, minWidth: 0, overflow: 'auto', p: 5, pb: 0 }}>
          {shown === 'sizes' ? <Sizes /> : null}
          {shown === 'frames' ? <Frames /> : null}
          {shown === 'lettering' ? <Lettering /> : null}
          {shown === 'real-sizes' ? <RealSizes /> : null}
          {shown === 'lines' ? <Lines /> : null}
          {shown === 'layers' ? <Layers /> : null}
          {shown === 'scales' ? <Scales /> : null}
          {shown === 'dimensions' ? <Dimensions /> : null}
          {shown === 'parameters' ? <Parameters /> : null}
          {shown === 'tables' ? <Tables /> : null}
          {shown === 'symbols' ? <Symbols /> : null}
          {shown === 'office' ? <OfficeData /> : null}
          {shown === 'devices' ? <Devices /> : null}
          {shown === 'checks' ? <Checks /> : null}
          {shown === 'revisions' ? <Revisions state={state} /> : null}
        </Box>
      </Box>
    </>
  );
}
