import type { ReactNode } from 'react';
import { styled } from '@mui/material/styles';

const Styled = styled('table')(({ theme }) => ({
  width: '100%',
  borderCollapse: 'collapse',
  '& th, & td': {
    textAlign: 'left',
    padding: '7px 8px',
    fontWeight: 400,
    borderBottom: `1px solid ${theme.vars?.palette.divider}`,
  },
  '& thead th': { color: theme.vars?.palette.text.secondary, fontWeight: 600 },
  '&[data-framed="true"]': {
    background: theme.vars?.palette.background.paper,
    border: `1px solid ${theme.vars?.palette.divider}`,
  },
  '&[data-framed="true"] thead th': { background: theme.vars?.palette.office.soft },
  '&[data-tight="true"] tbody th, &[data-tight="true"] tbody td': { padding: '3px 8px', whiteSpace: 'nowrap' },
  // Buttons stand in line with the words over them, and make no row higher.
  '& td > button': { marginBlock: -6, marginInlineStart: -14 },
  '& caption': { position: 'absolute', left: -9999 },
}));

interface Props {
  /** What the table is about, for those who do not see it. */
  caption: string;
  headings: readonly string[];
  /** Stands alone rather than in a card. */
  framed?: boolean;
  /** Rows close together, each on one line. */
  tight?: boolean;
  children: ReactNode;
}

/** A table of quiet rows. */
export function PlainTable({ caption, headings, framed = false, tight = false, children }: Props) {
  return (
    <Styled data-framed={framed} data-tight={tight}>
      <caption>{caption}</caption>
      <thead>
        <tr>
          {headings.map((heading) => (
            <th key={heading} scope="col">
              {heading}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>{children}</tbody>
    </Styled>
  );
}
