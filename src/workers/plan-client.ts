import { wrap, type Remote } from 'comlink';
import { BehaviorSubject, Observable, Subject } from 'rxjs';
import type { Making } from '../core/plan/making';
import type { RemedyEffects } from '../core/study/remedy-effect';
import type { Worked } from '../core/plan/worked';
import type { Casting } from '../core/record/casting';
import type { PlanWork } from './plan-work';

/** A request's key comes back with its answer, so that a late answer can be told from a current one. */
export interface PlanAnswered {
  readonly key: string;
  /** The makings as they were handed in, and what each came to. */
  readonly makings: readonly Making[];
  readonly worked: readonly Worked[];
}

export type WorkerState = 'idle' | 'working' | 'restarting' | 'failed';

interface Request {
  readonly key: string;
  readonly makings: readonly Making[];
  readonly from: readonly Worked[] | undefined;
}

const SLOW_MS = 5000;
const MOST_FAILURES = 3;
const RESTART_AFTER_MS = 300;
/** The likely range is begun once nothing has been asked for so long: within a drag it would only hold up the next answer. */
const RANGE_AFTER_MS = 100;

/**
 * Sends makings to a worker, one at a time; of those that wait only the newest is kept. Each is answered by the simulation as planned,
 * and, where nothing newer is asked for a moment, once more with the likely range from runs of its own.
 * A worker that fails or hangs is replaced and the newest request sent again; after three failures in a row it
 * rests until `retry`.
 */
export class PlanClient {
  private readonly answered = new Subject<PlanAnswered>();
  private readonly states = new BehaviorSubject<WorkerState>('idle');
  private worker: Worker | undefined;
  private remote: Remote<PlanWork> | undefined;
  private running: Request | undefined;
  private waiting: Request | undefined;
  private failures = 0;
  /** The likely range is under way, which something newer stops. */
  private ranging = false;
  private patience: ReturnType<typeof setTimeout> | undefined;
  /** Runs while the range has not been begun yet. */
  private pause: ReturnType<typeof setTimeout> | undefined;

  /** @param start makes a new worker; called again after a failure */
  constructor(private readonly start: () => Worker) {}

  get answers(): Observable<PlanAnswered> {
    return this.answered;
  }

  get state(): Observable<WorkerState> {
    return this.states;
  }

  /**
   * Asks for a computation; an earlier one that has not begun is dropped.
   * @param makings one for each part of the casting
   * @param from an earlier answer, to begin from where a making is alike
   */
  request(key: string, makings: readonly Making[], from?: readonly Worked[]): void {
    this.waiting = { key, makings, from };
    if (this.states.value === 'idle') this.next();
    else if (this.pause !== undefined) this.done();
    else if (this.ranging) void this.remote?.stop().catch(() => undefined);
  }

  /**
   * What each note's remedy would change in all. Behind a chill that is running it waits for it; with no worker
   * at hand, or one that fails meanwhile, the map stays empty: notes then say less, and nothing else depends on it.
   */
  async effects(casting: Casting): Promise<RemedyEffects> {
    try {
      return (await this.remote?.effects(casting)) ?? new Map();
    } catch {
      return new Map();
    }
  }

  /** Starts again after the worker was given up. */
  retry(): void {
    this.failures = 0;
    this.waiting ??= this.running;
    this.running = undefined;
    this.next();
  }

  /** Ends the worker for good. */
  close(): void {
    clearTimeout(this.patience);
    clearTimeout(this.pause);
    this.running = undefined;
    this.waiting = undefined;
    this.worker?.terminate();
    this.states.complete();
    this.answered.complete();
  }

  private next(): void {
    const request = this.waiting;
    this.waiting = undefined;
    if (!request) {
      this.states.next('idle');
      return;
    }
    this.running = request;
    this.states.next('working');
    this.watch(request);
    void this.ask(
      request,
      (remote) => remote.work(request.makings, request.from),
      (worked) => this.finish(request, worked),
    );
  }

  /** Asks the worker; one that cannot even be made, as where a browser forbids it, has failed like any other. */
  private async ask<T>(
    request: Request,
    work: (remote: Remote<PlanWork>) => Promise<T>,
    answered: (answer: T) => void,
  ): Promise<void> {
    try {
      answered(await work(this.connect(request)));
    } catch {
      this.fail(request);
    }
  }

  /** Waits for an answer as long as is reasonable. */
  private watch(request: Request): void {
    clearTimeout(this.patience);
    this.patience = setTimeout(() => this.fail(request), SLOW_MS);
  }

  private connect(request: Request): Remote<PlanWork> {
    if (this.worker && this.remote) return this.remote;
    this.worker = this.start();
    this.worker.addEventListener('error', (event) => {
      event.preventDefault();
      this.fail(this.running ?? request);
    });
    this.remote = wrap<PlanWork>(this.worker);
    return this.remote;
  }

  private finish(request: Request, worked: readonly Worked[]): void {
    if (this.running !== request) return;
    this.failures = 0;
    this.answered.next({ ...request, worked });
    if (this.waiting) return this.done();
    clearTimeout(this.patience);
    this.pause = setTimeout(() => this.range(request, worked), RANGE_AFTER_MS);
  }

  private range(request: Request, worked: readonly Worked[]): void {
    this.pause = undefined;
    this.ranging = true;
    this.watch(request);
    void this.ask(
      request,
      (remote) => remote.range(request.makings, worked),
      (ranged) => this.finishRange(request, ranged),
    );
  }

  private finishRange(request: Request, worked: readonly Worked[] | undefined): void {
    if (this.running !== request) return;
    if (worked) this.answered.next({ ...request, worked });
    this.done();
  }

  private done(): void {
    clearTimeout(this.patience);
    clearTimeout(this.pause);
    this.pause = undefined;
    this.ranging = false;
    this.running = undefined;
    this.next();
  }

  private fail(request: Request): void {
    if (this.running !== request) return;
    clearTimeout(this.patience);
    clearTimeout(this.pause);
    this.pause = undefined;
    this.ranging = false;
    this.worker?.terminate();
    this.worker = undefined;
    this.remote = undefined;
    this.running = undefined;
    this.waiting ??= request;
    this.failures++;
    if (this.failures >= MOST_FAILURES) {
      this.states.next('failed');
      return;
    }
    this.states.next('restarting');
    setTimeout(() => this.next(), RESTART_AFTER_MS * this.failures);
  }
}
