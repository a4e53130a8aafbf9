import { useRef, useState } from 'react';
import type { DrawingRecord, DrawingReplaced } from '@mendrel/contract';
import { MOST_UPLOAD_BYTES } from '@mendrel/contract';
import { errorOf } from '../../../app/api';
import { newUuid } from '../../../app/newUuid';
import { drawingApi } from './drawingApi';

/** A file that is being sent, and can be given up. */
type Sending<T> = Promise<{ data?: T; error?: unknown }> & { abort: () => void };

/** A drawing on its way: its file, and what its reading is asked for with. */
export interface Coming {
  file: string;
  reading: string;
}

/**
 * Brings a drawing to a project, or a new file in the place of one that it has.
 * @returns what brings one and gives it as it was read, or nothing when it was refused or given up; and why it was refused
 */
export function useBringDrawing(projectId: string): {
  coming: Coming | undefined;
  refused: string | undefined;
  bring: (file: File) => Promise<DrawingRecord | undefined>;
  replace: (file: File, drawing: DrawingRecord) => Promise<DrawingReplaced | undefined>;
  cancel: () => void;
} {
  const [add] = drawingApi.useAddDrawingMutation();
  const [putInPlace] = drawingApi.useReplaceDrawingMutation();
  const [coming, setComing] = useState<Coming>();
  const [refused, setRefused] = useState<string>();
  const sending = useRef<{ abort: () => void }>(undefined);
  const cancelled = useRef(false);
  /** Sends a file, unless it is too large, and tells when it was refused. */
  const sent = async <T>(file: File, send: (reading: string) => Sending<T>): Promise<T | undefined> => {
    cancelled.current = false;
    setRefused(undefined);
    if (file.size > MOST_UPLOAD_BYTES) {
      setRefused(
        `${file.name} is larger than ${MOST_UPLOAD_BYTES / 1024 / 1024} MB. Save the part that the view shows to a file of its own.`,
      );
      return undefined;
    }
    const reading = newUuid();
    setComing({ file: file.name, reading });
    const request = send(reading);
    sending.current = request;
    const result = await request;
    setComing(undefined);
    if (result.error && !cancelled.current) setRefused(`${file.name}: ${errorOf(result.error).message}`);
    return result.data;
  };
  const bring = (file: File): Promise<DrawingRecord | undefined> =>
    sent(file, (reading) => add({ projectId, file, reading }));
  const replace = (file: File, { id }: DrawingRecord): Promise<DrawingReplaced | undefined> =>
    sent(file, (reading) => putInPlace({ projectId, id, file, reading }));
  const cancel = (): void => {
    cancelled.current = true;
    sending.current?.abort();
  };
  return { coming, refused, bring, replace, cancel };
}
