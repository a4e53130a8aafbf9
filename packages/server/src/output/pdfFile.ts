import { createReadStream } from 'node:fs';
import type { FileHandle } from 'node:fs/promises';
import { mkdtemp, open, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import type { Drawing } from '@mendrel/core';
import type { PdfOptions } from '@mendrel/formats/pdf';
import { streamPdf } from '@mendrel/formats/pdf';
import type { Response } from 'express';
import { attach } from '../http/files';

/** Bytes that wait in memory to be written to the file. */
const MOST_WAITING = 4 * 1024 * 1024;

/**
 * Writes sheets as one PDF and sends it when it is complete: a fault on the last sheet is still told as one, and a set of
 * any size takes little memory.
 */
export async function sendPdf(
  response: Response,
  name: string,
  pages: AsyncIterable<Drawing>,
  options: PdfOptions,
): Promise<void> {
  const folder = await mkdtemp(join(tmpdir(), 'mendrel-set-'));
  try {
    const path = join(folder, 'set.pdf');
    const file = await open(path, 'w');
    try {
      await written(file, pages, options);
    } finally {
      await file.close();
    }
    attach(response, name, 'application/pdf');
    await pipeline(createReadStream(path), response).catch((error: unknown) => {
      // Whoever left while the file was on its way does not want the rest.
      if (!response.destroyed) throw error;
    });
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

async function written(file: FileHandle, pages: AsyncIterable<Drawing>, options: PdfOptions): Promise<void> {
  let [waiting, last] = [0, Promise.resolve()];
  const sink = (chunk: Uint8Array): void => {
    waiting += chunk.length;
    last = last.then(() => file.appendFile(chunk)).then(() => void (waiting -= chunk.length));
    // An error is told where the pages are waited for.
    last.catch(() => undefined);
  };
  async function* unhurried(): AsyncGenerator<Drawing> {
    for await (const page of pages) {
      if (waiting > MOST_WAITING) await last;
      yield page;
    }
  }
  await streamPdf(unhurried(), options, sink);
  await last;
}
