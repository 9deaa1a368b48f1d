import { expose } from 'comlink';
import { lessonsOf } from '../core/learn/lessons';

const lessonsWorker = { taught: lessonsOf };

export type LessonsWorker = typeof lessonsWorker;

expose(lessonsWorker);
