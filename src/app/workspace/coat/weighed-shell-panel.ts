import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { takeWeighed } from '../../../core/edit/weighed';
import { type WeighedOutcome } from '../../../core/study/weighed-shell';
import { CastingStore } from '../../state/casting-store';
import { PlanService } from '../../state/plan-service';
import { Study } from '../../state/study';
import { Units } from '../../state/units';
import { AmountField } from '../../ui/amount-field';
import { weighedText } from '../../wording/weighed';

/** A finished shell on the scale: what its weight says of the chocolate, before and after. */
@Component({
  selector: 'ks-weighed-shell',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, NzButtonComponent],
  template: `
    <h3>Weighed a shell?</h3>
    @if (plan(); as p) {
      <ks-amount-field
        label="One part, all its coats"
        [field]="p.part.id + ' weighed'"
        [value]="weighedKg() ?? p.coat.mass.value"
        limit="shellKg"
        (amount)="weigh($event.value)"
      />
    }
    <p class="plain" role="status">{{ said() }}</p>
    @if (outcome(); as o) {
      @if (o.ok) {
        <button nz-button type="button" (click)="take()">Take it over</button>
      }
    }
  `,
  styleUrls: ['../station.less', './weighed-shell-panel.less'],
})
export class WeighedShellPanel {
  private readonly study = inject(Study);
  private readonly store = inject(CastingStore);
  private readonly units = inject(Units);
  protected readonly plan = inject(PlanService).draft;
  protected readonly weighedKg = signal<number | undefined>(undefined);
  protected readonly outcome = signal<WeighedOutcome | undefined>(undefined);
  private readonly state = signal<'idle' | 'working' | 'failed'>('idle');
  protected readonly said = computed(() => {
    const outcome = this.outcome();
    const kg = this.weighedKg();
    if (this.state() === 'working') return 'Asking which chocolate makes a shell of this weight…';
    if (this.state() === 'failed')
      return 'The computation gave no answer; nothing has changed. Type the weight again in a moment.';
    return outcome && kg !== undefined
      ? weighedText(outcome, kg, this.units.system())
      : 'Its weight tells how this chocolate runs in your hands.';
  });
  private newest = 0;

  constructor() {
    // A weight belongs to the coats it was found on.
    let before: unknown;
    effect(() => {
      const now = this.plan()?.part;
      if (before !== undefined && before !== now) untracked(() => this.forget());
      before = now;
    });
  }

  protected async weigh(kg: number): Promise<void> {
    const mine = ++this.newest;
    this.weighedKg.set(kg);
    this.outcome.set(undefined);
    this.state.set('working');
    const outcome = await this.study.weigh(kg);
    if (mine !== this.newest) return;
    this.outcome.set(outcome);
    this.state.set(outcome ? 'idle' : 'failed');
  }

  protected take(): void {
    const outcome = this.outcome();
    const partId = this.plan()?.part.id;
    if (outcome?.ok && partId !== undefined)
      this.store.edit('weighed shell', (casting) => takeWeighed(casting, partId, outcome.found));
    this.forget();
  }

  private forget(): void {
    this.newest++;
    this.weighedKg.set(undefined);
    this.outcome.set(undefined);
    this.state.set('idle');
  }
}
