import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { LucideX } from '@lucide/angular';
import { NzCheckboxComponent } from 'ng-zorro-antd/checkbox';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { colourDrops, SHADE_G, SHADES, type Shade } from '../../core/matter/shades';
import { LIMITS, within } from '../../core/record/limits';
import { SMALL_STREAK } from '../../core/matter/chocolate';
import { COLOUR_BASES, type ColourBase } from '../../core/record/choices';
import type { PantryTint } from '../../core/record/chocolate';
import { Pantry } from '../state/pantry';
import { Units } from '../state/units';
import { text } from '../wording/format';
import { AmountField } from '../ui/amount-field';
import { ChoiceList } from '../ui/choice-list';
import { Tool } from '../ui/tool';
import { TextField } from '../ui/text-field';
import { TintAmounts } from './tint-amounts';
import { FieldScope } from '../ui/field-scope';

/** From so much colour in 100 g on it is told how far a bottle goes, kg, and what a large one holds. Common practice, no source. */
const MUCH_COLOUR_KG = 0.004;
const BOTTLE_KG = 0.057;
const WATER = 'water';
type Base = ColourBase | typeof WATER;
const BASE_NAMES: Readonly<Record<Base, string>> = {
  oil: 'oil-based',
  cocoaButter: 'in cocoa butter',
  gel: 'gel',
  water: 'water-based',
};

const MIX_TEXTS = {
  no: '',
  little:
    'A little coating in real chocolate, or the other way about: some do it for a colour. It sets a shade softer and dulls sooner; more of it would not hold.',
  much: 'Coating and real chocolate do not mix: their fats soften each other, and the piece sets soft and dulls.',
} as const;

/** A tint: chocolates and colours by parts, scaled to the amount that is wanted. */
@Component({
  selector: 'ks-tint-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AmountField,
    ChoiceList,
    FieldScope,
    FormsModule,
    LucideX,
    NzButtonComponent,
    NzCheckboxComponent,
    TextField,
    TintAmounts,
    Tool,
  ],
  templateUrl: './tint-editor.html',
  styleUrls: ['./chocolate-editor.less', './tint-editor.less'],
})
export class TintEditor {
  private readonly pantry = inject(Pantry);
  private readonly units = inject(Units);

  readonly tint = input.required<PantryTint>();

  protected readonly mixTexts = MIX_TEXTS;
  protected readonly shades = SHADES;
  protected readonly bases = [...COLOUR_BASES, WATER as Base].map((value) => ({ value, name: BASE_NAMES[value] }));
  /** The colour whose base was refused. */
  protected readonly refused = signal<number | undefined>(undefined);
  protected readonly options = computed(() => {
    const there = this.pantry.chocolates().map(({ id, name }) => ({ value: id, name }));
    const gone = this.tint()
      .chocolates.filter(({ chocolateId }) => !there.some(({ value }) => value === chocolateId))
      .map(({ chocolateId }) => ({ value: chocolateId, name: 'not here any more' }));
    return [...there, ...gone];
  });
  /** Whether coating and real chocolate are mixed: not, a little of one in the other, or much. */
  protected readonly mixesFats = computed<'no' | 'little' | 'much'>(() => {
    const parts = { coating: 0, real: 0 };
    for (const { chocolateId, parts: of } of this.tint().chocolates) {
      const kind = this.pantry.chocolates().find(({ id }) => id === chocolateId)?.kind;
      if (kind) parts[kind === 'compound' ? 'coating' : 'real'] += of;
    }
    const share = Math.min(parts.coating, parts.real) / Math.max(1e-9, parts.coating + parts.real);
    return share === 0 ? 'no' : share <= SMALL_STREAK ? 'little' : 'much';
  });

  protected setColour(colour: string): void {
    this.edit('colour', (tint) => (tint.colour = colour), 'colour');
  }

  protected setAllAtOnce(allAtOnce: boolean): void {
    this.edit('all at once', (tint) => (tint.allAtOnce = allAtOnce));
  }

  protected setChocolate(index: number, chocolateId: string): void {
    this.edit('chocolate', (tint) => (tint.chocolates[index].chocolateId = chocolateId));
  }

  protected setParts(list: 'chocolates' | 'colours', index: number, parts: number): void {
    this.edit('parts', (tint) => (tint[list][index].parts = parts), `${list} ${index}`);
  }

  /** "0.5 g, about 13 drops": how much colour that is of 100 g of chocolate. */
  protected doseOf(parts: number): string {
    const kg = (parts / this.chocolateParts()) * 0.1;
    const drops = colourDrops(kg);
    const mass = (one: number): string => text(one, 'mass', this.units.system());
    const bottle =
      kg >= MUCH_COLOUR_KG
        ? `; a bottle of ${mass(BOTTLE_KG)} does ${mass((0.1 * BOTTLE_KG) / kg)}. So deep a colour wants a dark base`
        : '';
    return `${mass(kg)}, about ${drops} ${drops === 1 ? 'drop' : 'drops'}${bottle}`;
  }

  /** As much colour as a shade is begun with: in small steps from there. */
  protected setShade(index: number, shade: Shade): void {
    const parts = within(LIMITS.tintParts, (this.chocolateParts() * SHADE_G[shade]) / 100, 0.001);
    this.edit('colour', (tint) => (tint.colours[index].parts = parts), `shade ${index}`);
  }

  private chocolateParts(): number {
    return this.tint().chocolates.reduce((sum, { parts }) => sum + parts, 0);
  }

  protected setColourName(index: number, name: string): void {
    if (name.trim())
      this.edit('colour', (tint) => (tint.colours[index].name = name.trim().slice(0, 120)), `colour ${index}`);
  }

  /** Colour in water is not taken: the base stays what it was, and the reason is said. */
  protected setBase(index: number, base: Base): void {
    this.refused.set(base === WATER ? index : undefined);
    if (base !== WATER) this.edit('colour', (tint) => (tint.colours[index].base = base));
  }

  protected addChocolate(): void {
    const taken = this.tint().chocolates.map(({ chocolateId }) => chocolateId);
    const next = this.pantry.chocolates().find(({ id }) => !taken.includes(id));
    if (next) this.edit('chocolate', (tint) => void tint.chocolates.push({ chocolateId: next.id, parts: 1 }));
  }

  protected addColour(): void {
    this.edit('colour', (tint) => void tint.colours.push({ name: 'Oil-based colour', base: 'oil', parts: 0.5 }));
  }

  protected drop(list: 'chocolates' | 'colours', index: number): void {
    this.refused.set(undefined);
    this.edit(list === 'colours' ? 'colour' : 'chocolate', (tint) => void tint[list].splice(index, 1));
  }

  protected readonly mayAddChocolate = computed(
    () => this.tint().chocolates.length < Math.min(6, this.pantry.chocolates().length),
  );

  private edit(label: string, change: (tint: PantryTint) => void, gesture?: string): void {
    const { id } = this.tint();
    this.pantry.edit(
      id,
      label,
      (entry) => {
        if (entry.entry === 'tint') change(entry);
      },
      gesture && `${id} ${gesture}`,
    );
  }
}
