import { Injectable, computed, inject, signal } from '@angular/core';
import type { Casting } from '../../core/record/casting';
import { Clock } from '../state/clock';
import { Occasions } from '../state/occasions';
import { Timetables } from '../state/timetables';
import { Units } from '../state/units';
import type { Told } from '../wording/occasion';

/** What the parts of an occasion's page look at together: the occasion, its plan, what is opened and what is lit. */
@Injectable()
export class OccasionView {
  private readonly occasions = inject(Occasions);
  private readonly timetables = inject(Timetables);
  private readonly units = inject(Units);
  readonly clock = inject(Clock);
  readonly id = signal('');
  readonly occasion = computed(() => this.occasions.byId().get(this.id()));
  readonly castings = computed<readonly Casting[]>(() => {
    const occasion = this.occasion();
    return occasion ? this.occasions.castingsOf(occasion) : [];
  });
  readonly timetable = this.timetables.timetable;
  readonly plan = computed(() => this.timetable()?.plan);
  readonly zone = computed(() => this.occasion()?.due.zone ?? 'UTC');
  readonly told = computed<Told>(() => ({
    castings: this.castings(),
    names: this.plan()?.names ?? {},
    bowls: this.plan()?.bowls ?? [],
    sets: this.occasion()?.sets ?? [],
    system: this.units.system(),
  }));
  /** Key of the task that is opened. */
  readonly opened = signal<string | undefined>(undefined);
  readonly openedTask = computed(() => this.plan()?.tasks.find(({ key }) => key === this.opened()));
  /** The casting that is lit up. */
  readonly lit = signal<string | undefined>(undefined);

  letterIndex(castingId: string | undefined): number {
    return this.castings().findIndex(({ id }) => id === castingId);
  }

  /** Whether something is of another casting than the one that is lit up. */
  dim(castingId: string | undefined): boolean {
    return this.lit() !== undefined && castingId !== this.lit();
  }

  toggle(key: string): void {
    this.opened.update((open) => (open === key ? undefined : key));
  }
}
