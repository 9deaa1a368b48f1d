import { expose } from 'comlink';
import papaparse from 'papaparse';
import { delimiterOf, readLog, type LogRead, type LogRefused } from '../core/melt/read-log';

const logWorker = {
  /** Readings of a table as text: comma, semicolon or tab between. */
  read(text: string): LogRead | LogRefused {
    const plain = text.replace(/^\uFEFF/, '');
    const { data } = papaparse.parse<string[]>(plain, { delimiter: delimiterOf(plain) });
    return readLog(data);
  },
};

export type LogWorker = typeof logWorker;

expose(logWorker);
