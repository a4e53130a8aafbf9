import { benchDensePlans } from './densePlan';
import { benchDragging } from './dragging';
import { benchFitting } from './fitting';
import { benchFirstPage } from './firstPage';
import { benchInterface } from './interface';
import { benchImpact, benchPractice } from './practice';
import { benchRegisterApi } from './registerApi';
import { benchRegisterWork } from './registerWork';
import { answerForMemory, benchReading } from './reading';
import { benchFaces, benchRecognition } from './recognition';
import { benchSetPdf } from './setPdf';
import { benchSheets, benchSheetsInWorker } from './sheets';
import { benchGrowth, benchSolving, benchTwelveSizes } from './solving';
import { benchIndex } from './tables';
import { benchViewFrames } from './viewFrames';
import { benchViews } from './views';

answerForMemory();
console.log(
  'Ratios below 1 mean that Mendrel takes less than what it is measured against. Medians, 10th to 90th percentile.\n',
);
benchSolving();
benchTwelveSizes();
benchGrowth();
benchSheets();
await benchSheetsInWorker();
benchIndex();
benchFitting();
benchReading();
benchRecognition();
benchFaces();
benchDensePlans();
benchViews();
benchDragging();
benchFirstPage();
const { MENDREL_URL: url, MENDREL_DATABASE_URL: databaseUrl } = process.env;
if (url) {
  await benchInterface(url);
  await benchSetPdf(url);
  await benchViewFrames(url);
}
if (url && databaseUrl) {
  await benchPractice(url, databaseUrl);
  await benchRegisterApi(url, databaseUrl);
  await benchImpact(url);
  await benchRegisterWork(url, databaseUrl);
}
