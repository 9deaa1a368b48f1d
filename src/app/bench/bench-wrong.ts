import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { clocksOf } from '../../core/run/at-hand';
import { WRONGS, type NewMark, type Wrong } from '../../core/run/mark';
import { mendings, missedWhile } from '../../core/run/mending';
import { Units } from '../state/units';
import { AmountField } from '../ui/amount-field';
import { ChoiceList } from '../ui/choice-list';
import { OF_A_BOWL, WRONG_NAMES, awayAdvice, bowlAdvice, plainAdvice } from '../wording/bench';
import { BenchRun } from './bench-run';
import { BenchView } from './bench-view';

const AWAY_S = 600;

/** Asks what is not as it should be, and says what to do now, with amounts from what is left in the bowl. */
@Component({
  selector: 'ks-bench-wrong',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, NzButtonComponent],
  template: `
    @if (what(); as w) {
      <h3>{{ names[w] }}</h3>
      @if (ofBowl() && bowls().length > 1) {
        <ks-choice-list
          label="Which bowl"
          [options]="bowls()"
          [value]="bowl()?.value ?? ''"
          (chosen)="picked.set($event)"
        />
      }
      @if (w === 'calledAway') {
        <ks-amount-field label="Away for" limit="awayS" [value]="away()" (amount)="away.set($event.value)" />
      }
      <ul>
        @for (line of advice(); track line) {
          <li>{{ line }}</li>
        }
      </ul>
      <button nz-button nzType="primary" type="button" (click)="note(w)">Note it, and go on from here</button>
      <button nz-button type="button" (click)="what.set(undefined)">Something else</button>
    } @else {
      <p>What is it?</p>
      @for (one of all; track one) {
        <button nz-button type="button" (click)="what.set(one)">{{ names[one] }}</button>
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
    ul {
      margin: 0;
      padding-left: 20px;
      display: grid;
      gap: 8px;
      font-size: 17px;
    }
    button {
      min-height: 64px;
      height: auto;
      white-space: normal;
      justify-content: flex-start;
      text-align: left;
      font-size: 17px;
    }
  `,
})
export class BenchWrong {
  private readonly bench = inject(BenchRun);
  private readonly view = inject(BenchView);
  private readonly units = inject(Units);
  readonly marked = output<NewMark>();

  protected readonly all = WRONGS;
  protected readonly names = WRONG_NAMES;
  protected readonly what = signal<Wrong | undefined>(undefined);
  protected readonly picked = signal('');
  protected readonly away = signal(AWAY_S);
  protected readonly ofBowl = computed(() => OF_A_BOWL.has(this.what() ?? 'broke'));
  protected readonly bowls = computed(() => this.view.bowls().map(({ bowl, name }) => ({ value: String(bowl), name })));
  protected readonly bowl = computed(
    () => this.bowls().find(({ value }) => value === this.picked()) ?? this.bowls().at(0),
  );
  protected readonly advice = computed<readonly string[]>(() => {
    const [run, what] = [this.bench.run(), this.what()];
    if (!run || !what) return [];
    const [state, nowS, told] = [this.bench.state(), this.bench.nowS(), this.view.told()];
    if (what === 'calledAway') return awayAdvice(missedWhile(run, state, nowS, this.away()), run, told);
    if (!this.ofBowl()) return plainAdvice(what, clocksOf(run, state, nowS), run, told);
    const one = mendings(run, state, nowS).find(({ now }) => String(now.bowl) === this.bowl()?.value);
    return one ? bowlAdvice(what, one, run, this.units.system()) : ['No bowl is in use now.'];
  });

  protected note(what: Wrong): void {
    const bowl = this.ofBowl() ? this.bowl() : undefined;
    this.marked.emit({
      kind: 'wrong',
      what,
      ...(bowl ? { bowl: Number(bowl.value) } : {}),
      ...(what === 'calledAway' ? { forS: this.away() } : {}),
    });
    this.what.set(undefined);
  }
}
