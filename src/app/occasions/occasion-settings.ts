import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { LucideX } from '@lucide/angular';
import { addDays, addHours, format } from 'date-fns';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { staysOf } from '../../core/occasion/stays';
import { UNITS } from '../../core/quantity/units';
import { dueSeconds } from '../../core/record/due';
import type { Occasion, ShelfRoom, StayRecord } from '../../core/record/occasion';
import { Occasions } from '../state/occasions';
import { Units } from '../state/units';
import { AmountField } from '../ui/amount-field';
import { Fold } from '../ui/fold';
import { MomentField } from '../ui/moment-field';
import { Ticks } from '../ui/ticks';
import { Tool } from '../ui/tool';
import { breakText, stayNoteText } from '../wording/occasion';
import { dueHint } from '../wording/times';
import { OccasionView } from './occasion-view';

/** Hours before the event that the first stay which is added is proposed for, and before the first stay the next. */
const PROPOSED_HOURS = 5;
const LOCAL = "yyyy-MM-dd'T'HH:mm";

/** When an occasion is, who is in the kitchen when, and how much room there is in the cold. */
@Component({
  selector: 'ks-occasion-settings',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, Fold, LucideX, MomentField, NzButtonComponent, Ticks, Tool],
  templateUrl: './occasion-settings.html',
  styleUrl: './occasion-settings.less',
})
export class OccasionSettings {
  protected readonly view = inject(OccasionView);
  private readonly occasions = inject(Occasions);
  private readonly units = inject(Units);
  protected readonly dueHint = dueHint;
  protected readonly wrong = signal('');
  protected readonly places = [
    { key: 'fridge', name: 'Fridge' },
    { key: 'freezer', name: 'Freezer' },
  ] as const;
  protected readonly minute = UNITS.minute;
  protected readonly melting = [{ value: 'inTurn', name: 'Colours in turn from one bowl' }];
  protected readonly usualRoom: ShelfRoom = { widthM: 0.45, depthM: 0.3 };
  protected readonly shelfUnit = computed(() => (this.units.system() === 'us' ? UNITS.inch : UNITS.centimetre));

  protected readonly stays = computed(() => {
    const occasion = this.view.occasion();
    if (!occasion) return [];
    const { notes } = staysOf(occasion);
    const now = this.view.clock.seconds();
    return occasion.stays.map((stay, i) => {
      const note = notes.find((one) => one.stay === i);
      const over = dueSeconds({ local: stay.to, zone: occasion.due.zone }) < now;
      return { ...stay, note: note ? stayNoteText(note) : over ? 'This is over.' : '' };
    });
  });

  protected readonly breakSaid = computed(() =>
    this.view.timetable()?.outdated
      ? 'Its place is being looked for.'
      : breakText(this.view.plan()?.noBreak ?? [], this.view.zone()),
  );

  protected edit(label: string, change: Partial<Occasion>): void {
    const id = this.view.id();
    this.occasions.edit(id, label, (draft) => Object.assign(draft, change), `${id} ${label}`);
  }

  protected setFrom(i: number, from: string): void {
    const stays = this.view.occasion()?.stays ?? [];
    // A stay that is put off keeps its length.
    const length = minutesBetween(stays[i].from, stays[i].to);
    const to = from < stays[i].to ? stays[i].to : later(from, length);
    this.setStay(i, { from, to });
  }

  protected setTo(i: number, to: string): void {
    const stays = this.view.occasion()?.stays ?? [];
    if (to <= stays[i].from) {
      this.wrong.set('A stay ends after it begins; the last end stays.');
      return;
    }
    this.setStay(i, { from: stays[i].from, to });
  }

  protected takeOut(i: number): void {
    this.wrong.set('');
    this.edit('stay', { stays: (this.view.occasion()?.stays ?? []).filter((_, k) => k !== i) });
  }

  /** The afternoon before the event, or the same hours of the day before what there is. */
  protected addStay(): void {
    const occasion = this.view.occasion();
    if (!occasion) return;
    const first = [...occasion.stays].sort((a, b) => a.from.localeCompare(b.from)).at(0);
    const stay = first
      ? { from: dayBefore(first.from), to: dayBefore(first.to) }
      : { from: format(addHours(new Date(occasion.due.local), -PROPOSED_HOURS), LOCAL), to: occasion.due.local };
    this.edit('stay', { stays: [...occasion.stays, stay] });
  }

  protected setRoom(place: 'fridge' | 'freezer', room: ShelfRoom | undefined): void {
    this.edit(place, { [place]: room });
  }

  private setStay(i: number, stay: StayRecord): void {
    this.wrong.set('');
    this.edit(`stay ${i + 1}`, {
      stays: (this.view.occasion()?.stays ?? []).map((one, k) => (k === i ? stay : one)),
    });
  }
}

// Local times are reckoned with as such: no zone's clocks come into it.
const dayBefore = (local: string): string => format(addDays(new Date(local), -1), LOCAL);
const minutesBetween = (from: string, to: string): number =>
  (Date.parse(`${to}:00Z`) - Date.parse(`${from}:00Z`)) / 60_000;
const later = (local: string, minutes: number): string =>
  new Date(Date.parse(`${local}:00Z`) + minutes * 60_000).toISOString().slice(0, 16);
