import type { ArrangeTask } from './arrangeTask';
import { answerTo } from './arrangeTask';

addEventListener('message', ({ data }: MessageEvent<ArrangeTask>) => postMessage(answerTo(data)));
