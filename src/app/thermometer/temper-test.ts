import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import type { MeltResult } from '../../core/melt/melt';
import type { Melt } from '../../core/record/casting';
import { TEST_RESULTS, TEST_WAYS, type TestResult, type TestWay } from '../../core/record/choices';
import { CastingStore } from '../state/casting-store';
import { Units } from '../state/units';
import { Pick } from '../ui/pick';
import { Stopwatch } from '../ui/stopwatch';
import { testFollowsText } from '../wording/melting';
import { TEST_RESULT_NAMES, TEST_WAY_NAMES } from '../wording/names';
import { momentText } from '../wording/times';

const TEST_SECONDS = 300;

/** The temper test, either way: a smear, five minutes, how it came out, and what follows from that. */
@Component({
  selector: 'ks-temper-test',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent, Pick, Stopwatch],
  template: `
    <h2>Temper test</h2>
    <ks-pick label="How it is tried" [showLabel]="false" [options]="ways" [value]="way()" (chosen)="way.set($event)" />
    <p class="hint">
      {{
        way() === 'paper'
          ? 'A thin smear on baking paper, left in the room.'
          : 'A thin smear on paper, laid flat in the freezer.'
      }}
      Five minutes.
    </p>
    <ks-stopwatch [seconds]="seconds" label="Start five minutes" doneText="Look at it" />
    <p class="label" id="came-out">It came out</p>
    <div class="results" role="group" aria-labelledby="came-out">
      @for (result of results; track result.value) {
        <button nz-button type="button" (click)="note(result.value)">{{ result.name }}</button>
      }
    </div>
    @if (follows(); as f) {
      <div class="follows" role="status">
        <p class="head">{{ f.head }}</p>
        <p>{{ f.body }}</p>
      </div>
    }
    @if (noted().length) {
      <ul>
        @for (test of noted(); track test.at) {
          <li>{{ test.when }}: {{ test.name }}</li>
        }
      </ul>
    }
  `,
  styles: `
    h2 {
      font-size: 16px;
      margin-bottom: 8px;
    }
    .hint {
      font-size: 13.5px;
      color: var(--soft);
      margin: 8px 0 12px;
      line-height: 1.4;
    }
    .label {
      font-size: 13.5px;
      color: var(--soft);
      margin: 16px 0 6px;
    }
    .results {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
    }
    .follows {
      margin-top: 14px;
      padding-left: 12px;
      border-left: 3px solid var(--honey);
      font-size: 14px;
      line-height: 1.4;
    }
    .head {
      font-weight: 650;
    }
    ul {
      margin: 12px 0 0;
      padding: 0;
      list-style: none;
      font-size: 13px;
      color: var(--soft);
    }
  `,
})
export class TemperTest {
  private readonly store = inject(CastingStore);
  private readonly units = inject(Units);
  readonly melt = input.required<Melt>();
  readonly made = input.required<MeltResult>();

  protected readonly seconds = TEST_SECONDS;
  protected readonly ways = TEST_WAYS.map((value) => ({
    value,
    name: value === 'paper' ? 'in the room' : 'in the freezer',
  }));
  protected readonly results = TEST_RESULTS.map((value) => ({ value, name: TEST_RESULT_NAMES[value] }));
  protected readonly way = signal<TestWay>('paper');
  protected readonly follows = computed(() => {
    const last = this.melt().tests.at(-1);
    return last && testFollowsText(last.result, this.made(), this.units.system());
  });
  protected readonly noted = computed(() => {
    const zone = this.store.current()?.due.zone ?? 'UTC';
    return this.melt()
      .tests.map(({ at, way, result }) => ({
        at,
        when: momentText(Date.parse(at) / 1000, zone),
        name: `${TEST_WAY_NAMES[way]}, ${TEST_RESULT_NAMES[result]}`,
      }))
      .reverse()
      .slice(0, 5);
  });

  protected note(result: TestResult): void {
    const { id } = this.melt();
    const way = this.way();
    this.store.edit('temper test', (casting) => {
      const melt = casting.melts.find((candidate) => candidate.id === id);
      if (melt) melt.tests = [...melt.tests, { at: new Date().toISOString(), way, result }].slice(-50);
    });
  }
}
