import { parentPort } from 'node:worker_threads';
import { differentSheets, look, shippedTypefaces } from './differentSheets';

// All sheets once to warm up, as a page does that was open for a while, and once for the clock.
const [sources, typefaces] = [differentSheets(), shippedTypefaces()];
const all = (): number => sources.reduce((found, source) => found + look(source, typefaces), 0);
all();
const begun = performance.now();
all();
parentPort?.postMessage(performance.now() - begun);
