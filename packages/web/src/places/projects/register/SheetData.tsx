import { Suspense, useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';

import type { Sheet } from '@mendrel/contract';
import type { OfficeStandard } from '@mendrel/core';
import { useDesignName } from '../../../app/designName';
import { useSheetKinds } from '../../../app/sheetKinds';
import { BREAK_HINT, submitOnEnter } from '../../../app/typedBreaks';
import type { Typed } from '../../../app/valueFields';
import { enteredFor, typedFrom, ValueField, valuesFrom } from '../../../app/valueFields';
import { SheetFindings } from './SheetFindings';
import { SheetHistory } from './SheetHistory';
import { SheetOrigins } from './SheetOrigins';
import type { RegisterEdits } from './useRegisterEdits';
import type { ProjectSheet, SheetLook } from '../sheetDrawings';

interface Props {
  sheet: Sheet;
  /** Sizes that the design of a sheet serves. */
  sizesOf: (sheet: SheetLook) => readonly string[];
  standard: OfficeStandard;
  /** With what it is drawn from; undefined while that is not there. */
  drawn: ProjectSheet | undefined;
  apply: RegisterEdits['apply'];
  onClose: () => void;
}

/** What a sheet keeps in fields of its own rather than among its values. */
const OWN_FIELDS: ReadonlySet<string> = new Set(['sheet.number', 'sheet.title', 'sheet.kind']);

/** A title may have several lines. */
const LINES = { multiline: true, onKeyDown: submitOnEnter, slotProps: { htmlInput: { title: BREAK_HINT } } };

/** All that is entered for one sheet, in one form. */
export function SheetData({ sheet, sizesOf, standard, drawn, apply, onClose }: Props) {
  const fields = enteredFor('sheet', standard).filter(({ key }) => !OWN_FIELDS.has(key));
  const [problem, setProblem] = useState<string>();
  const [beside, setBeside] = useState<'history' | 'origins'>();
  const { number, title, kind, size, design } = sheet;
  const form = useForm<Typed>({ defaultValues: { number, title, kind, size, ...typedFrom(sheet.values, fields) } });
  const { isDirty, isSubmitting } = form.formState;
  const typedKind = useWatch({ control: form.control, name: 'kind' });
  const kinds = useSheetKinds().map((each) => each.name);
  const designName = useDesignName();
  const keep = async (typed: Typed): Promise<void> => {
    const done = await apply({
      changes: [
        {
          sheet,
          change: {
            number: typed['number']?.trim() ?? number,
            title: typed['title'] ?? title,
            kind: typed['kind'] || kind,
            size: typed['size'] ?? size,
            values: valuesFrom(typed, fields, sheet.values),
          },
        },
      ],
    });
    if (done.refused !== undefined) setProblem(done.refused);
    else onClose();
  };
  const own = (name: 'number' | 'title' | 'kind' | 'size', label: string, options?: readonly string[]) => (
    <Controller
      name={name}
      control={form.control}
      rules={{ required: name === 'number' && 'a sheet needs a number' }}
      render={({ field: { ref, ...input }, fieldState: { error } }) => (
        <TextField
          {...input}
          inputRef={ref}
          label={label}
          select={options !== undefined}
          {...(name === 'title' ? LINES : {})}
          error={error !== undefined}
          helperText={error?.message}
        >
          {options?.map((each) => (
            <MenuItem key={each} value={each}>
              {each}
            </MenuItem>
          ))}
        </TextField>
      )}
    />
  );
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="sheet-data">
      <form onSubmit={(event) => void form.handleSubmit(keep)(event)}>
        <DialogTitle id="sheet-data">
          Data of {number} {title}
        </DialogTitle>
        <DialogContent
          sx={{ display: 'flex', flexDirection: 'column', gap: 4, pt: '8px !important', maxHeight: '62vh' }}
        >
          {design ? <Alert severity="info">Drawn with a design of its own: {designName(design)}.</Alert> : null}
          {problem ? <Alert severity="error">Not saved: {problem}</Alert> : null}
          {drawn && !beside ? (
            <Suspense fallback={null}>
              <SheetFindings sheet={drawn} />
            </Suspense>
          ) : null}
          {beside === 'history' ? <SheetHistory sheet={sheet.id} standard={standard} /> : null}
          {beside === 'origins' && drawn ? <SheetOrigins source={drawn.source} project={sheet.projectId} /> : null}
          <Box sx={{ display: beside ? 'none' : 'grid', gridTemplateColumns: '1fr 1fr', gap: 4 }}>
            {own('number', 'Number')}
            {own('title', 'Title')}
            {own('kind', 'Kind', [...new Set([...kinds, kind])])}
            {own('size', 'Size', [...new Set([...sizesOf({ kind: typedKind || kind, design }), size])])}
            {fields.map((parameter) => (
              <Box
                key={parameter.key}
                sx={parameter.kind === 'long text' ? { gridColumn: '1 / -1', display: 'grid' } : { display: 'grid' }}
              >
                <ValueField parameter={parameter} form={form} />
              </Box>
            ))}
          </Box>
        </DialogContent>
        <DialogActions>
          {beside ? (
            <Button onClick={() => setBeside(undefined)}>Back to its data</Button>
          ) : (
            <>
              <Button onClick={() => setBeside('history')}>History</Button>
              {drawn ? <Button onClick={() => setBeside('origins')}>Where values come from</Button> : null}
            </>
          )}
          <Box sx={{ flex: 1 }} />
          <Button color="inherit" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" variant="contained" disabled={!isDirty || isSubmitting}>
            {isSubmitting ? 'Saving…' : 'Save'}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
