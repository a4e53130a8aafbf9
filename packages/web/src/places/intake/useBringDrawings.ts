import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { MOST_SET_DRAWINGS, MOST_UPLOAD_BYTES } from '@mendrel/contract';
import { newUuid } from '../../app/newUuid';
import { api, errorOf } from '../../app/api';

/** Files on their way to the server. */
export interface Bringing {
  file: string;
  done: number;
  all: number;
  /** Of a single file, what its reading is asked for with. */
  reading?: string;
}

interface Refusal {
  file: string;
  message: string;
}

const TOO_LARGE = `it is larger than ${MOST_UPLOAD_BYTES / 1024 / 1024} MB. Save the title block alone to a file of its own.`;
const ENDING = /\.(dxf|svg|pdf)$/i;

/** What the names of the files have in common, or how many they are. */
function setName(files: readonly File[]): string {
  const [first, ...rest] = files.map((file) => file.name.replace(ENDING, ''));
  let common = first ?? '';
  for (const name of rest) while (!name.startsWith(common)) common = common.slice(0, -1);
  const tidy = common.replace(/[\s_.-]+\d*$/, '').trim();
  return tidy.length >= 3 ? tidy : `${files.length} drawings`;
}

/**
 * Brings drawings to the server: a single one is read at once, several become a set. Leads to what became of them; what
 * is refused is told.
 */
export function useBringDrawings(): {
  bringing: Bringing | undefined;
  refused: readonly Refusal[];
  bring: (files: readonly File[]) => Promise<void>;
  cancel: () => void;
} {
  const [add] = api.useAddLegacyMutation();
  const [createSet] = api.useCreateIntakeSetMutation();
  const [addToSet] = api.useAddToIntakeSetMutation();
  const [readSet] = api.useReadIntakeSetMutation();
  const [deleteSet] = api.useDeleteIntakeSetMutation();
  const navigate = useNavigate();
  const [bringing, setBringing] = useState<Bringing>();
  const [refused, setRefused] = useState<readonly Refusal[]>([]);
  const sending = useRef<{ abort: () => void }>(undefined);
  const cancelled = useRef(false);

  const send = <T>(request: Promise<T> & { abort: () => void }): Promise<T> => {
    sending.current = request;
    return request;
  };
  const one = async (file: File): Promise<void> => {
    const reading = newUuid();
    setBringing({ file: file.name, done: 0, all: 1, reading });
    const result = await send(add({ file, reading }));
    if (result.data) void navigate(`/intake/${result.data.id}`);
    else if (!cancelled.current) setRefused([{ file: file.name, message: errorOf(result.error).message }]);
  };
  const several = async (files: readonly File[]): Promise<void> => {
    const set = await createSet({ name: setName(files) });
    if (!set.data) {
      setRefused([{ file: 'The set', message: errorOf(set.error).message }]);
      return;
    }
    const { id } = set.data;
    let taken = 0;
    for (const [done, file] of files.entries()) {
      setBringing({ file: file.name, done, all: files.length });
      const result = await send(addToSet({ id, file }));
      if (cancelled.current) {
        await deleteSet(id);
        return;
      }
      if (result.data) taken++;
      else setRefused((before) => [...before, { file: file.name, message: errorOf(result.error).message }]);
    }
    if (taken === 0) await deleteSet(id);
    else {
      await readSet({ id, action: 'read' });
      void navigate(`/intake/sets/${id}`);
    }
  };

  const bring = async (all: readonly File[]): Promise<void> => {
    const fitting = all.filter((file) => file.size <= MOST_UPLOAD_BYTES).slice(0, MOST_SET_DRAWINGS);
    cancelled.current = false;
    setRefused(
      all
        .filter((file) => !fitting.includes(file))
        .map(({ name, size }) => ({
          file: name,
          message: size > MOST_UPLOAD_BYTES ? TOO_LARGE : `a set holds at most ${MOST_SET_DRAWINGS} drawings.`,
        })),
    );
    const [first] = fitting;
    if (!first) return;
    await (fitting.length === 1 ? one(first) : several(fitting));
    setBringing(undefined);
  };
  const cancel = (): void => {
    cancelled.current = true;
    sending.current?.abort();
  };
  return { bringing, refused, bring, cancel };
}
