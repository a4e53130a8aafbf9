import { memo, useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import IconButton from '@mui/material/IconButton';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import ExpandLessIcon from '@mui/icons-material/ExpandLess';
import ExpandMoreIcon from '@mui/icons-material/ExpandMore';
import { styled } from '@mui/material/styles';
import type { Design, Finding, OfficeStandard, TriedOn } from '@mendrel/core';
import { amountInWords, worstFinding } from '@mendrel/core';
import { useAppSelector } from '../../../app/store';
import { useTypefaces } from '../../../app/typefaces';
import { Fits, FindingMark } from '../../../app/FindingMark';
import { SheetPicture } from '../../../paper/SheetPicture';
import type { EditScope } from '../settingOutSlice';
import type { Solved } from '../../../paper/useSolved';
import { solvedOnce } from '../../../paper/useSolved';
import { useStaggered } from './useStaggered';

interface Props {
  /** The design as it was last edited; a drag in progress is followed besides. */
  design: Design;
  tried: TriedOn;
  standard: OfficeStandard;
  shown: string;
  scope: EditScope;
  onShow: (size: string) => void;
  onScope: (scope: EditScope) => void;
  onAskWhatItTakes: () => void;
  onReport: () => void;
}

/** The wall's height in pixels. */
export const WALL_HEIGHT = 122;
/** Its height when it is folded to a line. */
const FOLDED_HEIGHT = 40;

/** Every size of the design, solved, with its worst finding in words; and what an edit counts for. */
export function SizeWall({
  design,
  tried,
  standard,
  shown,
  scope,
  onShow,
  onScope,
  onAskWhatItTakes,
  onReport,
}: Props) {
  const typefaces = useTypefaces();
  const preview = useAppSelector((root) => root.settingOut.preview?.design);
  const sizes = useMemo(() => design.sizes.map((each) => each.size), [design.sizes]);
  const drawn = useStaggered(preview ?? design, sizes);
  const solved = sizes.map((size) => solvedOnce(drawn.get(size) ?? design, size, tried, standard, typefaces));
  const troubled = solved.some(
    (each) => !each.problem && each.layout.findings.some((finding) => finding.weight === 'error'),
  );
  const [folded, setFolded] = useState(false);
  return (
    <Wall aria-label="Size wall" data-folded={folded}>
      <ScopeChoice
        shown={shown}
        scope={scope}
        troubled={troubled}
        folded={folded}
        onScope={onScope}
        onAsk={onAskWhatItTakes}
      />
      <Sizes>
        {solved.map((each) => (
          <SizeButton key={each.size} solved={each} shown={each.size === shown} folded={folded} onShow={onShow} />
        ))}
      </Sizes>
      <WallButtons folded={folded} onFold={setFolded} onReport={onReport} />
    </Wall>
  );
}

interface WallButtonsProps {
  folded: boolean;
  onFold: (fold: boolean) => void;
  onReport: () => void;
}

// Apart, as it does not follow a drag.
const WallButtons = memo(function WallButtons({ folded, onFold, onReport }: WallButtonsProps) {
  return (
    <Box sx={{ display: 'flex', alignItems: folded ? 'center' : 'flex-start', gap: 1, m: 1, flex: 'none' }}>
      <Button size="small" onClick={onReport}>
        Report…
      </Button>
      <IconButton
        size="small"
        aria-label={folded ? 'Unfold the size wall' : 'Fold the size wall'}
        aria-expanded={!folded}
        onClick={() => onFold(!folded)}
      >
        {folded ? <ExpandLessIcon fontSize="small" /> : <ExpandMoreIcon fontSize="small" />}
      </IconButton>
    </Box>
  );
});

// Styled once: the wall is rendered with every size that follows a drag.
const Wall = styled('section')(({ theme }) => ({
  display: 'flex',
  backgroundColor: theme.vars?.palette.office.soft,
  borderTop: `1px solid ${theme.vars?.palette.divider}`,
  flex: 'none',
  height: WALL_HEIGHT,
  boxSizing: 'border-box',
  contain: 'strict',
  '&[data-folded="true"]': { height: FOLDED_HEIGHT, alignItems: 'center' },
}));

const Sizes = styled('div')(({ theme }) => ({
  display: 'flex',
  gap: theme.spacing(2),
  padding: theme.spacing(2, 1),
  overflowX: 'auto',
  flex: 1,
  minWidth: 0,
}));

interface ScopeProps {
  shown: string;
  scope: EditScope;
  troubled: boolean;
  folded: boolean;
  onScope: (scope: EditScope) => void;
  onAsk: () => void;
}

const ScopeChoice = memo(function ScopeChoice({ shown, scope, troubled, folded, onScope, onAsk }: ScopeProps) {
  return (
    <Box
      sx={
        folded
          ? { flex: 'none', px: 3, display: 'flex', alignItems: 'center', gap: 2 }
          : { width: 202, flex: 'none', p: 3, display: 'flex', flexDirection: 'column', gap: 1.5 }
      }
    >
      <Box id="scope-words" sx={{ fontSize: '0.75rem', color: 'text.secondary' }}>
        Apply lengths to
      </Box>
      <ToggleButtonGroup
        size="small"
        exclusive
        color="primary"
        value={scope}
        aria-labelledby="scope-words"
        onChange={(_event, next: EditScope | null) => next && onScope(next)}
      >
        <ToggleButton value="all">All sizes</ToggleButton>
        <ToggleButton value="size">{shown.replace(/^(ISO|ARCH|ASME) /, '')} only</ToggleButton>
      </ToggleButtonGroup>
      {troubled ? (
        <Button size="small" onClick={onAsk} sx={{ alignSelf: 'flex-start' }}>
          What would it take?
        </Button>
      ) : null}
    </Box>
  );
});

interface SizeProps {
  solved: Solved;
  shown: boolean;
  folded: boolean;
  onShow: (size: string) => void;
}

const SizeFrame = styled(ButtonBase)(({ theme }) => ({
  flexDirection: 'column',
  alignItems: 'flex-start',
  justifyContent: 'space-between',
  fontFamily: 'inherit',
  padding: theme.spacing(1.5),
  borderRadius: theme.shape.borderRadius,
  minWidth: 128,
  maxWidth: 210,
  textAlign: 'left',
  border: '2px solid transparent',
  '&[aria-pressed="true"]': { borderColor: (theme.vars ?? theme).palette.primary.main },
  '&[aria-pressed="true"] b': { color: (theme.vars ?? theme).palette.primary.main },
  '&:focus-visible': { outline: `2px solid ${(theme.vars ?? theme).palette.primary.main}`, outlineOffset: 1 },
  '& b': { marginRight: theme.spacing(2), fontWeight: 600 },
}));

const Unsolved = styled('div')(({ theme }) => ({
  width: 104,
  height: 62,
  backgroundColor: (theme.vars ?? theme).palette.office.spillsGround,
}));

// The size is always there; what was found is cut where it is long.
const Words = styled('div')({
  fontSize: '0.75rem',
  width: '100%',
  whiteSpace: 'nowrap',
  display: 'flex',
  '& > b': { flex: 'none' },
  '& > :last-child': { minWidth: 0, overflow: 'hidden', textOverflow: 'ellipsis' },
});

// One size is drawn anew at a time; the others stay as they are.
const SizeButton = memo(function SizeButton({ solved, shown, folded, onShow }: SizeProps) {
  const { size } = solved;
  return (
    <SizeFrame aria-pressed={shown} onClick={() => onShow(size)} focusRipple>
      {folded ? null : solved.problem ? (
        <Unsolved />
      ) : (
        <SheetPicture drawing={solved.drawing} width={104} height={66} label={`${size}, solved`} />
      )}
      <SizeWords size={size} {...verdict(solved)} />
    </SizeFrame>
  );
});
interface Worst {
  weight: Finding['weight'];
  message: string;
}

const SizeWords = memo(function SizeWords({ size, weight, message }: { size: string } & Partial<Worst>) {
  return (
    <Words>
      <b>{size}</b>
      {weight && message !== undefined ? <FindingMark finding={{ weight, message }} /> : <Fits />}
    </Words>
  );
});

/** The worst that was found on a size, in few words; nothing when all fits. */
function verdict(solved: Solved): Worst | undefined {
  if (solved.problem) return { weight: 'error', message: 'not solved' };
  const { findings, unit } = solved.layout;
  const errors = findings.filter((each) => each.weight === 'error');
  const spare = findings.filter((each) => each.kind === 'room' && each.weight === 'gap');
  const worst = worstFinding(errors) ?? worstFinding(spare);
  if (!worst) return undefined;
  const by = amountInWords(worst.by ?? 0, unit);
  const spills = errors.filter((each) => each.kind === 'spill').length;
  const message =
    worst.kind === 'spill'
      ? `${spills} spill${spills > 1 ? '' : 's'}, ${by}`
      : worst.kind === 'room' && worst.where.track
        ? worst.weight === 'error'
          ? `no room, ${by}`
          : `${by} left over`
        : worst.message;
  return { weight: worst.weight, message };
}
