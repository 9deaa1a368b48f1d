import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  afterRenderEffect,
  inject,
  input,
  viewChild,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { PlanService } from '../state/plan-service';
import { StationList } from './station-list';
import type { StationKey } from '../../core/plan/plan-types';

/** The stations in the order of the work, each with its answer: the plan at a glance. */
@Component({
  selector: 'ks-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  template: `
    <nav aria-label="Stations" #row>
      @for (tab of tabs(); track tab.key) {
        <a
          [routerLink]="['/casting', castingId(), tab.key]"
          [attr.aria-current]="tab.key === station() ? 'step' : null"
          [class.open]="tab.key === station()"
        >
          <span class="name"
            >{{ tab.name }}
            @if (tab.mark) {
              <span class="mark"><i aria-hidden="true"></i>{{ tab.mark }}</span>
            }
          </span>
          <strong
            [class.older]="tab.key === 'chill' && source() === 'last'"
            [attr.aria-busy]="tab.key === 'chill' ? source() !== 'worker' : null"
            >{{ tab.answer }}</strong
          >
          <span class="detail">
            @if (estimated() && tab.simulated) {
              <span class="estimate">estimate, </span>
            }
            {{ tab.detail }}</span
          >
        </a>
      }
    </nav>
  `,
  styleUrl: './strip.less',
})
export class Strip {
  readonly castingId = input.required<string>();
  readonly station = input.required<StationKey>();
  protected readonly tabs = inject(StationList).tabs;
  protected readonly source = inject(PlanService).chillSource;
  protected readonly estimated = inject(PlanService).estimated;
  private readonly row = viewChild.required<ElementRef<HTMLElement>>('row');

  constructor() {
    // Where the row scrolls, the open station and the one after it are in sight.
    afterRenderEffect(() => {
      this.station();
      const row = this.row().nativeElement;
      const open = row.querySelector<HTMLElement>('[aria-current]');
      if (open && row.scrollWidth > row.clientWidth) row.scrollLeft = open.offsetLeft - open.offsetWidth / 2;
    });
  }
}
