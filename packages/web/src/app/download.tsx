import { useState } from 'react';
import Alert from '@mui/material/Alert';
import { errorOf } from './api';
import { handOver } from './keepFile';

/** A download that failed: what it was, and the error of the request. */
interface FailedDownload {
  what: string;
  error: unknown;
}

export interface Downloads {
  /** What is on its way, in words; undefined for nothing. */
  fetching: string | undefined;
  failed: FailedDownload | undefined;
  /** Fetches a file of the server and hands it to the browser; `what` names it where it fails, `asked` is sent along. */
  download: (path: string, what: string, asked?: object) => Promise<void>;
  dismiss: () => void;
}

/** Files of the server to keep. A plain link would show what went wrong as raw text in place of the page. */
export function useDownloads(): Downloads {
  const [fetching, setFetching] = useState<string>();
  const [failed, setFailed] = useState<FailedDownload>();
  const download = async (path: string, what: string, asked?: object): Promise<void> => {
    setFetching(what);
    setFailed(undefined);
    try {
      const answer = await fetch(
        path,
        asked && { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(asked) },
      );
      if (answer.ok) handOver(nameOf(answer, path), await answer.blob());
      else setFailed({ what, error: { data: (await answer.json().catch(() => undefined)) as unknown } });
    } catch (error) {
      setFailed({ what, error });
    } finally {
      setFetching(undefined);
    }
  };
  return { fetching, failed, download, dismiss: () => setFailed(undefined) };
}

/** The name the server gave a file, or the last part of its address. */
function nameOf(answer: Response, path: string): string {
  const header = answer.headers.get('Content-Disposition') ?? '';
  const encoded = /filename\*=UTF-8''([^;]+)/i.exec(header)?.[1];
  if (encoded !== undefined) return decodeURIComponent(encoded);
  return /filename="?([^";]+)"?/i.exec(header)?.[1] ?? path.split('/').pop() ?? 'file';
}

/** Says on the page which download failed and why. */
export function FailedDownloadNotice({ failed, dismiss }: Downloads) {
  if (!failed) return null;
  return (
    <Alert severity="error" onClose={dismiss} sx={{ flex: 'none', borderRadius: 0 }}>
      {failed.what} was not downloaded: {errorOf(failed.error).message}
    </Alert>
  );
}
