import { benchDragging } from './dragging';
import { benchFirstPage } from './firstPage';
import { benchInterface } from './interface';
import { answerForMemory, benchReading } from './reading';
import { benchFaces, benchRecognition } from './recognition';
import { benchGrowth, benchSolving, benchTwelveSizes } from './solving';

answerForMemory();
console.log(
  'Ratios below 1 mean that Mendrel takes less than what it is measured against. Medians, 10th to 90th percentile.\n',
);
benchSolving();
benchTwelveSizes();
benchGrowth();
benchReading();
benchRecognition();
benchFaces();
benchDragging();
benchFirstPage();
if (process.env.MENDREL_URL) await benchInterface(process.env.MENDREL_URL);
