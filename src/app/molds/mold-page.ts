import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { byPoints, type TurnedPoint } from '../../core/cavity/shape';
import type { LibraryMold, MoldCavity } from '../../core/record/mold';
import { MoldLibrary } from '../state/mold-library';
import { Gone } from '../ui/gone';
import { ProfileEditor } from '../ui/profile-editor';
import { RecordHeader } from '../ui/record-header';
import { CavityAnswers } from './cavity-answers';
import { CavityFields } from './cavity-fields';
import { MoldCare } from './mold-care';
import { MoldFields } from './mold-fields';
import { MoldSheet } from './mold-sheet';
import { MoldSize } from './mold-size';
import { FieldScope } from '../ui/field-scope';

/** One mold of the library: its cavities by formula or by points, how they lie and come together, and what a cavity comes to. */
@Component({
  selector: 'ks-mold-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    CavityAnswers,
    CavityFields,
    FieldScope,
    Gone,
    MoldCare,
    MoldFields,
    MoldSheet,
    MoldSize,
    NzButtonComponent,
    ProfileEditor,
    RecordHeader,
    RouterLink,
  ],
  templateUrl: './mold-page.html',
  styleUrl: './mold-page.less',
})
export class MoldPage {
  protected readonly library = inject(MoldLibrary);
  private readonly router = inject(Router);

  /** Route parameter. */
  readonly id = input.required<string>();

  protected readonly mold = computed(() => this.library.byId().get(this.id()));
  private readonly openCavity = signal<string | undefined>(undefined);
  protected readonly cavity = computed(() => {
    const cavities = this.mold()?.cavities ?? [];
    return cavities.find((cavity) => cavity.id === this.openCavity()) ?? cavities[0];
  });
  protected readonly byPoints = byPoints;
  protected readonly usedBy = computed(() => this.library.usedBy(this.id()));

  protected open(cavityId: string): void {
    this.openCavity.set(cavityId);
  }

  protected setName(name: string): void {
    this.library.edit(this.id(), 'name', (mold) => (mold.name = name), `${this.id()} name`);
  }

  protected setPoints(
    { id }: MoldCavity,
    { points, gesture }: { readonly points: readonly TurnedPoint[]; readonly gesture: string },
  ): void {
    this.library.editCavity(
      this.id(),
      id,
      'profile',
      ({ shape }) => {
        const pointed = byPoints(shape);
        if (pointed) pointed.points = points.map((point) => ({ ...point }));
      },
      `profile ${gesture}`,
    );
  }

  protected copy(mold: LibraryMold): void {
    void this.router.navigate(['/molds', this.library.copy(mold).id]);
  }

  protected remove(mold: LibraryMold): void {
    this.library.remove(mold);
    void this.router.navigateByUrl('/molds');
  }
}
