/** Nothing is later than this, s: some thirty years. */
export const NEVER = 1e9;

/** When a node may be: stretches in their order, none over another. */
export type Windows = readonly { readonly from: number; readonly to: number }[];

/**
 * Moments bound to each other by arcs: the time of `to` is at least that of `from` and a weight more. A most lag is an arc backward with a
 * weight below zero. For each node the earliest and the latest time that the arcs leave it, and its windows where it has any; longest paths
 * from either end, found anew only where an arc changes something (Bellman and Ford's, first in, first out).
 *
 * Arcs and times are taken back to a mark, so that a search can try.
 */
export class Network {
  readonly early: Float64Array;
  readonly late: Float64Array;

  private readonly firstOut: Int32Array;
  private readonly firstIn: Int32Array;
  private readonly from: number[] = [];
  private readonly to: number[] = [];
  private readonly weight: number[] = [];
  private readonly nextOut: number[] = [];
  private readonly nextIn: number[] = [];
  /** Times as they were: node, or its complement for a latest time, and the time. */
  private readonly changedNode: number[] = [];
  private readonly changedTime: number[] = [];
  private readonly moves: Int32Array;
  private broken = false;
  private readonly forward: Queue;
  private readonly backward: Queue;

  /** @param windows of each node; undefined where it may be at any time */
  constructor(
    readonly size: number,
    private windows: readonly (Windows | undefined)[],
  ) {
    this.early = new Float64Array(size);
    this.late = new Float64Array(size).fill(NEVER);
    this.firstOut = new Int32Array(size).fill(-1);
    this.firstIn = new Int32Array(size).fill(-1);
    this.moves = new Int32Array(size);
    this.forward = new Queue(size);
    this.backward = new Queue(size);
    for (let v = 0; v < size; v++) this.post(v);
  }

  /** Puts an arc in, to be followed with the next `settle`. */
  arc(from: number, to: number, weight: number): void {
    const e = this.from.length;
    this.from.push(from);
    this.to.push(to);
    this.weight.push(weight);
    this.nextOut.push(this.firstOut[from]);
    this.nextIn.push(this.firstIn[to]);
    this.firstOut[from] = e;
    this.firstIn[to] = e;
    this.forward.push(from);
    this.backward.push(to);
  }

  /** Holds a node at a time or later, or at one or earlier. */
  notBefore(node: number, time: number): void {
    const windows = this.windows[node];
    const at = windows ? earliestIn(windows, time) : time;
    if (at > this.early[node]) this.setEarly(node, at);
    this.broken ||= at > this.late[node];
    this.forward.push(node);
  }

  notAfter(node: number, time: number): void {
    const windows = this.windows[node];
    const at = windows ? latestIn(windows, time) : time;
    if (at < this.late[node]) this.setLate(node, at);
    this.broken ||= at < this.early[node];
    this.backward.push(node);
  }

  /** Changes the windows to narrower ones. What follows from them is taken back to a mark like the rest; the windows themselves stay. */
  within(windows: readonly (Windows | undefined)[]): void {
    this.windows = windows;
    for (let v = 0; v < this.size; v++) {
      if (!windows[v]) continue;
      this.notBefore(v, this.early[v]);
      this.notAfter(v, this.late[v]);
    }
  }

  /** Follows all that was put in. @returns false where no times keep to it: then all since the last mark is to be taken back */
  settle(): boolean {
    this.moves.fill(0);
    const kept = !this.broken && this.runForward() && this.runBackward();
    this.broken = false;
    if (!kept) {
      this.forward.clear();
      this.backward.clear();
    }
    return kept;
  }

  mark(): { readonly arcs: number; readonly changes: number } {
    return { arcs: this.from.length, changes: this.changedNode.length };
  }

  backTo({ arcs, changes }: ReturnType<Network['mark']>): void {
    while (this.changedNode.length > changes) {
      const node = this.changedNode.pop() as number;
      const time = this.changedTime.pop() as number;
      if (node >= 0) this.early[node] = time;
      else this.late[~node] = time;
    }
    while (this.from.length > arcs) {
      this.firstOut[this.from.pop() as number] = this.nextOut.pop() as number;
      this.firstIn[this.to.pop() as number] = this.nextIn.pop() as number;
      this.weight.pop();
    }
  }

  private post(node: number): void {
    const windows = this.windows[node];
    if (windows) {
      this.early[node] = earliestIn(windows, 0);
      this.late[node] = latestIn(windows, NEVER);
    }
    this.forward.push(node);
    this.backward.push(node);
  }

  private runForward(): boolean {
    for (let u = this.forward.shift(); u >= 0; u = this.forward.shift()) {
      const at = this.early[u];
      for (let e = this.firstOut[u]; e >= 0; e = this.nextOut[e]) {
        const v = this.to[e];
        let time = at + this.weight[e];
        if (time <= this.early[v]) continue;
        const windows = this.windows[v];
        if (windows) time = earliestIn(windows, time);
        if (time > this.late[v] || this.travelsTooFar(v)) return false;
        this.setEarly(v, time);
        this.forward.push(v);
      }
    }
    return true;
  }

  private runBackward(): boolean {
    for (let v = this.backward.shift(); v >= 0; v = this.backward.shift()) {
      const at = this.late[v];
      for (let e = this.firstIn[v]; e >= 0; e = this.nextIn[e]) {
        const u = this.from[e];
        let time = at - this.weight[e];
        if (time >= this.late[u]) continue;
        const windows = this.windows[u];
        if (windows) time = latestIn(windows, time);
        if (time < this.early[u] || this.travelsTooFar(u)) return false;
        this.setLate(u, time);
        this.backward.push(u);
      }
    }
    return true;
  }

  /** Lags that contradict each other would creep on for ever; a longest path passes no node oftener than there are nodes, or windows. */
  private travelsTooFar(node: number): boolean {
    return ++this.moves[node] > 2 * this.size * (1 + (this.windows[node]?.length ?? 0));
  }

  private setEarly(node: number, time: number): void {
    this.changedNode.push(node);
    this.changedTime.push(this.early[node]);
    this.early[node] = time;
  }

  private setLate(node: number, time: number): void {
    this.changedNode.push(~node);
    this.changedTime.push(this.late[node]);
    this.late[node] = time;
  }
}

/** The first time within the windows that is not before another; Infinity where there is none. */
function earliestIn(windows: Windows, time: number): number {
  for (const { from, to } of windows) if (time <= to) return Math.max(from, time);
  return Infinity;
}

/** The last time within the windows that is not after another. */
function latestIn(windows: Windows, time: number): number {
  for (let i = windows.length - 1; i >= 0; i--) if (time >= windows[i].from) return Math.min(windows[i].to, time);
  return -Infinity;
}

/** Nodes to be looked at, each once, first in, first out. */
class Queue {
  private readonly nodes: Int32Array;
  private readonly waits: Uint8Array;
  private head = 0;
  private count = 0;

  constructor(size: number) {
    this.nodes = new Int32Array(size);
    this.waits = new Uint8Array(size);
  }

  push(node: number): void {
    if (this.waits[node]) return;
    this.waits[node] = 1;
    this.nodes[(this.head + this.count) % this.nodes.length] = node;
    this.count++;
  }

  /** The next one; -1 where there is none. */
  shift(): number {
    if (this.count === 0) return -1;
    const node = this.nodes[this.head];
    this.head = (this.head + 1) % this.nodes.length;
    this.count--;
    this.waits[node] = 0;
    return node;
  }

  clear(): void {
    while (this.shift() >= 0);
  }
}
