import { ChangeDetectionStrategy, Component, inject, output, signal } from '@angular/core';
import { NzButtonModule } from 'ng-zorro-antd/button';
import { LARGEST_FILE, readCastingFile, type FileReading } from '../../data/casting-file';
import { CastingsActions } from '../state/castings-actions';
import { Notices } from '../state/notices';
import { badRecordText, fileProblemText } from '../wording/files';

/** Takes castings from a file: says what is in it, names what is bad, and adds only what the user takes. */
@Component({
  selector: 'ks-import-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonModule],
  template: `
    <section aria-label="Import">
      <label for="import-file">A file exported from Kilnstone (.json)</label>
      <input id="import-file" type="file" accept=".json,application/json" (change)="read($event)" />
      @if (reading(); as r) {
        <div role="alert">
          @if (r.ok) {
            <p><strong>{{ r.castings.length }} {{ r.castings.length === 1 ? 'casting' : 'castings' }}</strong> can be taken from “{{ fileName() }}”@if (r.bad.length) {; {{ r.bad.length }} cannot}.</p>
          } @else {
            <p><strong>{{ problem() }}</strong> Nothing was changed.</p>
          }
          @if (r.bad.length) {
            <ul>@for (bad of r.bad.slice(0, 5); track bad.position) { <li>{{ badText(bad) }}</li> }@if (r.bad.length > 5) { <li>and {{ r.bad.length - 5 }} more</li> }</ul>
          }
        </div>
        @if (r.ok) { <button nz-button nzType="primary" type="button" (click)="take(r)">{{ r.bad.length ? 'Take the good ones' : 'Take them' }}</button> }
      }
      <button nz-button nzType="text" type="button" (click)="closed.emit()">Close</button>
    </section>
  `,
  styles: `section { background: var(--panel); padding: 16px 20px; margin-bottom: 22px; display: grid; gap: 10px; justify-items: start; border-radius: 8px; } label { font-weight: 600; } ul { margin: 6px 0 0; padding-left: 20px; font-size: 14px; }`,
})
export class ImportPanel {
  private readonly actions = inject(CastingsActions);
  private readonly notices = inject(Notices);
  readonly closed = output<void>();
  protected readonly reading = signal<FileReading | undefined>(undefined);
  protected readonly fileName = signal('');
  protected readonly badText = badRecordText;

  protected async read(event: Event): Promise<void> {
    const file = (event.target as HTMLInputElement).files?.[0];
    if (!file) return;
    this.fileName.set(file.name);
    if (file.size > LARGEST_FILE) {
      this.reading.set({ ok: false, problem: 'tooLarge', place: `${Math.round(file.size / 1e6)} MB`, bad: [] });
      return;
    }
    this.reading.set(readCastingFile(await file.text()));
  }

  protected problem(): string {
    const reading = this.reading();
    return reading && !reading.ok ? fileProblemText(reading, this.fileName()) : '';
  }

  protected take(reading: Extract<FileReading, { ok: true }>): void {
    this.actions.take(reading.castings);
    this.notices.say({ text: `Added ${reading.castings.length} ${reading.castings.length === 1 ? 'casting' : 'castings'}.` });
    this.closed.emit();
  }
}
