import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  ElementRef,
  computed,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import { Title } from '@angular/platform-browser';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import type { NewMark } from '../../core/run/mark';
import { Runs } from '../state/runs';
import { Gone } from '../ui/gone';
import { PageHeader } from '../ui/page-header';
import { SidePanel } from '../ui/side-panel';
import { text } from '../wording/format';
import { timeText } from '../wording/times';
import { Bell } from './bell';
import { BenchClocks } from './bench-clocks';
import { BenchConnect } from './bench-connect';
import { BenchDevices } from './bench-devices';
import { BenchBowls } from './bench-bowls';
import { BenchNext } from './bench-next';
import { BenchNotes } from './bench-notes';
import { BenchNow } from './bench-now';
import { BenchRecord } from './bench-record';
import { BenchRun } from './bench-run';
import { BenchTools, type BenchPanel } from './bench-tools';
import { BenchView } from './bench-view';
import { BenchWrong } from './bench-wrong';
import { Lead } from './lead';
import { Measuring } from './measuring';
import { Replanning } from './replanning';

/** The bench: the run as it goes on, to be read from two metres and worked with gloves on. */
@Component({
  selector: 'ks-bench-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    BenchBowls,
    BenchClocks,
    BenchDevices,
    BenchConnect,
    BenchNext,
    BenchNotes,
    BenchNow,
    BenchRecord,
    BenchTools,
    BenchWrong,
    Gone,
    NzButtonComponent,
    PageHeader,
    SidePanel,
  ],
  providers: [BenchRun, BenchView, Lead, Measuring, Replanning],
  templateUrl: './bench-page.html',
  styleUrl: './bench-page.less',
  host: { '(document:keydown)': 'press($event)', '(document:pointerdown)': 'unlock()' },
})
export class BenchPage {
  protected readonly bench = inject(BenchRun);
  protected readonly view = inject(BenchView);
  protected readonly runs = inject(Runs);
  protected readonly measuring = inject(Measuring);
  protected readonly replanning = inject(Replanning);
  private readonly bell = inject(Bell);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  readonly id = input.required<string>();
  protected readonly panel = signal<BenchPanel | undefined>(undefined);
  protected readonly over = this.bench.isOver;
  /** Not before all that was noted is there: what is shown sooner could be pressed. */
  protected readonly loadedRun = computed(() => (this.bench.loaded() ? this.bench.run() : undefined));

  protected readonly warnings = computed(() => {
    const { pausedS } = this.bench.state();
    return [
      ...(this.bench.unsaved().length > 0
        ? [
            'The browser does not store what is noted: it is kept in this tab alone. Hand it over as a file before you close it.',
          ]
        : []),
      ...(this.bench.unreadable() > 0
        ? [`${this.bench.unreadable()} of what was noted cannot be read, and is left as it is in the browser.`]
        : []),
      ...(pausedS === undefined
        ? []
        : [`Paused since ${timeText(pausedS, this.view.zone())}. What sets goes on setting: its clocks run.`]),
    ];
  });
  protected readonly jump = computed(() => {
    const jumpS = this.bench.jumpS();
    const by = text(Math.abs(jumpS), 'duration', 'metric');
    return jumpS < 0
      ? `This computer’s clock was put back by ${by}. The run’s clocks go on as they were.`
      : `${by} have passed unseen: this computer slept, or its clock was put forward.`;
  });

  constructor() {
    const titles = inject(Title);
    effect(() => this.bench.id.set(this.id()));
    effect(() => {
      // What the browser’s own row of tabs tells: the next clock, or that one has ended.
      const next = this.over() ? undefined : this.view.nextClock();
      titles.setTitle(next ?? `${this.bench.run()?.name ?? 'Bench'} · Kilnstone`);
    });
    effect(() => void (this.over() ? this.bell.maySleep() : this.bell.stayAwake()));
    inject(DestroyRef).onDestroy(() => void this.bell.maySleep());
  }

  protected note(mark: NewMark): void {
    if (this.bench.lead.leads()) void this.bench.note(mark);
  }

  protected done(task: string | undefined): void {
    if (task === undefined) return;
    this.view.called.set('');
    this.note({ kind: 'done', task });
  }

  protected finish(): void {
    this.note({ kind: 'ended' });
  }

  protected unlock(): void {
    if (!this.bell.heard()) void this.bell.unlock();
  }

  /** Space or Enter is done, Z takes back, M notes, T and W read probe and scale, arrows go from button to button; not while something is typed. */
  protected press(event: KeyboardEvent): void {
    const target = event.target as HTMLElement;
    if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || this.panel() || this.over()) return;
    if (target.closest('input, textarea, [contenteditable]')) return;
    this.unlock();
    if (this.pressed(event.key.toLowerCase(), target.closest('button, a') !== null, event.repeat))
      event.preventDefault();
  }

  /** @param onButton a button has the keys, and takes its own press */
  private pressed(key: string, onButton: boolean, repeated: boolean): boolean {
    const [now] = this.view.now();
    if (key === 'arrowdown' || key === 'arrowup') this.move(key === 'arrowdown' ? 1 : -1);
    else if ((key === ' ' || key === 'enter') && now && !onButton && !repeated) this.done(now.key);
    else if (key === 'z' && this.bench.lead.leads()) this.bench.takeBack();
    else if (key === 'm') this.panel.set('notes');
    else if ((key === 't' || key === 'w') && !this.measuring.connected()) this.panel.set('devices');
    else if (key === 't' && this.bench.lead.leads()) this.measuring.noteTemperature();
    else if (key === 'w' && this.bench.lead.leads()) void this.measuring.noteWeight();
    else return false;
    return true;
  }

  /** Gives the keys to the next button of the bench, or the one before. */
  private move(by: 1 | -1): void {
    const buttons = [...this.host.nativeElement.querySelectorAll<HTMLButtonElement>('button:enabled')];
    const at = buttons.findIndex((button) => button === document.activeElement);
    const next = at < 0 ? (by > 0 ? 0 : buttons.length - 1) : (at + by + buttons.length) % buttons.length;
    buttons[next]?.focus();
  }
}
