import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { worstFinding } from '@mendrel/core';
import { Fits, FindingMark } from '../../app/FindingMark';
import { SheetPicture } from '../../paper/SheetPicture';
import type { Solved } from './useSolved';

interface Props {
  solved: readonly Solved[];
  shown: string;
  onShow: (size: string) => void;
}

/** Every size of the design, solved, with its worst finding in words. */
export function SizeWall({ solved, shown, onShow }: Props) {
  return (
    <Box
      component="section"
      aria-label="Size wall"
      sx={{
        display: 'flex',
        gap: 2,
        px: 3,
        py: 2,
        bgcolor: 'office.soft',
        borderTop: 1,
        borderColor: 'divider',
        overflowX: 'auto',
        flex: 'none',
        height: 122,
        boxSizing: 'border-box',
      }}
    >
      {solved.map((each) => (
        <ButtonBase
          key={each.size}
          aria-pressed={each.size === shown}
          onClick={() => onShow(each.size)}
          focusRipple
          sx={{
            flexDirection: 'column',
            alignItems: 'flex-start',
            justifyContent: 'space-between',
            p: 1.5,
            borderRadius: 1,
            minWidth: 128,
            maxWidth: 210,
            textAlign: 'left',
            border: 2,
            borderColor: each.size === shown ? 'primary.main' : 'transparent',
            '&:focus-visible': { outline: '2px solid', outlineColor: 'primary.main', outlineOffset: 1 },
          }}
        >
          {each.problem ? (
            <Box sx={{ width: 104, height: 62, bgcolor: 'office.spillsGround' }} />
          ) : (
            <SheetPicture drawing={each.drawing} width={104} height={66} label={`${each.size}, solved`} />
          )}
          <Box
            sx={{
              fontSize: '0.75rem',
              width: '100%',
              whiteSpace: 'nowrap',
              overflow: 'hidden',
              textOverflow: 'ellipsis',
            }}
          >
            <Box
              component="b"
              sx={{ mr: 2, fontWeight: 600, color: each.size === shown ? 'primary.main' : 'text.primary' }}
            >
              {each.size}
            </Box>
            <Verdict solved={each} />
          </Box>
        </ButtonBase>
      ))}
    </Box>
  );
}

function Verdict({ solved }: { solved: Solved }) {
  if (solved.problem) return <FindingMark finding={{ weight: 'error', message: solved.problem.message }} />;
  const worst = worstFinding(solved.layout.findings.filter((each) => each.weight === 'error'));
  if (!worst) return <Fits />;
  const errors = solved.layout.findings.filter((each) => each.weight === 'error').length;
  const spills = worst.kind === 'spill' && worst.by !== undefined;
  return (
    <FindingMark
      finding={{
        ...worst,
        message: spills ? `${errors} spill${errors > 1 ? '' : 's'}, ${worst.by?.toFixed(1)} mm` : worst.message,
      }}
    />
  );
}
