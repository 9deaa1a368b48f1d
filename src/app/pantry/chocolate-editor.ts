import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { bandProblem, type Bands } from '../../core/matter/bands';
import {
  CHOCOLATE_KINDS,
  CHOCOLATE_MATTER,
  FLUIDITY_CLASSES,
  cassonAt40,
  nearestClass,
  rheologyAt,
  type ChocolateKind,
  type FluidityClass,
} from '../../core/matter/chocolate';
import { holdThicknessM } from '../../core/matter/chocolate';
import { thinnerShare } from '../../core/matter/thinning';
import { ALLERGENS, type Allergen } from '../../core/record/choices';
import type { PantryChocolate } from '../../core/record/chocolate';
import { Pantry } from '../state/pantry';
import { Units } from '../state/units';
import { AmountField } from '../ui/amount-field';
import { ChoiceList } from '../ui/choice-list';
import { Ticks } from '../ui/ticks';
import { text } from '../wording/format';
import { BAND_NAMES, bandProblemText } from '../wording/melting';
import { ALLERGEN_NAMES, FLUIDITY_NAMES, KIND_NAMES } from '../wording/names';
import { BandLadder } from './band-ladder';
import { StockFields } from './stock-fields';
import { FieldScope } from '../ui/field-scope';

const OWN_VALUES = 'own';
type Runs = FluidityClass | typeof OWN_VALUES;

/** A chocolate of the pantry: what it is, the bands of its packet, how it runs, and what is there of it. */
@Component({
  selector: 'ks-chocolate-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, BandLadder, ChoiceList, FieldScope, NzButtonComponent, RouterLink, StockFields, Ticks],
  templateUrl: './chocolate-editor.html',
  styleUrl: './chocolate-editor.less',
})
export class ChocolateEditor {
  private readonly pantry = inject(Pantry);
  private readonly units = inject(Units);

  readonly chocolate = input.required<PantryChocolate>();

  protected readonly kinds = CHOCOLATE_KINDS.map((value) => ({ value, name: KIND_NAMES[value] }));
  protected readonly allergens = ALLERGENS.map((value) => ({ value, name: ALLERGEN_NAMES[value] }));
  protected readonly runs = [
    ...FLUIDITY_CLASSES.map((value) => ({ value: value as Runs, name: FLUIDITY_NAMES[value] })),
    { value: OWN_VALUES as Runs, name: 'by its own values' },
  ];
  protected readonly bands = computed<readonly (keyof Bands)[]>(() =>
    this.chocolate().kind === 'compound'
      ? ['meltToC', 'workFromC', 'workToC', 'ceilingC']
      : ['meltToC', 'seedToC', 'workFromC', 'workToC', 'ceilingC'],
  );
  protected readonly bandNames = BAND_NAMES;
  protected readonly fluidity = computed<Runs>(() =>
    typeof this.chocolate().fluidity === 'string' ? (this.chocolate().fluidity as FluidityClass) : OWN_VALUES,
  );
  protected readonly casson = computed(() => cassonAt40(this.chocolate().fluidity));
  protected readonly flow = computed(() => {
    const { fluidity, kind, workFromC, workToC } = this.chocolate();
    const system = this.units.system();
    const middle = (workFromC + workToC) / 2;
    const at = (celsius: number): string =>
      text(
        holdThicknessM(rheologyAt(fluidity, celsius), CHOCOLATE_MATTER[kind].meltedDensity, Math.PI / 2),
        'length',
        system,
      );
    const flow = rheologyAt(fluidity, middle);
    return {
      class: FLUIDITY_NAMES[nearestClass(fluidity)],
      values: `At ${text(middle, 'temperature', system)} its yield stress is ${text(flow.yieldPa, 'yieldStress', system)} and its viscosity ${text(flow.viscosityPas, 'viscosity', system)}.`,
      holds: `An upright wall holds ${at(middle)} of it, and ${at(middle - 2)} at ${text(middle - 2, 'temperature', system)}.`,
      label: `At ${text(40, 'temperature', system)}`,
    };
  });
  /** Fat that makes it one class more fluid, in grams for half a kilogram. */
  protected readonly thinner = computed(() => {
    const now = nearestClass(this.chocolate().fluidity);
    const next = FLUIDITY_CLASSES[FLUIDITY_CLASSES.indexOf(now) + 1];
    if (!next) return 'It runs as thin as any: thinning it further only makes it soft.';
    const share = thinnerShare(this.casson(), cassonAt40(next));
    if (share <= 0.002) return '';
    return `A sliver of cocoa butter or solid vegetable shortening thins it: about ${text(share * 0.5, 'mass', this.units.system())} in ${text(0.5, 'mass', this.units.system())} makes it run ${FLUIDITY_NAMES[next]}. A working rule; more than 5 % sets soft. Never water: it seizes.`;
  });

  /** Says why a band cannot be where it was typed. */
  protected readonly refusals = computed(() => {
    const chocolate = this.chocolate();
    return Object.fromEntries(
      (Object.keys(BAND_NAMES) as (keyof Bands)[]).map((band) => [
        band,
        (value: number): string => {
          const problem = bandProblem(chocolate.kind, { ...chocolate, [band]: value });
          return problem ? bandProblemText(problem) : '';
        },
      ]),
    ) as Readonly<Record<keyof Bands, (value: number) => string>>;
  });

  protected setKind(kind: ChocolateKind): void {
    this.edit('kind', (chocolate) => {
      const { fatShare, meltToC, seedToC, workFromC, workToC, ceilingC } = CHOCOLATE_MATTER[kind];
      // The bands of one kind are out of place on another, so the usual ones come with it.
      Object.assign(chocolate, { kind, fatShare, meltToC, seedToC, workFromC, workToC, ceilingC });
    });
  }

  protected setBand(band: keyof Bands, celsius: number): void {
    this.edit(
      BAND_NAMES[band].toLowerCase(),
      (chocolate) => {
        chocolate[band] = celsius;
        // Coating needs no seed; its lower end follows where it is worked.
        if (chocolate.kind === 'compound') chocolate.seedToC = chocolate.workFromC;
      },
      band,
    );
  }

  protected setRuns(runs: Runs): void {
    this.edit('how it runs', (chocolate) => {
      chocolate.fluidity = runs === OWN_VALUES ? { ...cassonAt40(chocolate.fluidity) } : runs;
    });
  }

  protected setCasson(key: 'yieldPa' | 'viscosityPas', value: number): void {
    this.edit(
      'how it runs',
      (chocolate) => {
        chocolate.fluidity = { ...cassonAt40(chocolate.fluidity), [key]: value };
      },
      key,
    );
  }

  protected setFat(share: number): void {
    this.edit('fat', (chocolate) => (chocolate.fatShare = share), 'fat');
  }

  protected setColour(colour: string): void {
    this.edit('colour', (chocolate) => (chocolate.colour = colour), 'colour');
  }

  protected setAllergens(allergens: Allergen[]): void {
    this.edit('allergens', (chocolate) => (chocolate.allergens = allergens));
  }

  private edit(label: string, change: (chocolate: PantryChocolate) => void, gesture?: string): void {
    const { id } = this.chocolate();
    this.pantry.edit(
      id,
      label,
      (entry) => {
        if (entry.entry === 'chocolate') change(entry);
      },
      gesture && `${id} ${gesture}`,
    );
  }
}
