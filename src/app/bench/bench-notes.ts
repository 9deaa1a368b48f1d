import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  linkedSignal,
  output,
  signal,
  untracked,
} from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import type { NewMark } from '../../core/run/mark';
import { AmountField } from '../ui/amount-field';
import { ChoiceList } from '../ui/choice-list';
import { FileField } from '../ui/file-field';
import { TextField } from '../ui/text-field';
import { BenchRun } from './bench-run';
import { BenchView } from './bench-view';
import { smallPhoto } from './small-photo';

/** So much is proposed for a rim, m, and for a bowl of which nothing is known, °C. */
const RIM_M = 0.002;
const BOWL_C = 31;

/** Notes what was measured and seen: temperature, weight, temper, what came out and broke, how thick the rim is, a remark. */
@Component({
  selector: 'ks-bench-notes',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, FileField, NzButtonComponent, TextField],
  template: `
    @if (bowl(); as b) {
      @if (bowls().length > 1) {
        <ks-choice-list label="Which bowl" [options]="bowls()" [value]="b.value" (chosen)="chosenBowl.set($event)" />
      }
      <div class="row">
        <ks-amount-field label="It measures" limit="markC" [value]="c()" (amount)="c.set($event.value)" />
        <button nz-button type="button" (click)="temperature()">Note it</button>
      </div>
      <div class="row">
        <ks-amount-field
          label="In the bowl, without the bowl"
          limit="markKg"
          [value]="kg()"
          (amount)="kg.set($event.value)"
        />
        <button nz-button type="button" (click)="weight()">Note it</button>
      </div>
      <p>A test smear after three to five minutes:</p>
      <div class="row">
        <button nz-button type="button" (click)="temper(true)">Set and even</button>
        <button nz-button type="button" (click)="temper(false)">Streaked or soft</button>
      </div>
    } @else {
      <p>No bowl is melted, so there is none to measure.</p>
    }
    @if (out(); as task) {
      <p>Turned out: {{ task.name }}</p>
      <div class="row">
        <ks-amount-field
          label="Whole"
          limit="cameOut"
          field="out"
          [whole]="true"
          [value]="whole()"
          (amount)="whole.set($event.value)"
        />
        <ks-amount-field
          label="Broken"
          limit="cameOut"
          field="broke"
          [whole]="true"
          [value]="broke()"
          (amount)="broke.set($event.value)"
        />
        <button nz-button type="button" (click)="count(task.key)">Note it</button>
      </div>
      <div class="row">
        <ks-amount-field label="Rim, measured" limit="rimM" [value]="rim()" (amount)="rim.set($event.value)" />
        <button nz-button type="button" (click)="thickness(task.key)">Note it</button>
      </div>
    }
    <ks-text-field label="Remark" [longest]="500" [value]="remark()" (entered)="remark.set($event.trim())" />
    <button nz-button type="button" [disabled]="!remark()" (click)="say()">Note the remark</button>
    <ks-file-field
      label="Photo"
      name="bench-photo"
      says="Take or choose one"
      accept="image/*"
      (chosen)="photo($event)"
    />
    <p class="noted" role="status">{{ noted() }}</p>
  `,
  styleUrl: './bench-notes.less',
})
export class BenchNotes {
  private readonly bench = inject(BenchRun);
  private readonly view = inject(BenchView);
  readonly marked = output<NewMark>();

  protected readonly bowls = computed(() => this.view.bowls().map(({ bowl, name }) => ({ value: String(bowl), name })));
  protected readonly chosenBowl = signal('');
  protected readonly bowl = computed(
    () => this.bowls().find(({ value }) => value === this.chosenBowl()) ?? this.bowls().at(0),
    { equal: (a, b) => a?.value === b?.value },
  );
  protected readonly c = linkedSignal(() => this.reckoned(this.bowl()?.value ?? '')?.nowC ?? BOWL_C);
  protected readonly kg = linkedSignal(() => this.reckoned(this.bowl()?.value ?? '')?.leftKg ?? 0);
  protected readonly whole = signal(0);
  protected readonly broke = signal(0);
  protected readonly rim = signal(RIM_M);
  protected readonly remark = signal('');
  protected readonly noted = signal('');
  /** What was turned out last. */
  protected readonly out = computed(() => {
    const run = this.bench.run();
    const done = run?.tasks.filter(({ kind, key }) => kind === 'unmold' && this.bench.state().doneS.has(key)) ?? [];
    const last = done.at(-1);
    return last && { key: last.key, name: run?.castings.find(({ id }) => id === last.castingId)?.name ?? '' };
  });

  protected temperature(): void {
    this.note({ kind: 'temperature', bowl: this.bowlAt(), c: this.c(), by: 'hand' });
  }

  protected weight(): void {
    this.note({ kind: 'weight', bowl: this.bowlAt(), kg: this.kg(), by: 'hand' });
  }

  protected temper(set: boolean): void {
    this.note({ kind: 'temper', bowl: this.bowlAt(), set });
  }

  protected count(task: string): void {
    this.note({ kind: 'count', task, out: this.whole(), broke: this.broke() });
  }

  protected thickness(task: string): void {
    this.note({ kind: 'thickness', task, rimM: this.rim() });
  }

  protected say(): void {
    this.note({ kind: 'remark', text: this.remark() });
    this.remark.set('');
  }

  protected async photo(file: File): Promise<void> {
    this.noted.set('Making it smaller…');
    const data = await smallPhoto(file);
    if (data === undefined) this.noted.set(`“${file.name}” is no picture that this browser can read. Choose another.`);
    else this.note({ kind: 'photo', data });
  }

  private bowlAt(): number {
    return Number(this.bowl()?.value ?? 0);
  }

  /** As a bowl is reckoned to stand, when it is chosen. */
  private reckoned(bowl: string) {
    return untracked(() => this.view.bowls().find((one) => String(one.bowl) === bowl));
  }

  private note(mark: NewMark): void {
    this.marked.emit(mark);
    this.noted.set('Noted. “Take back” on the bench undoes it.');
  }
}
