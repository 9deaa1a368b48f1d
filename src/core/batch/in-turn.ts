/** Something that takes hands or only time. */
export type Task<T> = T & { readonly handsOn: boolean; readonly seconds: number };

/** A wait of one line of work, from its beginning to its end, s. */
interface Wait<T> {
  readonly task: Task<T>;
  readonly from: number;
  readonly to: number;
}

class Line<T> {
  private next = 0;
  /** When the hands may go on with it, s, and what it waits for until then. */
  readyAt = 0;
  waits: Wait<T>[] = [];

  constructor(private readonly tasks: readonly Task<T>[]) {}

  get task(): Task<T> | undefined {
    return this.tasks[this.next];
  }

  /** Sets all waits going that come next, beginning at `now`. */
  wait(now: number): void {
    this.readyAt = now;
    this.waits = [];
    for (let task = this.task; task && !task.handsOn; task = this.task) {
      this.waits.push({ task, from: this.readyAt, to: this.readyAt + task.seconds });
      this.readyAt += task.seconds;
      this.next++;
    }
  }

  /** Takes the hands-on task that comes next. */
  take(): Task<T> {
    return this.tasks[this.next++];
  }
}

/**
 * Lines of work done by one pair of hands: each line's tasks in their order, and among lines whose hands-on task is ready the first line
 * goes first. Gives one line of stretches without gaps: hands-on tasks whole, and of the waits what nothing could be done in.
 * @param before what has to be done by hand right before a task, whichever line comes to it first; asked once, when the task is taken
 */
export function inTurn<T>(
  lines: readonly (readonly Task<T>[])[],
  before: (task: Task<T>) => readonly Task<T>[] = () => [],
): Task<T>[] {
  const open = lines.map((tasks) => new Line(tasks));
  const done: Task<T>[] = [];
  let now = 0;
  for (const line of open) line.wait(0);
  // What only waits at a line's end is waited for as well.
  for (let left = open.filter(unfinished); left.length > 0; left = open.filter(unfinished)) {
    const ready = left.find(({ task, readyAt }) => task !== undefined && readyAt <= now);
    if (ready) {
      const task = ready.take();
      for (const one of [...before(task), task]) {
        done.push(one);
        now += one.seconds;
      }
      ready.wait(now);
      continue;
    }
    const soonest = left.reduce((best, line) => (line.readyAt < best.readyAt ? line : best));
    for (const { task, from, to } of soonest.waits) {
      // Endless ends at endless: what is left of it then is nothing.
      const seconds = Number.isFinite(now) ? to - Math.max(from, now) : 0;
      if (seconds > 0) done.push({ ...task, seconds });
      now = Math.max(now, to);
    }
    soonest.waits = [];
  }
  return done;
}

function unfinished<T>({ task, waits }: Line<T>): boolean {
  return task !== undefined || waits.length > 0;
}
