import { wrap } from 'comlink';
import { Observable } from 'rxjs';
import type { LogRead, LogRefused } from '../core/melt/read-log';
import type { LogWorker } from './log.worker';

/** What became of reading a log: read or refused as the table deserves; or the worker itself failed. */
export type LogOutcome =
  LogRead | LogRefused | { readonly ok: false; readonly problem: 'failed'; readonly detail: string };

/**
 * Reads a table of readings in a worker of its own. Gives one outcome and completes; letting go of it stops the worker, so that
 * reading can be cancelled. Never errors: a worker that does not start or breaks is an outcome too.
 */
export function readLogIn(start: () => Worker, text: string): Observable<LogOutcome> {
  return new Observable((subscriber) => {
    let worker: Worker | undefined;
    const failed = (detail: string): void => {
      subscriber.next({ ok: false, problem: 'failed', detail });
      subscriber.complete();
    };
    try {
      worker = start();
      worker.addEventListener('error', (event) => failed(event.message ?? ''));
      wrap<LogWorker>(worker)
        .read(text)
        .then(
          (outcome) => {
            subscriber.next(outcome);
            subscriber.complete();
          },
          (error: unknown) => failed(String(error)),
        );
    } catch (error) {
      failed(String(error));
    }
    return () => worker?.terminate();
  });
}
