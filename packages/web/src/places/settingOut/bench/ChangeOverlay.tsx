import { useState } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Design, OfficeStandard } from '@mendrel/core';
import { around, parametersOf, tryOnValues } from '@mendrel/core';
import { useAppSelector } from '../../../app/store';
import { useTypefaces } from '../../../app/typefaces';
import { Linework } from '../../../paper/Linework';
import { Paper } from '../../../paper/Paper';
import { Chosen } from '../details/Chosen';
import { solveFor } from '../useSolved';

interface Props {
  before: Design;
  after: Design;
  standard: OfficeStandard;
}

/** The draft in ink over the revision in red: where both agree there is one line. */
export function ChangeOverlay({ before, after, standard }: Props) {
  const shown = useAppSelector((root) => root.settingOut.size);
  const tryOn = useAppSelector((root) => root.settingOut.tryOn);
  const typefaces = useTypefaces();
  const [size, setSize] = useState(shown);
  const values = tryOnValues(tryOn, parametersOf(standard));
  const was = before.sizes.some((each) => each.size === size)
    ? solveFor(before, size, values, standard, typefaces)
    : undefined;
  const is = solveFor(after, size, values, standard, typefaces);
  if (is.problem)
    return (
      <Typography>
        ▲ The draft cannot be solved on {size}: {is.problem.message}
      </Typography>
    );
  const blocks = around(is.layout.panels);
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', mb: 2 }}>
        <Box sx={{ width: 140 }}>
          <Chosen
            label="On"
            value={size}
            options={after.sizes.map((each) => [each.size, each.size] as const)}
            onSet={setSize}
          />
        </Box>
        <Typography sx={{ color: 'text.secondary' }}>
          Ink: the draft.{' '}
          <Box component="span" sx={{ color: 'error.main' }}>
            Red: the revision.
          </Box>
          {was?.problem ? ` The revision cannot be solved here: ${was.problem.message}` : ''}
          {was ? '' : ' The revision does not serve this size.'}
        </Typography>
      </Box>
      <Box sx={{ height: 320, display: 'flex', border: 1, borderColor: 'divider' }}>
        <Paper
          drawing={is.drawing}
          unit={after.unit}
          label={`What changed on ${size}`}
          {...(blocks ? { target: blocks, views: [{ name: 'Panels', rect: blocks }] } : {})}
          under={
            was && !was.problem ? (
              <Box component="g" sx={{ color: '#b3402a' }}>
                <Linework drawing={was.drawing} />
              </Box>
            ) : null
          }
          opacity={0.75}
        />
      </Box>
    </Box>
  );
}
