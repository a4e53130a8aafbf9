import { isMainThread } from 'node:worker_threads';

// One script for the process that reads and for the thread in it that watches over it: only what each needs is loaded.
if (isMainThread) void import('./serve').then(({ serve }) => serve(new URL(import.meta.url)));
else void import('./watch').then(({ watch }) => watch());
