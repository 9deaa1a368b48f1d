import { Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import { orderFrom, remaining, type NewOrder } from '../../core/run/replanning';
import { StudyAccess } from '../state/study-access';
import { orderText } from '../wording/bench';
import { BenchRun } from './bench-run';
import { BenchView } from './bench-view';

/** Less late than this nothing is put into another order, s. */
const LATE_S = 120;
/** Nor sooner than so long after the last time, s. */
const AT_MOST_EVERY_S = 60;

/** Where a run falls behind, looks for a better order of what is left, and tells what it changed. */
@Injectable()
export class Replanning {
  private readonly bench = inject(BenchRun);
  private readonly view = inject(BenchView);
  private readonly study = inject(StudyAccess);
  /** What was changed last, until it is answered. */
  readonly told = signal('');
  private lookedS = -Infinity;
  private mark = '';

  /** Anew with everything that is noted. */
  private readonly noted = computed(() => this.bench.marks().length);

  constructor() {
    effect(() => {
      if (this.noted() === 0 || !this.bench.loaded() || !this.bench.lead.leads()) return;
      untracked(() => void this.look());
    });
  }

  /** Takes the new order back. */
  keepAsItWas(): void {
    this.told.set('');
    void this.bench.note({ kind: 'takenBack', mark: this.mark });
  }

  private async look(): Promise<void> {
    const [run, state, nowS, noted] = [this.bench.run(), this.bench.state(), this.bench.nowS(), this.noted()];
    const [followed, begun] = [this.bench.followed(), this.bench.asBegun()];
    if (!run || !followed || !begun || run.roomCounted || this.bench.isOver()) return;
    if (followed.readyS - begun.readyS < LATE_S || nowS - this.lookedS < AT_MOST_EVERY_S) return;
    this.lookedS = nowS;
    // A most lag that was missed already cannot be kept: then only least ones are.
    for (const strict of [true, false]) {
      const left = remaining(run, state, nowS, strict);
      const found = left && (await this.study.client.fit(left.workload))?.fitted;
      if (!left || !found) continue;
      if (this.noted() !== noted) return this.lookAgain();
      const better = orderFrom(run, state, nowS, left, found.starts);
      return better && this.take(better);
    }
  }

  /** Something was noted meanwhile: what was found is of a run that is not so any more. */
  private lookAgain(): Promise<void> {
    this.lookedS = -Infinity;
    return this.look();
  }

  private async take(better: NewOrder): Promise<void> {
    const run = this.bench.run();
    if (!run) return;
    this.mark = await this.bench.note({ kind: 'order', tasks: [...better.order] });
    const [next] = this.bench.atHand()?.next ?? [];
    this.told.set(orderText(better, next && run.tasks[next.task], run, this.view.told()));
  }
}
