import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { DesignSwapImpact, Sheet } from '@mendrel/contract';
import type { SheetSource } from '@mendrel/core';
import { drawSheet, newToMend, sheetSources } from '@mendrel/core';
import { FindingMark } from '../../../app/FindingMark';
import { useTypefaces } from '../../../app/typefaces';
import { OverlaidPaper } from '../../../paper/OverlaidPaper';
import { SheetPicture } from '../../../paper/SheetPicture';
import type { ProjectSheet, SheetLook } from '../sheetDrawings';
import { sheetDesigns } from '../sheetDrawings';

const rounded = ({ width, height }: { width: number; height: number }): string =>
  `${Math.round(width)} × ${Math.round(height)} mm`;

interface Props {
  told: DesignSwapImpact['told'][number];
  impact: DesignSwapImpact;
  sources: readonly ProjectSheet[];
}

/** One sheet as it is and as it would be, side by side. */
export function NowAndThen({ told, impact, sources }: Props) {
  const typefaces = useTypefaces();
  const index = sources.findIndex(({ sheet }) => sheet.id === told.id);
  const now = sources[index]?.source;
  const then = useMemo((): SheetSource | undefined => {
    const designs = sheetDesigns(impact.designs);
    if (!now || !designs) return undefined;
    // Those whose design changes are told with the one that they would have.
    const others = new Map(impact.told.map(({ id, design }) => [id, design]));
    const sheets = sources.map(({ sheet }) => sheet);
    const lookOf = ({ id, kind, design }: Sheet): SheetLook => ({ kind, design: others.get(id) ?? design });
    return sheetSources({ ...now, design: designs.usual }, sheets, (i) => designs.of(lookOf(sheets[i]!)))[index];
  }, [now, impact, sources, index]);
  const drawings = useMemo(
    () => [now, then].map((source) => (source ? drawSheet(source, typefaces) : undefined)),
    [now, then, typefaces],
  );
  const problems = newToMend(told);
  const [over, setOver] = useState(false);
  const [was, is] = drawings.map((result) => (result && 'drawing' in result ? result.drawing : undefined));
  return (
    <>
      {was && is ? (
        <Button size="small" aria-pressed={over} onClick={() => setOver(!over)} sx={{ mb: 1 }}>
          {over ? 'Side by side' : 'Over each other'}
        </Button>
      ) : null}
      {over && was && is ? (
        <Box sx={{ height: 320, display: 'flex' }}>
          <OverlaidPaper old={was} now={is} label={`${told.number} now and then`} />
        </Box>
      ) : null}
      <Box sx={{ display: over && was && is ? 'none' : 'grid', gridTemplateColumns: '1fr 1fr', gap: 4 }}>
        {drawings.map((result, i) => (
          <Box key={i === 0 ? 'now' : 'then'}>
            <Typography component="h3" sx={{ fontWeight: 600 }}>
              {i === 0 ? 'Now' : 'Then'}
            </Typography>
            {result && 'drawing' in result ? (
              <SheetPicture
                drawing={result.drawing}
                width={400}
                height={270}
                label={`${told.number} ${i === 0 ? 'now' : 'then'}`}
              />
            ) : (
              <Typography sx={{ color: 'text.secondary' }}>It cannot be drawn.</Typography>
            )}
            {told.area ? (
              <Typography sx={{ color: 'text.secondary' }}>
                Drawing area {rounded(i === 0 ? told.area.before : told.area.after)}
              </Typography>
            ) : null}
          </Box>
        ))}
      </Box>
      {problems.map((finding) => (
        <Box key={finding.message} sx={{ mt: 2 }}>
          <FindingMark finding={finding} />
        </Box>
      ))}
    </>
  );
}
