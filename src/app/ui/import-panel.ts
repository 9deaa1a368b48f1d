import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';
import { LARGEST_FILE, type BadRecord, type FileReading } from '../../data/record-file';
import { badRecordText, fileProblemText, type FileNoun } from '../wording/files';

/** Takes records from a file: says what is in it, names what is bad, and hands on only what the user takes. */
@Component({
  selector: 'ks-import-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-label="Import">
      <label for="import-file">A file exported from Kilnstone (.json)</label>
      <input id="import-file" type="file" accept=".json,application/json" (change)="look($event)" />
      @if (reading(); as r) {
        <div role="alert">
          @if (r.ok) {
            <p><strong>{{ r.records.length }} {{ r.records.length === 1 ? noun() : noun() + 's' }}</strong> can be taken from “{{ fileName() }}”@if (r.bad.length) {; {{ r.bad.length }} cannot}.</p>
          } @else {
            <p><strong>{{ problem() }}</strong> Nothing was changed.</p>
          }
          @if (r.bad.length) {
            <ul>@for (bad of r.bad.slice(0, 5); track bad.position) { <li>{{ badText(bad) }}</li> }@if (r.bad.length > 5) { <li>and {{ r.bad.length - 5 }} more</li> }</ul>
          }
        </div>
        @if (r.ok) { <button class="ant-btn ant-btn-primary" type="button" (click)="taken.emit(r.records)">{{ r.bad.length ? 'Take the good ones' : 'Take them' }}</button> }
      }
      <button class="ant-btn ant-btn-text" type="button" (click)="closed.emit()">Close</button>
    </section>
  `,
  styles: `section { background: var(--panel); padding: 16px 20px; margin-bottom: 22px; display: grid; gap: 10px; justify-items: start; border-radius: 8px; } label { font-weight: 600; } ul { margin: 6px 0 0; padding-left: 20px; font-size: 14px; }`,
})
export class ImportPanel<T> {
  readonly noun = input.required<FileNoun>();
  /** Reads a file's text; never throws. */
  readonly read = input.required<(text: string) => FileReading<T>>();
  readonly taken = output<readonly T[]>();
  readonly closed = output<void>();
  protected readonly reading = signal<FileReading<T> | undefined>(undefined);
  protected readonly fileName = signal('');

  protected async look(event: Event): Promise<void> {
    const file = (event.target as HTMLInputElement).files?.[0];
    if (!file) return;
    this.fileName.set(file.name);
    if (file.size > LARGEST_FILE) {
      this.reading.set({ ok: false, problem: 'tooLarge', place: `${Math.round(file.size / 1e6)} MB`, bad: [] });
      return;
    }
    this.reading.set(this.read()(await file.text()));
  }

  protected problem(): string {
    const reading = this.reading();
    return reading && !reading.ok ? fileProblemText(reading, this.fileName(), this.noun()) : '';
  }

  protected badText(bad: BadRecord): string {
    return badRecordText(bad, this.noun());
  }
}
