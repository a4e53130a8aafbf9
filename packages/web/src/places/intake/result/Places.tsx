import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import type { Corrections, LegacyPlace } from '@mendrel/core';
import { SheetPicture } from '../../../paper/SheetPicture';
import { Section } from './Section';

interface Props {
  places: readonly LegacyPlace[];
  busy: boolean;
  onCorrect: (corrections: Corrections) => void;
}

/** The sheets of a file that holds several, to choose from. */
export function Places({ places, busy, onCorrect }: Props) {
  if (places.length < 2) return null;
  return (
    <Section title={`${places.length} sheets in this file`}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, maxHeight: 320, overflow: 'auto' }}>
        {places.map((each) => {
          const { space, place, picture, taken } = each;
          const several = places.filter((other) => other.space === space).length > 1;
          const name = several ? `${space}, ${place + 1}` : space;
          return (
            <ButtonBase
              key={name}
              disabled={busy}
              aria-pressed={taken}
              // Another sheet has other texts and cells; what was set right on this one does not hold there.
              onClick={() => onCorrect({ space, place })}
              sx={{
                flexDirection: 'column',
                alignItems: 'flex-start',
                gap: 1,
                p: 1.5,
                borderRadius: 1,
                border: 2,
                borderColor: taken ? 'primary.main' : 'transparent',
                fontFamily: 'inherit',
                fontSize: '0.75rem',
                '&:focus-visible': { outline: '2px solid', outlineColor: 'primary.main', outlineOffset: 1 },
              }}
            >
              <SheetPicture drawing={picture} width={140} height={100} label={name} />
              <Box
                component="span"
                sx={{ maxWidth: 140, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}
              >
                {name}
              </Box>
            </ButtonBase>
          );
        })}
      </Box>
    </Section>
  );
}
