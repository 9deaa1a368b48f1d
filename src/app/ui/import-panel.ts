import { ChangeDetectionStrategy, Component, DestroyRef, inject, input, output, signal } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { LARGEST_FILE, type BadRecord, type FileReading } from '../../data/record-file';
import { badRecordText, fileProblemText, type FileNoun } from '../wording/files';

/** A file is read for so long between two pictures of the page, ms. */
const READS_FOR_MS = 12;

/** Takes records from a file: says what is in it, names what is bad, and hands on only what the user takes. */
@Component({
  selector: 'ks-import-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent],
  template: `
    <section aria-label="Import">
      <label for="import-file">A file exported from Kilnstone (.json)</label>
      <input id="import-file" type="file" accept=".json,application/json" (change)="look($event)" />
      @if (share() !== undefined) {
        <p role="status">
          Reading “{{ fileName() }}”…
          <progress [value]="share()" max="1" [attr.aria-label]="'Reading ' + fileName()"></progress>
          <button nz-button nzType="link" type="button" (click)="stop()">Stop</button>
        </p>
      }
      @if (reading(); as r) {
        <div role="alert">
          @if (r.ok) {
            <p>
              <strong>{{ r.records.length }} {{ r.records.length === 1 ? noun() : noun() + 's' }}</strong> can be taken
              from “{{ fileName() }}”{{ r.bad.length ? '; ' + r.bad.length + ' cannot.' : '.' }}
            </p>
          } @else {
            <p>
              <strong>{{ problem() }}</strong> Nothing was changed.
            </p>
          }
          @if (r.bad.length) {
            <ul>
              @for (bad of r.bad.slice(0, 5); track bad.position) {
                <li>{{ badText(bad) }}</li>
              }
              @if (r.bad.length > 5) {
                <li>and {{ r.bad.length - 5 }} more</li>
              }
            </ul>
          }
        </div>
        @if (r.ok) {
          <button nz-button nzType="primary" type="button" (click)="take(r.records)">
            {{ r.bad.length ? 'Take the good ones' : 'Take them' }}
          </button>
        }
      }
      <button nz-button nzType="text" type="button" (click)="closed.emit()">Close</button>
    </section>
  `,
  styles: `
    section {
      background: var(--panel);
      padding: 16px 20px;
      margin-bottom: 22px;
      display: grid;
      gap: 10px;
      justify-items: start;
      border-radius: 8px;
    }
    label {
      font-weight: 600;
    }
    ul {
      margin: 6px 0 0;
      padding-left: 20px;
      font-size: 14px;
    }
  `,
})
export class ImportPanel<T> {
  readonly noun = input.required<FileNoun>();
  /** Reads a file's text in steps, yielding the share that is done; never throws. */
  readonly read = input.required<(text: string) => Generator<number, FileReading<T>>>();
  readonly taken = output<readonly T[]>();
  readonly closed = output<void>();
  protected readonly reading = signal<FileReading<T> | undefined>(undefined);
  protected readonly fileName = signal('');
  /** How much of a file is read that is being read. */
  protected readonly share = signal<number | undefined>(undefined);
  /** Counts the files asked for: only the newest is read on. */
  private asked = 0;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.asked++);
  }

  protected async look(event: Event): Promise<void> {
    const file = (event.target as HTMLInputElement).files?.[0];
    if (!file) return;
    const asked = ++this.asked;
    this.reading.set(undefined);
    this.fileName.set(file.name);
    if (file.size > LARGEST_FILE) {
      this.reading.set({ ok: false, problem: 'tooLarge', place: `${Math.round(file.size / 1e6)} MB`, bad: [] });
      return;
    }
    this.share.set(0);
    const steps = this.read()(await file.text());
    while (asked === this.asked) {
      const until = performance.now() + READS_FOR_MS;
      let step = steps.next();
      while (!step.done && performance.now() < until) step = steps.next();
      if (asked !== this.asked) return;
      if (step.done) {
        this.share.set(undefined);
        this.reading.set(step.value);
        return;
      }
      this.share.set(step.value);
      await new Promise((resolve) => setTimeout(resolve));
    }
  }

  protected stop(): void {
    this.asked++;
    this.share.set(undefined);
  }

  protected take(records: readonly T[]): void {
    // Taken once, however often it is pressed before the panel closes.
    this.reading.set(undefined);
    this.taken.emit(records);
  }

  protected problem(): string {
    const reading = this.reading();
    return reading && !reading.ok ? fileProblemText(reading, this.fileName(), this.noun()) : '';
  }

  protected badText(bad: BadRecord): string {
    return badRecordText(bad, this.noun());
  }
}
