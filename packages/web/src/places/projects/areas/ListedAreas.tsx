import { useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { AreaSettings, AreaUnit } from '@mendrel/core';
import { counted, readAreaList } from '@mendrel/core';
import { FileButton } from '../../../app/FileButton';
import { readTableFile } from '../../../app/tableFile';

type Listed = NonNullable<AreaSettings['listed']>;

interface Props {
  listed: Listed;
  /** That of amounts which do not say one. */
  unit: AreaUnit;
  onChange: (listed: Listed) => void;
}

/** Areas that are measured elsewhere, from a list as CSV or XLSX. */
export function ListedAreas({ listed, unit, onChange }: Props) {
  const [problems, setProblems] = useState<string[]>([]);
  const take = async (file: File): Promise<void> => {
    try {
      const { areas, problems: told } = readAreaList(await readTableFile(file), unit);
      setProblems(areas.length === 0 && told.length === 0 ? ['there are no areas in it'] : told);
      if (areas.length > 0) onChange(areas);
    } catch (error) {
      setProblems([error instanceof Error ? error.message : String(error)]);
    }
  };
  return (
    <Box sx={{ mt: 3 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
        <FileButton of="A list of areas" accept=".csv,.txt,.xlsx" size="small" onFile={(file) => void take(file)}>
          {listed.length === 0 ? 'Areas from a list…' : 'Another list…'}
        </FileButton>
        <Typography sx={{ color: 'text.secondary', flex: 1 }}>
          {listed.length === 0
            ? 'CSV or XLSX with number, name, area, group'
            : `${counted(listed.length, 'area')} from a list`}
        </Typography>
        {listed.length === 0 ? null : (
          <Button size="small" color="inherit" onClick={() => onChange([])}>
            Remove the list
          </Button>
        )}
      </Box>
      {problems.length > 0 ? (
        <Alert severity={listed.length > 0 ? 'warning' : 'error'} sx={{ mt: 2 }} onClose={() => setProblems([])}>
          {problems.map((each) => (
            <div key={each}>{each}</div>
          ))}
        </Alert>
      ) : null}
    </Box>
  );
}
