import { ChangeDetectionStrategy, Component, computed, inject, resource, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LucideDownload, LucideTrash2 } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { runState, type RunState } from '../../core/run/run-state';
import type { Run } from '../../core/run/run-record';
import { readRunFile, type PackedRun } from '../../data/run-file';
import { CastingStore } from '../state/casting-store';
import { MarkStorage } from '../state/run-storage';
import { Occasions } from '../state/occasions';
import { Runs } from '../state/runs';
import { ImportPanel } from '../ui/import-panel';
import { Nothing } from '../ui/nothing';
import { Tool } from '../ui/tool';
import { momentText } from '../wording/times';

/** All runs, those that go on first; and what one can be begun from. */
@Component({
  selector: 'ks-runs-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ImportPanel, LucideDownload, LucideTrash2, Nothing, NzButtonComponent, RouterLink, Tool],
  templateUrl: './runs-page.html',
  styleUrls: ['../ui/list-page.less', './runs-page.less'],
})
export class RunsPage {
  protected readonly runs = inject(Runs);
  protected readonly occasions = inject(Occasions);
  protected readonly castings = inject(CastingStore).castings;
  private readonly marks = inject(MarkStorage);
  protected readonly readFile = readRunFile;
  protected readonly importing = signal(false);

  /** What was noted in each, as it was when the list was opened. */
  private readonly states = resource({
    params: () => this.runs.records(),
    loader: async ({ params }) =>
      new Map(
        await Promise.all(
          params.map(async ({ id }) => [id, runState((await this.marks.of(id).catch(() => NONE)).marks)] as const),
        ),
      ),
  });

  protected readonly cards = computed(() => {
    const states = this.states.value();
    return this.runs
      .records()
      .map((run) => ({ run, ...this.standing(run, states?.get(run.id)) }))
      .sort((a, b) => Number(a.over) - Number(b.over) || b.run.createdAt.localeCompare(a.run.createdAt));
  });

  protected take(packed: readonly PackedRun[]): void {
    this.importing.set(false);
    void this.runs.takePacked(packed);
  }

  protected export(runs: readonly Run[]): void {
    void this.runs.export(runs);
  }

  private standing(run: Run, state: RunState | undefined) {
    const began = momentText(Date.parse(run.createdAt) / 1000, run.zone);
    const byHand = run.tasks.filter(({ handsOn }) => handsOn);
    const done = byHand.filter(({ key }) => state?.doneS.has(key)).length;
    const over = state?.endedS !== undefined;
    return {
      over,
      kind: run.rehearsal ? `Rehearsal, ${run.rehearsal} times as fast` : '',
      began: `begun ${began}`,
      stands: state ? `${over ? 'finished: ' : ''}${done} of ${byHand.length} done` : '',
    };
  }
}

const NONE = { marks: [] } as const;
