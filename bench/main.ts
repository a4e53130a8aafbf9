import { benchDragging } from './dragging';
import { benchFirstPage } from './firstPage';
import { benchReading } from './reading';
import { benchSolving } from './solving';

console.log(
  'Ratios below 1 mean that Mendrel takes less than what it is measured against. Medians, 10th to 90th percentile.\n',
);
benchSolving();
benchReading();
benchDragging();
benchFirstPage();
