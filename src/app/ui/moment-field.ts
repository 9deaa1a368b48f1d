import { A11yModule } from '@angular/cdk/a11y';
import { OverlayModule } from '@angular/cdk/overlay';
import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  afterRenderEffect,
  computed,
  effect,
  input,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { FormsModule } from '@angular/forms';
import { format } from 'date-fns';
import { LucideCalendarDays } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzDatePickerComponent } from 'ng-zorro-antd/date-picker';
import { NzInputDirective } from 'ng-zorro-antd/input';
import { movedBy } from '../../core/record/typed-moment';
import { KeptText, type TypedTurn } from '../state/typed-texts';
import { nameInScope } from './field-scope';
import { TWELVE_HOURS, fieldExample, fieldReading, fieldText } from '../wording/times';
import { Labelled } from './labelled';
import { Tool } from './tool';

const DAY_MINUTES = 24 * 60;
const STEP_MINUTES = 15;
/** Days that a key walks in the calendar. */
const WALKS: Readonly<Partial<Record<string, number>>> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 };

let fields = 0;

/**
 * A field for a local date, with or without its time: typed as people write it and read when it is left, stepped by the arrow
 * keys, or picked from a calendar. What cannot be read stays as typed, marked, and the last good one stays in the plan.
 */
@Component({
  selector: 'ks-moment-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    A11yModule,
    FormsModule,
    Labelled,
    LucideCalendarDays,
    NzButtonComponent,
    NzDatePickerComponent,
    NzInputDirective,
    OverlayModule,
    Tool,
  ],
  templateUrl: './moment-field.html',
  styleUrls: ['./amount-field.less', './moment-field.less'],
})
export class MomentField {
  private readonly typed = new KeptText();
  private readonly name = nameInScope(() => this.label());
  readonly label = input.required<string>();
  /** Local time, as "2026-10-17T18:00", or a day, as "2027-06-30"; empty where there is none. */
  readonly value = input.required<string>();
  /** Whether it takes a time of day as well. One without may be emptied. */
  readonly withTime = input(true);
  /** What is to be said of the value. */
  readonly hint = input('');
  readonly moment = output<string>();

  protected readonly id = `moment-${++fields}`;
  protected readonly text = signal('');
  protected readonly wrong = signal(false);
  protected readonly open = signal(false);
  protected readonly picked = computed(() => new Date(this.withTime() ? this.standing() : `${this.standing()}T00:00`));
  protected readonly clock = computed(() =>
    this.withTime()
      ? { nzFormat: TWELVE_HOURS ? 'h:mm a' : 'HH:mm', nzUse12Hours: TWELVE_HOURS, nzMinuteStep: 5 }
      : false,
  );
  protected readonly said = computed(() => {
    if (this.wrong())
      return `Give a date${this.withTime() ? ' and a time' : ''} from 2000 to 2199, such as ${fieldExample(this.withTime())}; the last one stays.`;
    return this.hint();
  });
  private readonly month = viewChild<ElementRef<HTMLElement>>('month');
  private readonly picker = viewChild<unknown>('picker');
  /** Not there before the page is drawn for the first time. */
  private readonly box = viewChild<ElementRef<HTMLInputElement>>('box');
  /** The day that a year left out, or a time alone, is reckoned from. */
  private readonly standing = computed(() => this.value() || localDay(new Date()));
  private focused = false;

  constructor() {
    effect(() => {
      const value = this.value();
      const turn = this.typed.turn(this.name());
      untracked(() => this.refresh(value, turn));
    });
    // The day it stands at has the keys, once the calendar is there and has been told of it.
    afterRenderEffect(() => {
      if (this.picker())
        setTimeout(() =>
          this.days()
            .find((day) => day.ariaPressed === 'true')
            ?.focus(),
        );
    });
  }

  private refresh(value: string, { kept, anew }: TypedTurn): void {
    if (!anew && (this.focused || this.wrong())) return;
    this.wrong.set(false);
    this.write(kept ?? fieldText(value));
    if (kept !== undefined) this.read();
  }

  protected type(text: string): void {
    this.text.set(text);
    this.typed.keep(text);
    if (this.wrong()) this.wrong.set(this.reading() === undefined);
  }

  /** What is typed, as a value; undefined where it is none. */
  private reading(): string | undefined {
    const text = this.text();
    if (!text.trim() && !this.withTime()) return '';
    return fieldReading(text, this.standing(), this.withTime());
  }

  protected read(): void {
    const reading = this.reading();
    this.wrong.set(reading === undefined);
    if (reading !== undefined) this.take(reading);
  }

  private take(value: string): void {
    this.typed.drop();
    this.wrong.set(false);
    this.write(fieldText(value));
    if (value !== this.value()) this.moment.emit(value);
  }

  protected enter(): void {
    this.focused = true;
  }

  /** What was typed is read at the latest here: a browser need not tell of a change that the page has written back meanwhile. */
  protected leave(): void {
    this.focused = false;
    if (this.typed.text !== undefined) this.read();
    else if (!this.wrong()) this.write(fieldText(this.value()));
  }

  /** Into the box itself as well: what was typed since the page was last drawn would stay, where it ends as it stood before. */
  private write(text: string): void {
    this.text.set(text);
    const box = this.box()?.nativeElement;
    if (box) box.value = text;
  }

  /** Up and down: the day, or a quarter of an hour where the cursor is at the time. */
  protected step(event: Event, steps: number): void {
    const from = this.reading();
    const box = this.box()?.nativeElement;
    if (!from || !box) return;
    event.preventDefault();
    const at = box.selectionStart ?? 0;
    const onTime = this.withTime() && at > this.text().indexOf(',');
    const moved = movedBy(from, steps * (onTime ? STEP_MINUTES : DAY_MINUTES));
    if (fieldReading(fieldText(moved), moved, this.withTime()) === undefined) return;
    this.take(moved);
    box.setSelectionRange(onTime ? box.value.length : 0, onTime ? box.value.length : 0);
  }

  protected dayName(date: Date): string {
    return fieldText(localDay(date));
  }

  /** Whether the field stands at a day. */
  protected stands(date: Date): boolean {
    return this.value().startsWith(localDay(date));
  }

  /** From day to day of the month that is shown. */
  protected walk(event: KeyboardEvent): void {
    const days = this.days();
    const at = days.findIndex((day) => day === event.target);
    const by = WALKS[event.key];
    if (at < 0 || by === undefined) return;
    event.preventDefault();
    days[Math.min(days.length - 1, Math.max(0, at + by))].focus();
  }

  private days(): HTMLElement[] {
    return [...(this.month()?.nativeElement.querySelectorAll<HTMLElement>('td button') ?? [])];
  }

  protected pick(date: Date | null): void {
    if (!date) return;
    this.take(this.withTime() ? format(date, "yyyy-MM-dd'T'HH:mm") : localDay(date));
    this.close();
  }

  protected close(): void {
    this.open.set(false);
    this.box()?.nativeElement.focus();
  }
}

const localDay = (date: Date): string => format(date, 'yyyy-MM-dd');
