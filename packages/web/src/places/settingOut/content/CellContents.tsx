import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import type { Cell, ContentKind } from '@mendrel/core';
import { addContent, idMaker, moveContent, removeContent, setContent } from '@mendrel/core';
import type { DetailsProps } from '../details/CellDetails';
import { ContentEditor } from './ContentEditor';
import { newContent } from './newContent';
import { PictureChooser } from './PictureChooser';

const MORE: readonly (readonly [ContentKind, string])[] = [
  ['notes', 'Notes'],
  ['table', 'Table of revisions'],
  ['symbol', 'Symbol'],
];

/** What stands in the selected cell, and the ways to put more into it. */
export function CellContents({ design, layout, standard, cell, onEdit }: DetailsProps & { cell: Cell }) {
  const [menu, setMenu] = useState<HTMLElement>();
  const [choosing, setChoosing] = useState(false);
  const add = (kind: Exclude<ContentKind, 'picture'>): void =>
    onEdit((now) => addContent(now, cell.id, newContent(kind, idMaker(now)('content'), now)));
  return (
    <Box component="section" aria-labelledby="contents-heading">
      <Typography id="contents-heading" variant="h3" component="h2" sx={{ color: 'text.secondary', pb: 2 }}>
        In this cell
      </Typography>
      {cell.contents.length === 0 ? (
        <Typography sx={{ color: 'text.secondary', pb: 2 }}>
          Nothing yet. Add a caption or a field, or divide it below.
        </Typography>
      ) : null}
      {cell.contents.map((content, i) => (
        <ContentEditor
          key={content.id}
          content={content}
          standard={standard}
          unit={design.unit}
          text={layout?.texts.find((each) => each.content === content.id)}
          findings={
            layout?.findings.filter((each) => each.where.content === content.id && each.kind !== 'missing') ?? []
          }
          first={i === 0}
          last={i + 1 === cell.contents.length}
          onChange={(next) => onEdit((now) => setContent(now, next))}
          onMove={(by) => onEdit((now) => moveContent(now, content.id, by))}
          onRemove={() => onEdit((now) => removeContent(now, content.id))}
        />
      ))}
      <Box sx={{ display: 'flex', gap: 1, borderTop: cell.contents.length > 0 ? 1 : 0, borderColor: 'divider', pt: 2 }}>
        <Button size="small" onClick={() => add('caption')}>
          Add caption
        </Button>
        <Button size="small" onClick={() => add('field')}>
          Add field
        </Button>
        <Button size="small" aria-haspopup="menu" onClick={(event) => setMenu(event.currentTarget)}>
          Add…
        </Button>
        <Menu anchorEl={menu ?? null} open={menu !== undefined} onClose={() => setMenu(undefined)}>
          <MenuItem
            onClick={() => {
              setMenu(undefined);
              setChoosing(true);
            }}
          >
            Picture…
          </MenuItem>
          {MORE.map(([kind, name]) => (
            <MenuItem
              key={kind}
              onClick={() => {
                setMenu(undefined);
                add(kind as Exclude<ContentKind, 'picture'>);
              }}
            >
              {name}
            </MenuItem>
          ))}
        </Menu>
      </Box>
      {choosing ? (
        <PictureChooser
          onClose={() => setChoosing(false)}
          onChosen={(picture) => onEdit((now) => addContent(now, cell.id, { ...picture, id: idMaker(now)('content') }))}
        />
      ) : null}
    </Box>
  );
}
