import { useState } from 'react';
import IconButton from '@mui/material/IconButton';
import DeleteOutlinedIcon from '@mui/icons-material/DeleteOutlined';
import type { Project } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { api, errorOf } from '../../app/api';
import { AskBeforeDeleting } from '../../app/AskBeforeDeleting';

/** Deletes a project after asking, with what goes with it. */
export function DeleteProject({ project, onDeleted }: { project: Project; onDeleted?: () => void }) {
  const [asking, setAsking] = useState(false);
  const [remove, removing] = api.useDeleteProjectMutation();
  const sheets = project.sheets === 0 ? 'Its data goes' : `Its data and its ${counted(project.sheets, 'sheet')} go`;
  const design = project.designName ? ` The design ${project.designName} stays.` : '';
  return (
    <>
      <IconButton size="small" aria-label={`Delete ${project.name}`} onClick={() => setAsking(true)}>
        <DeleteOutlinedIcon fontSize="small" />
      </IconButton>
      {asking ? (
        <AskBeforeDeleting
          title={`Delete ${project.name}?`}
          words={`${sheets} with it. It lies in the bin for 30 days.${design}`}
          busy={removing.isLoading}
          problem={removing.error ? errorOf(removing.error).message : undefined}
          onDelete={() => void remove(project.id).then((result) => (result.error ? undefined : onDeleted?.()))}
          onClose={() => setAsking(false)}
        />
      ) : null}
    </>
  );
}
