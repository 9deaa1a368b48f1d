import { wrap, type Remote } from 'comlink';
import { Observable } from 'rxjs';

/**
 * Asks a worker of its own one question. Gives one answer and completes; the worker is ended then, and when nobody waits for the answer any more, so that
 * a question can be cancelled. Errs where the worker does not start, breaks, or fails at the question.
 */
export function askedOnce<W, T>(start: () => Worker, ask: (remote: Remote<W>) => Promise<T>): Observable<T> {
  return new Observable((subscriber) => {
    let worker: Worker | undefined;
    try {
      worker = start();
      worker.addEventListener('error', (event) => subscriber.error(event.message ?? ''));
      ask(wrap<W>(worker)).then(
        (answer) => {
          subscriber.next(answer);
          subscriber.complete();
        },
        (error: unknown) => subscriber.error(error),
      );
    } catch (error) {
      subscriber.error(error);
    }
    return () => worker?.terminate();
  });
}
