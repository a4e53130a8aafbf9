import { useNavigate } from 'react-router';
import { useSnackbar } from 'notistack';
import type { Design } from '@mendrel/core';
import { api, errorOf } from '../../app/api';
import { FileButton } from '../../app/FileButton';

/** A design file is no larger than what the server takes at once. */
const MOST_BYTES = 12 * 1024 * 1024;

/** Reads a design that was kept as a file, or comes from another office, and opens it. */
export function ReadDesignFile() {
  const [create, { isLoading }] = api.useCreateDesignMutation();
  const navigate = useNavigate();
  const { enqueueSnackbar } = useSnackbar();
  const refuse = (name: string, why: string): void =>
    void enqueueSnackbar(`${name} was not read: ${why}`, { variant: 'error', persist: true });
  const read = async (file: File): Promise<void> => {
    if (file.size > MOST_BYTES) {
      refuse(file.name, 'a design file has at most 12 MB');
      return;
    }
    let document: unknown;
    try {
      document = JSON.parse(await file.text());
    } catch {
      refuse(file.name, 'it is no design file; choose one that was downloaded from a design');
      return;
    }
    // What is in it the server looks at, part by part.
    const made = await create({ document: document as Design });
    if (made.data) void navigate(`/designs/${made.data.id}`);
    else refuse(file.name, errorOf(made.error).message);
  };
  return (
    <FileButton
      variant="outlined"
      disabled={isLoading}
      of="Design file"
      accept=".json,application/json"
      onFile={(file) => void read(file)}
    >
      {isLoading ? 'Reading…' : 'Read a design file…'}
    </FileButton>
  );
}
