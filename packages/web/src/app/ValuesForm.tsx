import { Fragment } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { UseFormReturn } from 'react-hook-form';
import type { Parameter } from '@mendrel/core';
import type { Typed } from './valueFields';
import { useUnsavedInput } from './unsavedInput';
import { ValueField } from './valueFields';

export interface ValuesSection {
  /** Left out where there is no other section. */
  title?: string;
  fields: readonly Parameter[];
}

interface Props {
  /** What is entered, as the button calls it: `project data`. */
  what: string;
  sections: readonly ValuesSection[];
  form: UseFormReturn<Typed>;
  onSave: (typed: Typed) => Promise<void>;
}

/** Values entered one under another, under headings, saved together or given up. */
export function ValuesForm({ what, sections, form, onSave }: Props) {
  const { isDirty, isSubmitting } = form.formState;
  useUnsavedInput(isDirty);
  return (
    <Box
      component="form"
      onSubmit={(event) => void form.handleSubmit(onSave)(event)}
      sx={{ maxWidth: 580, display: 'flex', flexDirection: 'column', gap: 4, pt: 2 }}
    >
      {sections
        .filter(({ fields }) => fields.length > 0)
        .map(({ title, fields }) => (
          <Fragment key={title ?? ''}>
            {title === undefined ? null : (
              <Typography component="h3" sx={{ fontWeight: 600 }}>
                {title}
              </Typography>
            )}
            {fields.map((parameter) => (
              <ValueField key={parameter.key} parameter={parameter} form={form} />
            ))}
          </Fragment>
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
