import { catchError, of, type Observable } from 'rxjs';
import type { LogRead, LogRefused } from '../core/melt/read-log';
import { askedOnce } from './asked-once';
import type { LogWorker } from './log.worker';

/** What became of reading a log: read or refused as the table deserves; or the worker itself failed. */
export type LogOutcome =
  LogRead | LogRefused | { readonly ok: false; readonly problem: 'failed'; readonly detail: string };

/** Reads a table of readings in a worker of its own. Never errs: a worker that does not start or breaks is an outcome too. */
export function readLogIn(start: () => Worker, text: string): Observable<LogOutcome> {
  return askedOnce<LogWorker, LogOutcome>(start, (remote) => remote.read(text)).pipe(
    catchError((error: unknown) => of<LogOutcome>({ ok: false, problem: 'failed', detail: String(error) })),
  );
}
