import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { cavityOf } from '../../core/cavity/cavity';
import { reshaped } from '../../core/cavity/reshape';
import type { CavityShape, ShapeKind } from '../../core/cavity/shape';
import type { LibraryMold, MoldCavity } from '../../core/record/mold';
import { cavityCount } from '../../core/record/mold-cavities';
import { MoldLibrary } from '../state/mold-library';
import { newId } from '../state/new-id';
import { AmountField } from '../ui/amount-field';
import { ChoiceList } from '../ui/choice-list';
import { Pick } from '../ui/pick';
import { ShapeFields } from '../ui/shape-fields';
import { TextField } from '../ui/text-field';
import { LONGEST_NAME, tidyName } from '../wording/naming';
import { SHAPE_NAMES } from '../wording/shapes';
import { FieldScope } from '../ui/field-scope';

/** A narrow place to begin with, m³: a teaspoon. */
const USUAL_NARROW_M3 = 5e-6;

/** A mold's kinds of cavity: the open one's shape by formula, and how many of it lie in the mold. */
@Component({
  selector: 'ks-cavity-fields',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, FieldScope, NzButtonComponent, Pick, ShapeFields, TextField],
  templateUrl: './cavity-fields.html',
  styleUrl: './mold-part.less',
})
export class CavityFields {
  private readonly library = inject(MoldLibrary);

  readonly mold = input.required<LibraryMold>();
  /** The open kind of cavity. */
  readonly cavity = input.required<MoldCavity>();
  /** Another kind is to be opened, by its id. */
  readonly opened = output<string>();

  protected readonly usualNarrowM3 = USUAL_NARROW_M3;
  protected readonly kinds = Object.entries(SHAPE_NAMES).map(([value, name]) => ({ value: value as ShapeKind, name }));
  protected readonly cavities = computed(() => this.mold().cavities.map(({ id, name }) => ({ value: id, name })));
  protected readonly count = computed(() => cavityCount(this.cavity()));

  protected setKind(kind: ShapeKind): void {
    const { composition } = this.mold();
    this.setShape(reshaped(kind, cavityOf(this.cavity().shape, composition.kind === 'former')), 'kind');
  }

  protected setShape(shape: CavityShape, key: string): void {
    const kept = structuredClone(shape) as MoldCavity['shape'];
    this.library.editCavity(
      this.mold().id,
      this.cavity().id,
      'shape',
      (cavity) => (cavity.shape = kept),
      `shape ${key}`,
    );
  }

  protected setGrid(key: 'rows' | 'columns', value: number): void {
    this.library.editCavity(this.mold().id, this.cavity().id, key, (cavity) => (cavity[key] = value), key);
  }

  /** What narrow places beside its shape hold; undefined where it has none. */
  protected setNarrow(m3: number | undefined): void {
    this.library.editCavity(
      this.mold().id,
      this.cavity().id,
      'narrow places',
      (cavity) => {
        if (m3 === undefined) delete cavity.narrowM3;
        else cavity.narrowM3 = m3;
      },
      m3 === undefined ? undefined : 'narrow',
    );
  }

  protected setName(name: string): void {
    const kept = tidyName(name).slice(0, LONGEST_NAME);
    if (kept)
      this.library.editCavity(this.mold().id, this.cavity().id, 'cavity name', (cavity) => (cavity.name = kept));
  }

  protected add(): void {
    const id = `cavity-${newId().slice(0, 8)}`;
    const { shape, rows, columns } = structuredClone(this.mold().cavities[this.mold().cavities.length - 1]);
    this.library.edit(this.mold().id, 'another kind of cavity', (mold) => {
      mold.cavities.push({ id, name: `Cavity ${mold.cavities.length + 1}`, shape, rows, columns });
    });
    this.opened.emit(id);
  }

  protected remove(): void {
    const { id } = this.cavity();
    this.library.edit(this.mold().id, 'kind of cavity', (mold) => {
      if (mold.cavities.length < 2) return;
      mold.cavities = mold.cavities.filter((cavity) => cavity.id !== id);
      // What needed it is no longer put together of it.
      if (mold.composition.kind === 'figure' || mold.composition.kind === 'assembly')
        mold.composition = { kind: 'single' };
    });
  }
}
