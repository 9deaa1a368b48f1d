import { expose } from 'comlink';
import papaparse from 'papaparse';
import { readLog, type LogRead, type LogRefused } from '../core/melt/read-log';

const logWorker = {
  /** Readings of a table as text: comma, semicolon or tab between, found by looking. */
  read(text: string): LogRead | LogRefused {
    const { data } = papaparse.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false });
    return readLog(data);
  },
};

export type LogWorker = typeof logWorker;

expose(logWorker);
