import { answerForMemory, benchReading } from './reading';
answerForMemory();
benchReading();
