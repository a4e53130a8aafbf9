import { useState } from 'react';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import type { DesignSwap, DesignSwapImpact, Project } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { api, faultOf } from '../../../app/api';
import { Failed, Loading } from '../../../app/states';
import { useStep } from '../../../app/useStep';
import type { ProjectSheet } from '../sheetDrawings';
import { SwapImpact } from './SwapImpact';

interface Props {
  project: Project;
  swap: DesignSwap;
  /** What is to be done, such as "Draw details with Harbour block". */
  words: string;
  sources: readonly ProjectSheet[];
  /** Does it to all sheets. @returns why it was not done */
  onApply: (impact: DesignSwapImpact) => Promise<string | undefined>;
  /** Does it to some of them alone; left out where it is for all or none. @returns why it was not done */
  onApplyTo?: (told: DesignSwapImpact['told']) => Promise<string | undefined>;
  onClose: () => void;
}

/** What other designs would do to the sheets they are for, with their real values, before it is done. */
export function SwapDialog({ project, swap, words, sources, onApply, onApplyTo, onClose }: Props) {
  const found = api.useSwapImpactQuery({ id: project.id, ...swap });
  const [chosen, setChosen] = useState<ReadonlySet<string>>();
  const applying = useStep(onClose);
  const fault = faultOf(found);
  const impact = found.currentData;
  const count = chosen ? chosen.size : (impact?.sheets ?? 0);
  const apply = (of: DesignSwapImpact): Promise<void> =>
    applying.run(() => (chosen && onApplyTo ? onApplyTo(of.told.filter(({ id }) => chosen.has(id))) : onApply(of)));
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="lg" aria-labelledby="swap-title">
      <DialogTitle id="swap-title">{words}</DialogTitle>
      <DialogContent sx={{ minHeight: 430 }}>
        {fault ? (
          <Failed error={fault} retry={() => void found.refetch()} />
        ) : impact ? (
          <SwapImpact
            impact={impact}
            sources={sources}
            chosen={chosen}
            onChoose={onApplyTo && impact.told.length > 0 ? setChosen : undefined}
          />
        ) : (
          <Loading what="what it would do" />
        )}
        {applying.problem === undefined ? null : <Alert severity="error">Not changed: {applying.problem}</Alert>}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
        <Button
          variant="contained"
          disabled={!impact || applying.busy || chosen?.size === 0}
          onClick={() => impact && void apply(impact)}
        >
          {count > 0 ? `Apply to ${counted(count, 'sheet')}` : 'Apply'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
