import { expose } from 'comlink';
import { studyWork } from './study-work';

expose(studyWork());
