import { useMemo } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Design, Inconsistency, OfficeStandard } from '@mendrel/core';
import { cellLabel, findCell, inconsistencies } from '@mendrel/core';

const TOPIC_WORDS: Readonly<Record<Inconsistency['topic'], string>> = {
  roles: 'One parameter in several roles',
  captions: 'One parameter under several captions',
  heights: 'Nearly equal lettering',
  lengths: 'Nearly equal lengths',
  languages: 'Captions without words in a language',
};
const TOPICS = Object.keys(TOPIC_WORDS) as Inconsistency['topic'][];

/** Cells that are named of one inconsistency. */
const MOST_CELLS = 8;

interface Props {
  design: Design;
  standard: OfficeStandard;
  /** Goes to a cell. */
  onGo: (cell: string) => void;
}

/** What a design does in two ways where one was most likely meant, topic by topic; each place can be gone to. */
export function ConsistencyList({ design, standard, onGo }: Props) {
  const found = useMemo(() => inconsistencies(design, standard), [design, standard]);
  if (found.length === 0) {
    return <Typography>Each thing is done in one way: lettering, captions and lengths agree.</Typography>;
  }
  return TOPICS.map((topic) => {
    const lines = found.filter((each) => each.topic === topic);
    if (lines.length === 0) return null;
    return (
      <Box key={topic} component="section" aria-label={TOPIC_WORDS[topic]} sx={{ mb: 4 }}>
        <Typography variant="h3" component="h3" sx={{ mb: 1 }}>
          {TOPIC_WORDS[topic]}
        </Typography>
        {lines.map(({ message, cells }) => (
          <Box key={message} sx={{ py: 1, borderBottom: 1, borderColor: 'divider' }}>
            <Typography>{message}</Typography>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', ml: -1 }}>
              {cells.slice(0, MOST_CELLS).map((id) => {
                const cell = findCell(design, id)?.cell;
                return cell ? (
                  <Button key={id} size="small" onClick={() => onGo(id)} sx={{ minWidth: 0, px: 1, py: 0 }}>
                    {cellLabel(cell)}
                  </Button>
                ) : null;
              })}
              {cells.length > MOST_CELLS ? (
                <Typography sx={{ color: 'text.secondary', px: 1 }}>and {cells.length - MOST_CELLS} more</Typography>
              ) : null}
            </Box>
          </Box>
        ))}
      </Box>
    );
  });
}
