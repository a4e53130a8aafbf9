import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { DesignSummary } from '@mendrel/contract';
import type { OfficeStandard, SheetSize, Starter, WorkingUnit } from '@mendrel/core';
import { starterDesign, triedOn } from '@mendrel/core';
import { api } from '../../app/api';
import { useTypefaces } from '../../app/typefaces';
import { SheetPicture } from '../../paper/SheetPicture';
import { solveFor } from '../../paper/useSolved';

/** One of the things that a design can be begun from. */
export function Card({
  name,
  chosen,
  onChoose,
  children,
}: {
  name: string;
  chosen: boolean;
  onChoose: () => void;
  children: React.ReactNode;
}) {
  return (
    <Box
      component="label"
      sx={{
        display: 'flex',
        flexDirection: 'column',
        gap: 1.5,
        p: 3,
        border: 2,
        borderRadius: 1.5,
        cursor: 'pointer',
        borderColor: chosen ? 'primary.main' : 'divider',
        '&:has(input:focus-visible)': { outline: '2px solid', outlineColor: 'primary.main', outlineOffset: 1 },
      }}
    >
      <Box
        component="input"
        type="radio"
        name="start-from"
        checked={chosen}
        onChange={onChoose}
        sx={{ position: 'absolute', opacity: 0 }}
      />
      <Typography component="span" sx={{ fontWeight: 600, color: chosen ? 'primary.main' : 'text.primary' }}>
        {name}
      </Typography>
      {children}
    </Box>
  );
}

interface StarterCardProps {
  starter: Starter;
  unit: WorkingUnit;
  sizes: readonly SheetSize[];
  standard: OfficeStandard;
  chosen: boolean;
  onChoose: () => void;
}

/** A starter that ships, solved for the second of the chosen sizes. */
export function StarterCard({ starter, unit, sizes, standard, chosen, onChoose }: StarterCardProps) {
  const typefaces = useTypefaces();
  const first = sizes[Math.min(1, sizes.length - 1)];
  const design = first && starterDesign(starter.key, starter.name, unit, [first], standard);
  const tried = triedOn('typical', standard);
  const solved = first && design && solveFor(design, first.name, tried, standard, typefaces);
  return (
    <Card name={starter.name} chosen={chosen} onChoose={onChoose}>
      <Box sx={{ height: 92, display: 'grid', placeItems: 'center' }}>
        {solved && !solved.problem ? (
          <SheetPicture drawing={solved.drawing} width={150} height={92} label={`${starter.name} on ${first.name}`} />
        ) : null}
      </Box>
      <Typography component="span" variant="caption" sx={{ color: 'text.secondary' }}>
        {starter.words}
      </Typography>
    </Card>
  );
}

interface OwnStarterCardProps {
  starter: DesignSummary;
  standard: OfficeStandard;
  chosen: boolean;
  onChoose: () => void;
}

/** A design that the office keeps as a starter, on the first of its sizes. */
export function OwnStarterCard({ starter, standard, chosen, onChoose }: OwnStarterCardProps) {
  const typefaces = useTypefaces();
  const design = api.useDesignQuery(starter.id).data?.document;
  const size = starter.sizes[0];
  const solved = design && size && solveFor(design, size, triedOn('typical', standard), standard, typefaces);
  return (
    <Card name={starter.name} chosen={chosen} onChoose={onChoose}>
      <Box sx={{ height: 92, display: 'grid', placeItems: 'center' }}>
        {solved && !solved.problem ? (
          <SheetPicture drawing={solved.drawing} width={150} height={92} label={`${starter.name} on ${size}`} />
        ) : null}
      </Box>
      <Typography component="span" variant="caption" sx={{ color: 'text.secondary' }}>
        Starter of the office
      </Typography>
    </Card>
  );
}
