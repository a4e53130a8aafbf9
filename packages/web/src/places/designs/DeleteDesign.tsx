import { useState } from 'react';
import IconButton from '@mui/material/IconButton';
import DeleteOutlinedIcon from '@mui/icons-material/DeleteOutlined';
import type { DesignSummary } from '@mendrel/contract';
import { api, errorOf } from '../../app/api';
import { AskBeforeDeleting } from '../../app/AskBeforeDeleting';
import { namesInWords } from './namesInWords';

/** Deletes a design after asking; one that projects use stays, and they are named. */
export function DeleteDesign({ design }: { design: DesignSummary }) {
  const [asking, setAsking] = useState(false);
  const [remove, removing] = api.useDeleteDesignMutation();
  const used = design.projects.length > 0;
  return (
    <>
      <IconButton size="small" aria-label={`Delete ${design.name}`} onClick={() => setAsking(true)}>
        <DeleteOutlinedIcon fontSize="small" />
      </IconButton>
      {asking ? (
        <AskBeforeDeleting
          title={`Delete ${design.name}?`}
          words="Its draft, its revisions and its checkpoints go with it. It lies in the bin for 30 days."
          busy={removing.isLoading}
          refused={used}
          problem={
            used
              ? `${namesInWords(design.projects)} ${design.projects.length === 1 ? 'uses' : 'use'} this design. Choose another design under Data there first.`
              : removing.error
                ? errorOf(removing.error).message
                : undefined
          }
          onDelete={() => void remove(design.id)}
          onClose={() => setAsking(false)}
        />
      ) : null}
    </>
  );
}
