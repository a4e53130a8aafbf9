import { useState } from 'react';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { Sheet } from '@mendrel/contract';
import { MOST_WAITING } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { AskBeforeDeleting } from '../../../app/AskBeforeDeleting';
import { useStep } from '../../../app/useStep';

interface Props {
  sheets: readonly Sheet[];
  onDelete: (ids: string[], keepViews: boolean) => Promise<string | undefined>;
  onClose: () => void;
}

/** Asks before sheets are deleted, and whether their views stay. */
export function DeleteSheets({ sheets, onDelete, onClose }: Props) {
  const step = useStep(onClose);
  const [keepViews, setKeepViews] = useState(false);
  const [first] = sheets;
  if (!first) return null;
  const views = sheets.reduce((sum, sheet) => sum + sheet.views.length, 0);
  const remove = async (): Promise<void> => {
    await step.run(() =>
      onDelete(
        sheets.map(({ id }) => id),
        keepViews,
      ),
    );
  };
  return (
    <AskBeforeDeleting
      title={
        sheets.length === 1 ? `Delete ${first.number} ${first.title}?` : `Delete ${counted(sheets.length, 'sheet')}?`
      }
      words={deletedWords(sheets.length, keepViews ? 0 : views)}
      busy={step.busy}
      problem={step.problem}
      onDelete={() => void remove()}
      onClose={onClose}
    >
      {views > 0 && views <= MOST_WAITING ? (
        <FormControlLabel
          sx={{ mt: 2 }}
          control={
            <Checkbox size="small" checked={keepViews} onChange={({ target }) => setKeepViews(target.checked)} />
          }
          label={`Keep ${views === 1 ? 'its view' : `the ${views} views`} in the tray of the project`}
        />
      ) : null}
    </AskBeforeDeleting>
  );
}

/** What goes with sheets that are deleted, and where they go. @param views how many go with them */
function deletedWords(sheets: number, views: number): string {
  const [its, it, lies] = sheets === 1 ? ['Its', 'it', 'It lies'] : ['Their', 'them', 'They lie'];
  return `${its} data${views > 0 ? ` and ${counted(views, 'view')}` : ''} go with ${it}. ${lies} in the bin for 30 days; what was issued stays as it went out.`;
}
