import { useState } from 'react';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { skipToken } from '@reduxjs/toolkit/query';
import type { DesignSummary } from '@mendrel/contract';
import type { Design, Panel } from '@mendrel/core';
import { api, faultOf } from '../../../app/api';
import { Failed } from '../../../app/states';
import { DOCK_WORDS } from '../details/PanelDetails';

interface Props {
  /** The design that takes the panel, which is not offered. */
  into: string;
  onTake: (from: Design, panel: Panel) => void;
  onClose: () => void;
}

/** Chooses a panel of another design; starters of the office come first. */
export function PanelOfDesign({ into, onTake, onClose }: Props) {
  const designs = api.useDesignsQuery();
  const [from, setFrom] = useState<DesignSummary | null>(null);
  const record = api.useDesignQuery(from?.id ?? skipToken);
  const document = record.currentData?.document;
  const [chosen, setChosen] = useState<Panel | null>(null);
  const fault = faultOf(designs) ?? faultOf(record);
  const others = (designs.data ?? []).filter(({ id }) => id !== into);
  return (
    <Dialog open onClose={onClose} aria-labelledby="panel-of-title" fullWidth maxWidth="xs">
      <DialogTitle id="panel-of-title">Panel of another design</DialogTitle>
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 4 }}>
        <Typography sx={{ color: 'text.secondary' }}>
          A copy with all that stands in it, and the dimensions that it is measured by. The other design stays as it is.
        </Typography>
        {fault ? <Failed error={fault} retry={() => void designs.refetch()} /> : null}
        <Autocomplete
          options={[...others.filter(({ starter }) => starter), ...others.filter(({ starter }) => !starter)]}
          value={from}
          getOptionLabel={({ name }) => name}
          getOptionKey={({ id }) => id}
          isOptionEqualToValue={(a, b) => a.id === b.id}
          noOptionsText="No other design"
          onChange={(_event, next) => {
            setFrom(next);
            setChosen(null);
          }}
          renderInput={(input) => <TextField {...input} label="Design" />}
        />
        <Autocomplete
          options={document?.panels ?? []}
          value={chosen}
          disabled={!document}
          getOptionLabel={({ name, dock }) => `${name}, ${DOCK_WORDS[dock].toLowerCase()}`}
          getOptionKey={({ id }) => id}
          isOptionEqualToValue={(a, b) => a.id === b.id}
          noOptionsText="It has no panels"
          onChange={(_event, next) => setChosen(next)}
          renderInput={(input) => <TextField {...input} label="Panel" />}
        />
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
        <Button
          variant="contained"
          disabled={!document || !chosen}
          onClick={() => {
            if (document && chosen) onTake(document, chosen);
            onClose();
          }}
        >
          Add panel
        </Button>
      </DialogActions>
    </Dialog>
  );
}
