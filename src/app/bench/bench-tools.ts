import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { Runs } from '../state/runs';
import { Bell } from './bell';
import { BenchRun } from './bench-run';

/** What opens beside the bench. */
export type BenchPanel = 'notes' | 'wrong' | 'record' | 'devices';

/** What can be done beside going on: take back, note, say what is wrong, pause, finish, hand over; and whether sound is on. */
@Component({
  selector: 'ks-bench-tools',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent],
  template: `
    @if (!leads()) {
      <p role="status">Another tab leads this run; what is noted there is shown here.</p>
      <button nz-button nzType="primary" type="button" (click)="take()">Take over here</button>
    } @else if (!over()) {
      <button nz-button type="button" [disabled]="!canTakeBack()" (click)="bench.takeBack()">Take back</button>
      <button nz-button type="button" (click)="opened.emit('notes')">Note</button>
      <button nz-button type="button" (click)="opened.emit('wrong')">Not as it should be</button>
      <button nz-button type="button" (click)="pause()">{{ paused() ? 'Go on' : 'Pause' }}</button>
    }
    @if (!over()) {
      <button nz-button type="button" (click)="opened.emit('record')">So far</button>
      <button nz-button type="button" (click)="opened.emit('devices')">Probe and scale</button>
      <button nz-button type="button" [attr.aria-pressed]="bell.ways().sound" (click)="turnSound()">
        {{ sound() }}
      </button>
      @if (leads()) {
        <button nz-button type="button" (click)="finished.emit()">Finish now</button>
      }
    } @else {
      <button nz-button type="button" [disabled]="!leads()" (click)="bench.takeBack()">Open it again</button>
    }
    <button nz-button type="button" (click)="handOver()">Hand over as a file</button>
    @if (!over() && bell.screenMayGoDark()) {
      <p>This browser does not keep the screen on: have the device itself leave it on.</p>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 10px;
      padding: 0 28px 28px;
    }
    button {
      min-height: 64px;
      font-size: 16px;
    }
    p {
      font-size: 15px;
      color: var(--soft);
    }
    @media (max-width: 900px) {
      :host {
        padding: 0 12px 96px;
      }
    }
  `,
})
export class BenchTools {
  protected readonly bench = inject(BenchRun);
  protected readonly bell = inject(Bell);
  private readonly runs = inject(Runs);
  readonly over = input.required<boolean>();
  readonly opened = output<BenchPanel>();
  readonly finished = output<void>();
  protected readonly leads = this.bench.lead.leads;
  protected readonly paused = computed(() => this.bench.state().pausedS !== undefined);
  protected readonly canTakeBack = computed(() => this.bench.state().last !== undefined);
  protected readonly sound = computed(() => {
    if (!this.bell.ways().sound) return 'Sound is off';
    return this.bell.heard() ? 'Sound is on' : 'Sound: press to hear it';
  });

  protected take(): void {
    void this.bell.unlock();
    this.bench.lead.take();
  }

  protected pause(): void {
    void this.bench.note({ kind: this.paused() ? 'goesOn' : 'paused' });
  }

  protected async turnSound(): Promise<void> {
    const ways = this.bell.ways();
    const wasHeard = this.bell.heard();
    await this.bell.unlock();
    // The first press only lets it be heard.
    if (ways.sound && !wasHeard) return this.bell.ring('The bell', false);
    this.bell.choose({ ...ways, sound: !ways.sound });
    if (!ways.sound) this.bell.ring('The bell', false);
  }

  protected handOver(): void {
    const run = this.bench.run();
    if (run) this.runs.save([{ ...run, marks: this.bench.marks() }]);
  }
}
