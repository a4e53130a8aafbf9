import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import type { Cell, ContentKind } from '@mendrel/core';
import { addContent, CONTENT_KINDS, idMaker, moveContent, removeContent, setContent } from '@mendrel/core';
import type { DetailsProps } from '../details/DetailsProps';
import { ContentEditor } from './ContentEditor';
import { addNew } from './addNew';
import { EDITED_KINDS, editedKind } from './kinds';
import { PictureChooser } from '../../../pictures/PictureChooser';

/** What stands in the selected cell, and the ways to put more into it. */
export function CellContents({ design, layout, standard, cell, onEdit }: DetailsProps & { cell: Cell }) {
  const [menu, setMenu] = useState<HTMLElement>();
  const [choosing, setChoosing] = useState(false);
  const add = (kind: ContentKind): void => {
    setMenu(undefined);
    const { make } = editedKind(kind);
    if (make) onEdit((now) => addNew(now, cell.id, make, standard));
    else setChoosing(true);
  };
  const withButton = EDITED_KINDS.filter((kind) => editedKind(kind).adding.key !== undefined);
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
        {withButton.map((kind) => (
          <Button key={kind} size="small" onClick={() => add(kind)}>
            Add {CONTENT_KINDS[kind].name.toLowerCase()}
          </Button>
        ))}
        <Button size="small" aria-haspopup="menu" onClick={(event) => setMenu(event.currentTarget)}>
          Add…
        </Button>
        <Menu anchorEl={menu ?? null} open={menu !== undefined} onClose={() => setMenu(undefined)}>
          {EDITED_KINDS.filter((kind) => !withButton.includes(kind)).map((kind) => (
            <MenuItem key={kind} onClick={() => add(kind)}>
              {editedKind(kind).adding.menu}
            </MenuItem>
          ))}
        </Menu>
      </Box>
      {choosing ? (
        <PictureChooser
          take="Insert picture"
          unit={design.unit}
          onClose={() => setChoosing(false)}
          onChosen={(picture) => onEdit((now) => addContent(now, cell.id, { ...picture, id: idMaker(now)('content') }))}
        />
      ) : null}
    </Box>
  );
}
