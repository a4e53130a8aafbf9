import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Outline } from '@mendrel/core';
import { MOST_PART_NAME, OutlineError, outlineValue, readOutlineValue, sameName } from '@mendrel/core';
import { FileButton } from '../app/FileButton';
import { Sign } from '../app/FindingMark';
import { OutlinePicture } from './OutlinePicture';

interface Props {
  label: string;
  value: string;
  problem: string | undefined;
  hint: string;
  onChange: (value: string) => void;
}

/** An outline that is data: the drawing it is read from, and what its parts are called. */
export function OutlineField({ label, value, problem, hint, onChange }: Props) {
  const [wrong, setWrong] = useState<string>();
  const outline = readOutlineValue(value);
  const take = async (file: File): Promise<void> => {
    setWrong(undefined);
    // What reads drawings is fetched when the first one is chosen.
    const { readOutlineFile } = await import('@mendrel/formats/outlines');
    try {
      onChange(outlineValue(readOutlineFile(new Uint8Array(await file.arrayBuffer()))));
    } catch (error) {
      if (!(error instanceof OutlineError)) throw error;
      setWrong(`${file.name}: ${error.message}.`);
    }
  };
  const said = wrong ?? problem;
  return (
    <Box role="group" aria-label={label}>
      <Typography variant="caption" component="div" sx={{ color: 'text.secondary' }}>
        {label}
      </Typography>
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', flexWrap: 'wrap', minHeight: 48 }}>
        {outline ? (
          <OutlinePicture outline={outline} label={`${label}, ${outline.parts.length} parts`} height={72} />
        ) : (
          <Typography sx={{ color: 'text.secondary' }}>
            {hint || 'A DXF or SVG drawing: each part one closed line with its name in it.'}
          </Typography>
        )}
        <FileButton
          size="small"
          of={`Drawing for ${label}`}
          accept=".dxf,.svg,image/svg+xml"
          onFile={(file) => void take(file)}
        >
          {outline ? 'Choose another drawing…' : 'Choose a drawing…'}
        </FileButton>
        {outline ? (
          <Button size="small" color="inherit" onClick={() => onChange('')}>
            Remove
          </Button>
        ) : null}
      </Box>
      {outline && outline.parts.length > 0 ? <PartNames outline={outline} onChange={onChange} /> : null}
      {said === undefined ? null : (
        <Typography role="alert" sx={{ color: 'error.main' }}>
          <Sign weight="error" /> {said}
        </Typography>
      )}
    </Box>
  );
}

/** What the parts are called: what sheets name to have them marked. */
function PartNames({ outline, onChange }: { outline: Outline; onChange: (value: string) => void }) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mt: 2 }}>
      {outline.parts.map(({ name }, i) => (
        <PartName
          key={i}
          index={i}
          name={name}
          taken={outline.parts.filter((_, k) => k !== i).map((each) => sameName(each.name))}
          onSet={(next) =>
            onChange(
              outlineValue({
                ...outline,
                parts: outline.parts.map((part, k) => (k === i ? { ...part, name: next } : part)),
              }),
            )
          }
        />
      ))}
    </Box>
  );
}

interface PartNameProps {
  index: number;
  name: string;
  /** Names of the other parts. */
  taken: readonly string[];
  onSet: (name: string) => void;
}

function PartName({ index, name, taken, onSet }: PartNameProps) {
  const [typed, setTyped] = useState<string>();
  const text = typed ?? name;
  const problem =
    text.trim() === ''
      ? 'a part needs a name'
      : taken.includes(sameName(text))
        ? 'another part is called so'
        : undefined;
  return (
    <TextField
      size="small"
      label={`Part ${index + 1}`}
      value={text}
      error={problem !== undefined}
      helperText={problem}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={() => {
        if (typed !== undefined && problem === undefined && typed.trim() !== name) onSet(typed.trim());
        if (problem === undefined) setTyped(undefined);
      }}
      slotProps={{ htmlInput: { maxLength: MOST_PART_NAME } }}
      sx={{ width: 110 }}
    />
  );
}
