import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { LIMITS } from '../../core/record/limits';
import type { Composition, Mold } from '../../core/record/mold';
import { UNITS } from '../../core/quantity/units';
import { AmountField, type TypedAmount } from '../ui/amount-field';
import { ChoiceList } from '../ui/choice-list';
import { Pick } from '../ui/pick';
import { COMPOSITION_NAMES } from '../wording/shapes';

/** How the cavities of a mold come together to a piece. */
@Component({
  selector: 'ks-composition-fields',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, Pick],
  template: `
    <ks-choice-list
      label="A piece is"
      [options]="kinds()"
      [value]="mold().composition.kind"
      (chosen)="setKind($event)"
    />
    @if (composition(); as c) {
      @switch (c.kind) {
        @case ('figure') {
          <div class="pair">
            <ks-choice-list
              label="Front"
              [options]="cavities()"
              [value]="c.frontId"
              (chosen)="changed.emit({ kind: 'figure', frontId: $event, backId: c.backId })"
            />
            <ks-choice-list
              label="Back"
              [options]="cavities()"
              [value]="c.backId"
              (chosen)="changed.emit({ kind: 'figure', frontId: c.frontId, backId: $event })"
            />
          </div>
        }
        @case ('press') {
          <ks-amount-field
            label="The insert leaves"
            field="gap"
            [value]="c.gap.by === 'width' ? c.gap.gapM : c.gap.m3"
            [dimension]="c.gap.by === 'width' ? 'length' : 'volume'"
            [unit]="c.gap.by === 'water' ? millilitre : undefined"
            [limits]="[limits.gapM, limits.gapVolumeM3, water]"
            hint="A gap like 3 mm, or the water it holds up to the line, like 21 g"
            (amount)="setGap($event)"
          />
          <ks-pick
            label="Each piece is"
            [options]="pressed"
            [value]="c.joined ? 'two' : 'one'"
            (chosen)="setJoined(c, $event === 'two')"
          />
        }
        @case ('assembly') {
          <div class="pair">
            @for (part of c.parts; track part.cavityId; let i = $index) {
              <ks-amount-field
                [label]="nameOf(part.cavityId) + ' in a piece'"
                [field]="'part ' + part.cavityId"
                [value]="part.perPiece"
                [whole]="true"
                [limits]="[perPiece]"
                (amount)="setPerPiece(i, $event.value)"
              />
            }
          </div>
        }
        @case ('former') {
          <p>Chocolate is poured over its outside; the shape is the former’s own.</p>
        }
        @default {}
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
    .pair {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 12px;
    }
    p {
      font-size: 13px;
      color: var(--soft);
      line-height: 1.4;
    }
  `,
})
export class CompositionFields {
  readonly mold = input.required<Mold>();
  readonly changed = output<Composition>();

  protected readonly limits = LIMITS;
  protected readonly millilitre = UNITS.millilitre;
  protected readonly perPiece = { dimension: 'count', low: 1, high: 24 } as const;
  /** A gram of water is a millilitre, near enough for a gap. */
  protected readonly water = {
    dimension: 'mass',
    low: LIMITS.gapVolumeM3.low * 1000,
    high: LIMITS.gapVolumeM3.high * 1000,
  } as const;
  protected readonly pressed = [
    { value: 'one', name: 'one, open behind' },
    { value: 'two', name: 'two halves, joined' },
  ] as const;
  protected readonly composition = computed(() => this.mold().composition);
  protected readonly cavities = computed(() => this.mold().cavities.map(({ id, name }) => ({ value: id, name })));
  /** Two different halves and assemblies take more than one kind of cavity. */
  protected readonly kinds = computed(() => {
    const several = this.mold().cavities.length > 1;
    return (Object.keys(COMPOSITION_NAMES) as Composition['kind'][])
      .filter((kind) => several || (kind !== 'figure' && kind !== 'assembly'))
      .map((value) => ({ value, name: COMPOSITION_NAMES[value] }));
  });

  protected nameOf(cavityId: string): string {
    return this.mold().cavities.find((cavity) => cavity.id === cavityId)?.name ?? '';
  }

  protected setKind(kind: Composition['kind']): void {
    const [first, second] = this.mold().cavities;
    switch (kind) {
      case 'figure':
        return this.changed.emit({ kind, frontId: first.id, backId: (second ?? first).id });
      case 'press':
        return this.changed.emit({ kind, gap: { by: 'width', gapM: 0.003 } });
      case 'assembly':
        return this.changed.emit({
          kind,
          parts: this.mold()
            .cavities.slice(0, 8)
            .map(({ id }) => ({ cavityId: id, perPiece: 1 })),
        });
      default:
        return this.changed.emit({ kind });
    }
  }

  protected setGap({ value, dimension }: TypedAmount): void {
    const composition = this.composition();
    if (composition.kind !== 'press') return;
    this.changed.emit({
      ...composition,
      gap:
        dimension === 'length'
          ? { by: 'width', gapM: value }
          : { by: 'water', m3: dimension === 'mass' ? value / 1000 : value },
    });
  }

  protected setJoined({ kind, gap }: Extract<Composition, { kind: 'press' }>, joined: boolean): void {
    this.changed.emit({ kind, gap, ...(joined ? { joined } : {}) });
  }

  protected setPerPiece(index: number, perPiece: number): void {
    const composition = this.composition();
    if (composition.kind === 'assembly')
      this.changed.emit({
        kind: 'assembly',
        parts: composition.parts.map((part, i) => (i === index ? { ...part, perPiece } : part)),
      });
  }
}
