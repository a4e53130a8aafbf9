import Box from '@mui/material/Box';
import Pagination from '@mui/material/Pagination';
import Typography from '@mui/material/Typography';

interface Props {
  /** What is listed, in words. */
  of: string;
  /** The page shown, from 0 on. */
  page: number;
  /** Entries on a page, and of all pages. */
  size: number;
  count: number;
  onPage: (page: number) => void;
}

/** The way to the other pages of a list; nothing where one page holds it all. */
export function Pages({ of, page, size, count, onPage }: Props) {
  if (count <= size) return null;
  const first = page * size + 1;
  return (
    <Box component="nav" aria-label={`Pages of ${of}`} sx={{ display: 'flex', alignItems: 'center', gap: 4, pt: 4 }}>
      <Typography sx={{ flex: 1, color: 'text.secondary' }}>
        {first} to {Math.min(first + size - 1, count)} of {count}
      </Typography>
      <Pagination
        count={Math.ceil(count / size)}
        page={page + 1}
        size="small"
        onChange={(_event, chosen) => onPage(chosen - 1)}
      />
    </Box>
  );
}
