import { ChangeDetectionStrategy, Component, DestroyRef, inject, input, model, output, signal } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { LARGEST_FILE, type BadRecord, type FileReading } from '../../data/record-file';
import { FileDrop } from './file-drop';
import { FileField } from './file-field';
import { ShareBar } from './share-bar';
import { badRecordText, fileProblemText, type FileNoun } from '../wording/files';

/** A file is read for so long between two pictures of the page, ms. */
const READS_FOR_MS = 12;

/** Takes records from a file that is chosen or dropped on the page: says what is in it, names what is bad, and hands on only what the user takes. */
@Component({
  selector: 'ks-import-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FileDrop, FileField, NzButtonComponent, ShareBar],
  template: `
    <ks-file-drop (dropped)="look($event)" />
    @if (open()) {
      <section aria-label="Import">
        <ks-file-field name="import-file" label="A file exported from Kilnstone (.json)" (chosen)="look($event)" />
        @if (share() !== undefined) {
          <p role="status">
            Reading “{{ fileName() }}”…
            <ks-share-bar [share]="share() ?? 0" [label]="'Reading ' + fileName()" />
            <button nz-button nzType="link" type="button" (click)="stop()">Stop</button>
          </p>
        }
        @if (reading(); as r) {
          <div role="alert">
            @if (r.ok) {
              <p>
                <strong>{{ r.records.length }} {{ r.records.length === 1 ? noun() : noun() + 's' }}</strong> can be
                taken from “{{ fileName() }}”{{ r.bad.length ? '; ' + r.bad.length + ' cannot.' : '.' }}
              </p>
            } @else {
              <p>
                <strong>{{ problem() }}</strong> Nothing was changed.
              </p>
            }
            <ul [hidden]="!r.bad.length">
              @for (bad of r.bad.slice(0, 5); track bad.position) {
                <li>{{ badText(bad) }}</li>
              }
              @if (r.bad.length > 5) {
                <li>and {{ r.bad.length - 5 }} more</li>
              }
            </ul>
          </div>
          @if (r.ok) {
            <button nz-button nzType="primary" type="button" (click)="take(r.records)">
              {{ r.bad.length ? 'Take the good ones' : 'Take them' }}
            </button>
          }
        }
        <button nz-button nzType="text" type="button" (click)="close()">Close</button>
      </section>
    }
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
  readonly open = model.required<boolean>();
  protected readonly reading = signal<FileReading<T> | undefined>(undefined);
  protected readonly fileName = signal('');
  /** How much of a file is read that is being read. */
  protected readonly share = signal<number | undefined>(undefined);
  /** Counts the files asked for: only the newest is read on. */
  private asked = 0;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.asked++);
  }

  protected async look(file: File): Promise<void> {
    this.open.set(true);
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

  protected close(): void {
    this.stop();
    this.reading.set(undefined);
    this.open.set(false);
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
