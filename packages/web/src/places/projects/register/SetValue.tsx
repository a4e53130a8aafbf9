import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Sheet } from '@mendrel/contract';
import type { OfficeStandard } from '@mendrel/core';
import { counted } from '@mendrel/core';
import { useSheetKinds } from '../../../app/sheetKinds';
import type { Typed } from '../../../app/valueFields';
import { enteredFor, typedFrom, ValueField, valuesFrom } from '../../../app/valueFields';
import type { SheetEdit } from '../edits/sheetEdits';
import type { SheetLook } from '../sheetDrawings';
import { useStep } from '../../../app/useStep';

interface Props {
  chosen: readonly Sheet[];
  standard: OfficeStandard;
  sizesOf: (sheet: SheetLook) => readonly string[];
  /** @returns why nothing was changed */
  onSet: (edits: SheetEdit[]) => Promise<string | undefined>;
  onClose: () => void;
}

/** What a sheet keeps in fields of its own. */
const KIND = 'kind';
const SIZE = 'size';

/** One value for all chosen sheets. */
export function SetValue({ chosen, standard, sizesOf, onSet, onClose }: Props) {
  const fields = enteredFor('sheet', standard).filter(({ key }) => key !== 'sheet.number' && key !== 'sheet.kind');
  const [what, setWhat] = useState(fields.find(({ key }) => key === 'sheet.status')?.key ?? KIND);
  const parameter = fields.find(({ key }) => key === what);
  const step = useStep(onClose);
  const form = useForm<Typed>({ defaultValues: { ...typedFrom({}, fields), [KIND]: '', [SIZE]: '' } });
  const typed = useWatch({ control: form.control });
  const kinds = useSheetKinds().map(({ name }) => name);
  const sizes = [...new Set(chosen.flatMap(sizesOf))];
  const options = what === KIND ? kinds : what === SIZE ? sizes : undefined;
  const changeOf = (sheet: Sheet, values: Typed): SheetEdit['change'] => {
    if (what === KIND) return { kind: values[KIND] || sheet.kind };
    if (what === SIZE) return { size: values[SIZE] || sheet.size };
    if (!parameter) return {};
    const entered = valuesFrom(values, [parameter], sheet.values);
    if (parameter.key === 'sheet.title') return { title: entered[parameter.key] ?? '' };
    return { values: entered };
  };
  const submit = async (values: Typed): Promise<void> => {
    await step.run(() => onSet(chosen.map((sheet) => ({ sheet, change: changeOf(sheet, values) }))));
  };
  const missing = options !== undefined && !typed[what];
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="set-title">
      <form onSubmit={(event) => void form.handleSubmit(submit)(event)}>
        <DialogTitle id="set-title">Set a value on {counted(chosen.length, 'sheet')}</DialogTitle>
        <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 4, pt: '8px !important' }}>
          <TextField select label="What" value={what} onChange={(event) => setWhat(event.target.value)}>
            <MenuItem value={KIND}>Kind</MenuItem>
            <MenuItem value={SIZE}>Size</MenuItem>
            {fields.map(({ key, name }) => (
              <MenuItem key={key} value={key}>
                {name}
              </MenuItem>
            ))}
          </TextField>
          {options ? (
            <TextField
              select
              label="Value"
              value={typed[what] ?? ''}
              onChange={(event) => form.setValue(what, event.target.value)}
            >
              {options.map((option) => (
                <MenuItem key={option} value={option}>
                  {option}
                </MenuItem>
              ))}
            </TextField>
          ) : parameter ? (
            <ValueField key={parameter.key} parameter={parameter} form={form} />
          ) : null}
          {options ? null : (
            <Typography sx={{ color: 'text.secondary' }}>Left empty, it is taken away from all of them.</Typography>
          )}
          {step.problem ? <Alert severity="error">Nothing changed: {step.problem}</Alert> : null}
        </DialogContent>
        <DialogActions>
          <Button color="inherit" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" variant="contained" disabled={missing || step.busy}>
            {step.busy ? 'Setting…' : 'Set it'}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
