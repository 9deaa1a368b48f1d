import { ChangeDetectionStrategy, Component, output, signal } from '@angular/core';

/** Takes a file that is dropped anywhere on the page, and says so while one is held over it. */
@Component({
  selector: 'ks-file-drop',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (over()) {
      <div aria-hidden="true"><p>Let go to see what is in it</p></div>
    }
  `,
  styles: `
    div {
      position: fixed;
      inset: 0;
      z-index: 30;
      display: grid;
      place-items: center;
      border: 3px dashed var(--ember);
      background: rgb(251 249 246 / 85%);
      pointer-events: none;
    }
    p {
      font: 650 24px/1.3 var(--answer);
    }
  `,
  host: {
    '(document:dragover)': 'hold($event)',
    '(document:dragleave)': 'leave($event)',
    '(document:drop)': 'take($event)',
  },
})
export class FileDrop {
  readonly dropped = output<File>();
  protected readonly over = signal(false);

  protected hold(event: DragEvent): void {
    if (!event.dataTransfer?.types.includes('Files')) return;
    // Without this the browser would leave the page for the file.
    event.preventDefault();
    this.over.set(true);
  }

  protected leave({ relatedTarget }: DragEvent): void {
    if (!relatedTarget) this.over.set(false);
  }

  protected take(event: DragEvent): void {
    this.over.set(false);
    const file = event.dataTransfer?.files[0];
    if (!file || event.defaultPrevented) return;
    event.preventDefault();
    this.dropped.emit(file);
  }
}
