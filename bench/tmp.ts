import { benchRecognition } from './recognition';
benchRecognition();
