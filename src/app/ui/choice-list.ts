import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** One thing to choose. */
export interface Option<T extends string> {
  readonly value: T;
  readonly name: string;
}

let lists = 0;

/** A labelled list to choose one from. */
@Component({
  selector: 'ks-choice-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="id">{{ label() }}</label>
    <select [id]="id" (change)="pick($event)">
      @for (option of options(); track option.value) {
        <option [value]="option.value" [selected]="option.value === value()">{{ option.name }}</option>
      }
    </select>
  `,
  styleUrl: './choice-list.less',
})
export class ChoiceList<T extends string> {
  readonly label = input.required<string>();
  readonly options = input.required<readonly Option<T>[]>();
  readonly value = input.required<T>();
  readonly chosen = output<T>();
  protected readonly id = `choice-${++lists}`;

  protected pick(event: Event): void {
    const value = (event.target as HTMLSelectElement).value;
    const option = this.options().find((candidate) => candidate.value === value);
    if (option) this.chosen.emit(option.value);
  }
}
