import { wrap, type Remote } from 'comlink';
import { BehaviorSubject, Observable, Subject } from 'rxjs';
import type { ChillResult } from '../core/chill/chill';
import type { ChillInput } from '../core/chill/chill-input';
import type { RemedyEffects } from '../core/plan/remedy-effect';
import type { Casting } from '../core/record/casting';
import type { PlanWorker } from './plan.worker';

/** A request's key comes back with its answer, so that a late answer can be told from a current one. */
export interface ChillAnswered {
  readonly key: string;
  /** The input as it was handed in. */
  readonly input: ChillInput;
  readonly result: ChillResult;
}

export type WorkerState = 'idle' | 'working' | 'restarting' | 'failed';

interface Request {
  readonly key: string;
  readonly input: ChillInput;
}

const SLOW_MS = 5000;
const MOST_FAILURES = 3;
const RESTART_AFTER_MS = 300;

/**
 * Sends chill computations to a worker, one at a time; of those that wait only the newest is kept.
 * A worker that fails or hangs is replaced and the newest request sent again; after three failures in a row it
 * rests until `retry`.
 */
export class PlanClient {
  private readonly answered = new Subject<ChillAnswered>();
  private readonly states = new BehaviorSubject<WorkerState>('idle');
  private worker: Worker | undefined;
  private remote: Remote<PlanWorker> | undefined;
  private running: Request | undefined;
  private waiting: Request | undefined;
  private failures = 0;
  private patience: ReturnType<typeof setTimeout> | undefined;

  /** @param start makes a new worker; called again after a failure */
  constructor(private readonly start: () => Worker) {}

  get answers(): Observable<ChillAnswered> {
    return this.answered;
  }

  get state(): Observable<WorkerState> {
    return this.states;
  }

  /** Asks for a computation; an earlier one that has not begun is dropped. */
  request(key: string, input: ChillInput): void {
    this.waiting = { key, input };
    if (this.states.value === 'idle') this.next();
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

  private next(): void {
    const request = this.waiting;
    this.waiting = undefined;
    if (!request) {
      this.states.next('idle');
      return;
    }
    this.running = request;
    this.states.next('working');
    this.patience = setTimeout(() => this.fail(request), SLOW_MS);
    this.connect(request)
      .chill(request.input)
      .then((result) => this.finish(request, result))
      .catch(() => this.fail(request));
  }

  private connect(request: Request): Remote<PlanWorker> {
    if (this.worker && this.remote) return this.remote;
    this.worker = this.start();
    this.worker.addEventListener('error', (event) => {
      event.preventDefault();
      this.fail(this.running ?? request);
    });
    this.remote = wrap<PlanWorker>(this.worker);
    return this.remote;
  }

  private finish(request: Request, result: ChillResult): void {
    if (this.running !== request) return;
    clearTimeout(this.patience);
    this.failures = 0;
    this.running = undefined;
    this.answered.next({ ...request, result });
    this.next();
  }

  private fail(request: Request): void {
    if (this.running !== request) return;
    clearTimeout(this.patience);
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
