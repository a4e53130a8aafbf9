import { readDxf } from '@mendrel/formats/dxf';
import { answerForMemory, bigDxf } from './reading';
answerForMemory();
const b = bigDxf(1);
let sink: unknown;
for (let k = 0; k < 5; k++) { const t = performance.now(); for (let i = 0; i < 40; i++) sink = readDxf(b); console.log(((performance.now() - t) / 40).toFixed(2), 'ms', typeof sink); }
