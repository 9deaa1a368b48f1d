import type { Bare } from '../batch/stretch';
import type { StayUntil } from '../chill/set-coats';
import type { Lag, Moment, Occupation, Operation, Resource, Stay, Workload } from '../schedule/workload';

/** What an operation is: a stretch of a casting's work, or of what several share. */
export interface Task extends Bare {
  /** Undefined for what is done for several castings at once. */
  readonly castingId?: string | undefined;
  /** The bowl that is melted, among those of the occasion. */
  readonly bowl?: number;
  /** A bowl that was melted before and has stood since. */
  readonly again?: true;
  /** How many parts or pieces it is done to. */
  readonly count?: number;
  /** The mold that is washed. */
  readonly moldId?: string;
  /** What is packed, among the sets of the occasion. */
  readonly setId?: string;
}

/** A mold in use, by operations: from the start of the one to the end of the other. */
export interface MoldUse {
  readonly moldId: string;
  readonly castingId: string;
  readonly from: number;
  readonly to: number;
}

/** Room taken on a shelf, by operations: from the end of the one to the start of the other. */
export interface ShelfUse {
  readonly place: 'fridge' | 'freezer';
  readonly castingId: string;
  readonly m2: number;
  readonly from: number;
  readonly to: number;
}

/** What passes between two operations without hands, by their index: each stretch of it, in its order. */
export interface Wait {
  readonly from: number;
  readonly to: number;
  readonly steps: readonly Pick<Bare, 'kind' | 'place' | 'seconds'>[];
  /** The coat that sets in the last of them: what it stays for, and when it is ready for that, s since it went in; not where that is not told by its own stay. */
  readonly sets?: { readonly coat: number; readonly until: StayUntil; readonly readyS: number };
}

/** What there is to do it with. */
export interface Means {
  readonly people: number;
  readonly stays: readonly Stay[];
  /** Room on the shelves, m²; undefined where it is not counted with. */
  readonly fridgeM2?: number | undefined;
  readonly freezerM2?: number | undefined;
}

/** Work as it can be written down. */
export type PlainWork = Readonly<Pick<Work, 'tasks' | 'moldUses' | 'shelfUses' | 'lags' | 'waits' | 'earliest'>>;

/** Operations with what lies between them, as they are put together of one casting's work or of several castings'. */
export class Work {
  readonly tasks: Task[] = [];
  /** Keys of the tasks: what is alike is counted. */
  readonly keys: string[] = [];
  readonly moldUses: MoldUse[] = [];
  readonly shelfUses: ShelfUse[] = [];
  readonly lags: Lag[] = [];
  readonly waits: Wait[] = [];
  /** When each task can start at the earliest, s from the first of its casting, whatever the hands do. */
  readonly earliest: number[] = [];
  private readonly counts = new Map<string, number>();

  /** Adds a task; whole seconds add up without rounding. */
  add(task: Task): number {
    const { castingId = '', kind, part, coat, step, round, fillingId, setId, bowl } = task;
    const stem = [castingId, kind, part, coat, step, round, fillingId ?? setId, bowl].map((own) => own ?? '').join('/');
    const count = this.counts.get(stem) ?? 0;
    this.counts.set(stem, count + 1);
    this.keys.push(`${stem}/${count}`);
    this.earliest.push(0);
    return this.tasks.push({ ...task, seconds: Math.max(1, Math.round(task.seconds)) }) - 1;
  }

  /** What is to pass between the end of one task and the start of a later one, s. */
  lag(from: number, to: number, { least, most }: Pick<Lag, 'least' | 'most'>): void {
    this.lags.push(most === undefined ? { from, to, least } : { from, to, least, most });
    this.earliest[to] = Math.max(this.earliest[to], this.earliest[from] + this.tasks[from].seconds + least);
  }

  /** Work as it was put together once: its keys follow from its tasks. */
  static of({ tasks, moldUses, shelfUses, lags, waits, earliest }: PlainWork): Work {
    const work = new Work();
    for (const task of tasks) work.add(task);
    work.moldUses.push(...moldUses);
    work.shelfUses.push(...shelfUses);
    work.lags.push(...lags);
    work.waits.push(...waits);
    work.earliest.splice(0, earliest.length, ...earliest);
    return work;
  }

  /** The same once more, to be changed by itself. */
  copy(): Work {
    const copy = new Work();
    copy.tasks.push(...this.tasks);
    copy.keys.push(...this.keys);
    copy.moldUses.push(...this.moldUses);
    copy.shelfUses.push(...this.shelfUses);
    copy.lags.push(...this.lags);
    copy.waits.push(...this.waits);
    copy.earliest.push(...this.earliest);
    for (const [stem, count] of this.counts) copy.counts.set(stem, count);
    return copy;
  }

  /** Puts a lag from another task in the place of one that there is. */
  lagAnew(from: number, instead: number, to: number, { least, most }: Pick<Lag, 'least' | 'most'>): void {
    const at = this.lags.findIndex((lag) => lag.from === from && lag.to === to);
    this.lags[at] = { from: instead, to, least, most };
  }

  /** By task, which casting it is of; what several share is of the first. */
  private jobs(): readonly number[] {
    const castings = [...new Set(this.tasks.flatMap(({ castingId }) => castingId ?? []))];
    return this.tasks.map(({ castingId }, i) => Math.max(0, castings.indexOf(castingId ?? this.firstOf(i) ?? '')));
  }

  /** The casting of the first that a task is bound to. */
  private firstOf(task: number): string | undefined {
    const next = this.lags.find(({ from, to }) => from === task || to === task);
    return next && this.tasks[next.from === task ? next.to : next.from].castingId;
  }

  /** All of it as a workload: hands, shelves where there is only so much room, and the microwave, which takes one bowl at a time. */
  workload(
    { people, stays, fridgeM2, freezerM2 }: Means,
    inMicrowave: (task: Task) => boolean = () => false,
  ): Workload {
    const operations = this.tasks.map(({ seconds, handsOn, kind }, i): Operation => ({
      id: this.keys[i],
      seconds,
      // All have a break together.
      hands: kind === 'break' ? people : handsOn ? 1 : 0,
    }));
    const shelves = { fridge: fridgeM2, freezer: freezerM2 } as const;
    const names = (['fridge', 'freezer'] as const).filter((place) => shelves[place] !== undefined);
    const occupations = this.shelfUses.flatMap(({ place, m2, from, to }): Occupation[] =>
      names.includes(place) ? [{ resource: names.indexOf(place), amount: m2, from: after(from), to: before(to) }] : [],
    );
    const resources: Resource[] = names.map((place) => ({ name: place, capacity: shelves[place] ?? 0 }));
    if (people > 1) {
      const microwave = resources.push({ name: 'microwave', capacity: 1 }) - 1;
      for (const [i, task] of this.tasks.entries())
        if (inMicrowave(task)) occupations.push({ resource: microwave, amount: 1, from: before(i), to: after(i) });
    }
    return { operations, lags: this.lags, resources, occupations, people, stays, jobs: this.jobs() };
  }
}

const after = (operation: number): Moment => ({ operation, at: 'end' });
const before = (operation: number): Moment => ({ operation, at: 'start' });
