import { ChangeDetectionStrategy, Component, inject, input, resource } from '@angular/core';
import { SmallSection } from '../castings/small-section';
import { OutcomeStorage } from '../state/logbook';

/** What was cast in a run, drawn small: the first of its castings. It is read when it comes in sight. */
@Component({
  selector: 'ks-run-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SmallSection],
  template: `
    @if (drawn.value(); as run) {
      <ks-small-section [casting]="run.castings[0]" [height]="56" />
    }
  `,
  styles: `
    :host {
      display: block;
      height: 56px;
      overflow: hidden;
    }
  `,
})
export class RunDrawing {
  private readonly stored = inject(OutcomeStorage);
  readonly run = input.required<string>();
  protected readonly drawn = resource({
    params: () => this.run(),
    loader: ({ params }) => this.stored.run(params).catch(() => undefined),
  });
}
