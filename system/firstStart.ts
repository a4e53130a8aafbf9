import { rmSync } from 'node:fs';
import { Mendrel } from './mendrel';

/**
 * Starts Mendrel once and ends it again: tests that are about something else begin with a copy of the data it made.
 * @returns what removes the data once all tests are over
 */
export default async function firstStart(): Promise<() => void> {
  const mendrel = new Mendrel();
  process.env['MENDREL_FIRST_START'] = mendrel.data;
  await mendrel.start();
  await mendrel.end();
  return () => rmSync(mendrel.data, { recursive: true, force: true });
}
