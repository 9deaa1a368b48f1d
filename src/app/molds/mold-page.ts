import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzInputDirective } from 'ng-zorro-antd/input';
import { cavityOf } from '../../core/cavity/cavity';
import { reshaped } from '../../core/cavity/reshape';
import type { CavityShape, ShapeKind, TurnedPoint } from '../../core/cavity/shape';
import { MOLD_MATERIALS, MOLD_MATTER, type MoldMaterial } from '../../core/matter/mold-material';
import { moldStation } from '../../core/mold/mold';
import { MOLD_CARE, type MoldCare } from '../../core/record/choices';
import type { LibraryMold, MoldCavity } from '../../core/record/mold';
import { careOf } from '../../core/record/mold-care';
import { cavityCount } from '../../core/record/mold-cavities';
import { MoldLibrary } from '../state/mold-library';
import { newId } from '../state/new-id';
import { Gone } from '../ui/gone';
import { AmountField } from '../ui/amount-field';
import { ChoiceList } from '../ui/choice-list';
import { Ticks } from '../ui/ticks';
import { Figure } from '../ui/figure';
import { ProfileEditor } from '../ui/profile-editor';
import { RecordHeader } from '../ui/record-header';
import { ShapeFields } from '../ui/shape-fields';
import { MATERIAL_NAMES } from '../wording/names';
import { LONGEST_NAME, tidyName } from '../wording/naming';
import { CARE_NAMES, SHAPE_NAMES } from '../wording/shapes';
import { CompositionFields } from './composition-fields';
import { MoldSheet } from './mold-sheet';
import { TextField } from '../ui/text-field';
import { Pick } from '../ui/pick';

/** What its numbers are called where a change of them is undone. */
const NUMBER_NAMES = { wallM: 'mold wall', atHand: 'molds at hand', emptyKg: 'weight of the empty mold' } as const;

/** One mold of the library: its cavities by formula or by points, how they lie and come together, and what a cavity comes to. */
@Component({
  selector: 'ks-mold-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AmountField,
    ChoiceList,
    CompositionFields,
    Figure,
    FormsModule,
    Gone,
    MoldSheet,
    NzButtonComponent,
    NzInputDirective,
    Pick,
    ProfileEditor,
    RecordHeader,
    RouterLink,
    ShapeFields,
    TextField,
    Ticks,
  ],
  templateUrl: './mold-page.html',
  styleUrl: './mold-page.less',
})
export class MoldPage {
  protected readonly library = inject(MoldLibrary);
  private readonly router = inject(Router);

  /** Route parameter. */
  readonly id = input.required<string>();

  protected readonly cares = MOLD_CARE.map((value) => ({ value, name: CARE_NAMES[value] }));
  protected readonly materials = MOLD_MATERIALS.map((value) => ({ value, name: MATERIAL_NAMES[value] }));
  protected readonly kinds = Object.entries(SHAPE_NAMES).map(([value, name]) => ({ value: value as ShapeKind, name }));
  protected readonly mold = computed(() => this.library.byId().get(this.id()));
  private readonly openCavity = signal<string | undefined>(undefined);
  protected readonly cavity = computed(() => {
    const cavities = this.mold()?.cavities ?? [];
    return cavities.find((cavity) => cavity.id === this.openCavity()) ?? cavities[0];
  });
  protected readonly cavities = computed(() =>
    (this.mold()?.cavities ?? []).map(({ id, name }) => ({ value: id, name })),
  );
  protected readonly usedBy = computed(() => this.library.usedBy(this.id()));
  protected readonly geometry = computed(() => {
    const shape = this.cavity()?.shape;
    return shape && cavityOf(shape, this.mold()?.composition.kind === 'former');
  });
  protected readonly equivalent = computed(() => this.geometry()?.equivalent ?? false);
  protected readonly answers = computed(() => {
    const mold = this.mold();
    const cavity = this.cavity();
    const geometry = this.geometry();
    return (
      mold &&
      cavity &&
      geometry &&
      moldStation({
        cavity: geometry,
        shape: cavity.shape,
        cavities: cavityCount(cavity),
        atHand: mold.atHand,
        chocolateKind: 'dark',
      })
    );
  });

  protected count(cavity: MoldCavity): number {
    return cavityCount(cavity);
  }

  protected open(cavityId: string): void {
    this.openCavity.set(cavityId);
  }

  protected setName(name: string): void {
    this.edit('name', (mold) => (mold.name = name), 'name');
  }

  protected setKind(kind: ShapeKind): void {
    const geometry = this.geometry();
    if (geometry) this.setShape(reshaped(kind, geometry), 'kind');
  }

  protected setShape(shape: CavityShape, key: string): void {
    this.editCavity(
      'shape',
      (cavity) => (cavity.shape = structuredClone(shape) as MoldCavity['shape']),
      `shape ${key}`,
    );
  }

  protected setPoints({
    points,
    gesture,
  }: {
    readonly points: readonly TurnedPoint[];
    readonly gesture: string;
  }): void {
    this.editCavity(
      'profile',
      (cavity) => (cavity.shape = { kind: 'turned', points: points.map((point) => ({ ...point })) }),
      `profile ${gesture}`,
    );
  }

  protected setGrid(key: 'rows' | 'columns', value: number): void {
    this.editCavity(key, (cavity) => (cavity[key] = value), key);
  }

  protected setCavityName(name: string): void {
    const kept = tidyName(name).slice(0, LONGEST_NAME);
    if (kept) this.editCavity('cavity name', (cavity) => (cavity.name = kept));
  }

  protected addCavity(): void {
    const last = this.mold()?.cavities.at(-1);
    if (!last) return;
    const id = `cavity-${newId().slice(0, 8)}`;
    this.edit('another kind of cavity', (mold) => {
      const { shape, rows, columns } = structuredClone(last);
      mold.cavities.push({ id, name: `Cavity ${mold.cavities.length + 1}`, shape, rows, columns });
    });
    this.openCavity.set(id);
  }

  protected removeCavity(): void {
    const open = this.cavity();
    this.edit('kind of cavity', (mold) => {
      if (!open || mold.cavities.length < 2) return;
      mold.cavities = mold.cavities.filter((cavity) => cavity.id !== open.id);
      // What needed it is no longer put together of it.
      if (mold.composition.kind === 'figure' || mold.composition.kind === 'assembly')
        mold.composition = { kind: 'single' };
    });
  }

  protected setMaterial(material: MoldMaterial): void {
    this.edit('material', (mold) => {
      mold.care = careOf(mold.material, mold.care, material);
      mold.material = material;
      mold.wallM = MOLD_MATTER[material].usualWallM;
    });
  }

  protected setNumber(key: 'wallM' | 'atHand' | 'emptyKg', value: number): void {
    this.edit(NUMBER_NAMES[key], (mold) => (mold[key] = value), key);
  }

  protected setCare(care: MoldCare[]): void {
    this.edit('care', (mold) => (mold.care = care));
  }

  protected setNotes(notes: string): void {
    this.edit('notes', (mold) => (mold.notes = notes.slice(0, 600)), 'notes');
  }

  protected setComposition(composition: LibraryMold['composition']): void {
    this.edit('how it comes together', (mold) => (mold.composition = composition), 'composition');
  }

  protected copy(mold: LibraryMold): void {
    void this.router.navigate(['/molds', this.library.copy(mold).id]);
  }

  protected remove(mold: LibraryMold): void {
    this.library.remove(mold);
    void this.router.navigateByUrl('/molds');
  }

  private edit(label: string, change: (mold: LibraryMold) => void, gesture?: string): void {
    this.library.edit(this.id(), label, change, gesture === undefined ? undefined : `${this.id()} ${gesture}`);
  }

  private editCavity(label: string, change: (cavity: MoldCavity) => void, gesture?: string): void {
    const open = this.cavity();
    this.edit(
      label,
      (mold) => {
        const cavity = mold.cavities.find((candidate) => candidate.id === open?.id);
        if (cavity) change(cavity);
      },
      gesture && `${open?.id} ${gesture}`,
    );
  }
}
