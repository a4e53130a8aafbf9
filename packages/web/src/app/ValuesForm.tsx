import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { UseFormReturn } from 'react-hook-form';
import type { Parameter } from '@mendrel/core';
import type { Typed } from './valueFields';
import { ValueField } from './valueFields';

interface Props {
  /** What is entered, as the button calls it: `project data`. */
  what: string;
  fields: readonly Parameter[];
  form: UseFormReturn<Typed>;
  onSave: (typed: Typed) => Promise<void>;
}

/** Values entered one under another, saved together or given up. */
export function ValuesForm({ what, fields, form, onSave }: Props) {
  const { isDirty, isSubmitting } = form.formState;
  return (
    <Box
      component="form"
      onSubmit={(event) => void form.handleSubmit(onSave)(event)}
      sx={{ maxWidth: 580, display: 'flex', flexDirection: 'column', gap: 4, pt: 2 }}
    >
      {fields.map((parameter) => (
        <ValueField key={parameter.key} parameter={parameter} form={form} />
      ))}
      <Box sx={{ display: 'flex', gap: 3 }}>
        <Button type="submit" variant="contained" disabled={!isDirty || isSubmitting}>
          {isSubmitting ? 'Saving…' : `Save ${what}`}
        </Button>
        <Button color="inherit" disabled={!isDirty} onClick={() => form.reset()}>
          Discard changes
        </Button>
      </Box>
    </Box>
  );
}
