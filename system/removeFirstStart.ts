import { rmSync } from 'node:fs';

/** Removes what firstStart.ts made. */
export default function removeFirstStart(): void {
  const folder = process.env['MENDREL_FIRST_START'];
  if (folder) rmSync(folder, { recursive: true, force: true });
}
