import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { byPoints, type CavityShape } from '../../../core/cavity/shape';
import { MOLD_MATERIALS, MOLD_MATTER, type MoldMaterial } from '../../../core/matter/mold-material';
import { castIn } from '../../../core/edit/parts';
import { castingMold, moldDiffers } from '../../../core/record/copies';
import type { Composition, Mold, MoldCavity } from '../../../core/record/mold';
import { careOf, careWanted } from '../../../core/record/mold-care';
import { cavityCount, gridOf } from '../../../core/record/mold-cavities';
import { cavityRecordOf } from '../../../core/record/references';
import { OpenPart } from '../../state/open-part';
import { MoldLibrary } from '../../state/mold-library';
import { PlanService } from '../../state/plan-service';
import { AmountField } from '../../ui/amount-field';
import { PartList } from '../parts/part-list';
import { ChoiceList } from '../../ui/choice-list';
import { Answers } from '../../ui/answers';
import { ShapeFields } from '../../ui/shape-fields';
import { Cautions } from '../cautions/cautions';
import { capital } from '../../wording/format';
import { MATERIAL_NAMES } from '../../wording/names';
import { CARE_NAMES, COMPOSITION_NAMES, SHAPE_NAMES } from '../../wording/shapes';
import { moldAnswers } from './mold-answers';
import { MugFields } from './mug-fields';
import { PrepList } from './prep-list';
import { CopyOffer } from '../offers/copy-offer';
import { FieldScope } from '../../ui/field-scope';

/** Which mold, how many, its cavities; and what a cavity comes to. */
@Component({
  selector: 'ks-mold-station',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AmountField,
    Answers,
    Cautions,
    ChoiceList,
    CopyOffer,
    FieldScope,
    MugFields,
    NzButtonComponent,
    PartList,
    PrepList,
    RouterLink,
    ShapeFields,
  ],
  templateUrl: './mold-station.html',
  styleUrl: '../station.less',
})
export class MoldStation {
  private readonly open = inject(OpenPart);
  protected readonly library = inject(MoldLibrary);
  protected readonly plan = inject(PlanService).draft;
  protected readonly materials = MOLD_MATERIALS.map((value) => ({ value, name: MATERIAL_NAMES[value] }));
  protected readonly cavity = computed(() => {
    const plan = this.plan();
    return plan && cavityRecordOf(plan.moldRecord, plan.part);
  });
  protected readonly shown = computed(() => {
    const plan = this.plan();
    const cavity = this.cavity();
    return plan && cavity && { plan, cavity };
  });
  /** The library's molds, and the casting's own copy where the library has none of it. */
  protected readonly molds = computed(() => {
    const own = this.plan()?.moldRecord;
    const listed = this.library
      .molds()
      .map(({ id, name, composition }) => ({ value: id, name, group: COMPOSITION_NAMES[composition.kind] }));
    return own && !listed.some((option) => option.value === own.id)
      ? [{ value: own.id, name: this.library.loaded() ? `${own.name} (this casting’s own)` : own.name }, ...listed]
      : listed;
  });
  /** The library holds a later state of this mold. */
  protected readonly newer = computed(() => {
    const own = this.plan()?.moldRecord;
    const there = own && this.library.byId().get(own.id);
    return there && own && moldDiffers(there, own) ? there : undefined;
  });
  protected readonly cavities = computed(() =>
    (this.plan()?.moldRecord.cavities ?? []).map(({ id, name }) => ({ value: id, name })),
  );
  protected readonly care = computed(() => {
    const plan = this.plan();
    if (!plan) return '';
    const { moldRecord: mold, coatsMade } = plan;
    const wanted = careWanted(
      mold.care,
      coatsMade.map(({ method }) => method),
    )
      .map((care) => CARE_NAMES[care])
      .join(', ');
    const dry = MOLD_MATTER[mold.material].rigid
      ? 'Bone dry: a water spot prints as a dull spot.'
      : 'Bone dry: any moisture ruins chocolate.';
    return `${wanted ? `${capital(wanted)}. ` : ''}${dry}`;
  });
  protected readonly together = computed(() => {
    const mold = this.plan()?.moldRecord;
    if (!mold) return '';
    const { composition } = mold;
    const joined = composition.kind === 'press' && composition.joined ? ' Two of them are joined at the rim.' : '';
    return COMPOSITION_TEXTS[composition.kind] + joined;
  });
  /** What a shape by points comes from, and where it is drawn. */
  protected readonly pointed = computed(() => {
    const cavity = this.cavity();
    const shape = cavity && byPoints(cavity.shape);
    if (!shape) return undefined;
    const count = `${shape.points.length} points`;
    return shape.kind === 'turned'
      ? { text: `Turned from ${count}.`, drawIt: 'Draw its profile' }
      : { text: `Half its outline goes through ${count}.`, drawIt: 'Draw its outline' };
  });
  protected readonly computedOn = computed(() => {
    const plan = this.plan();
    const shape = this.cavity()?.shape;
    if (!plan || !shape || !plan.cavity.equivalent) return '';
    const why =
      shape.kind === 'measured'
        ? 'Only its volume, width and depth are known'
        : `A ${SHAPE_NAMES[shape.kind]} is not turned about an axis`;
    return `${why}: coats, chill and section stand on the turned body that has the same room at every height, with the true wall counted.`;
  });
  protected readonly answers = computed(() => {
    const plan = this.plan();
    return plan ? moldAnswers(plan.mold, plan.cavity.outward) : [];
  });

  protected choose(moldId: string): void {
    const mold = this.library.byId().get(moldId);
    if (mold) this.open.edit('mold', ({ id }, casting) => castIn(casting, id, castingMold(mold)));
  }

  /** Takes the library's present state of the mold that is cast in, over this casting's copy. */
  protected renew(mold: Mold): void {
    this.open.edit('mold', ({ id }, casting) => castIn(casting, id, castingMold(mold), true));
  }

  protected chooseCavity(cavityId: string): void {
    this.open.edit('cavity', (part) => (part.cavityId = cavityId));
  }

  protected setShape({ shape, key }: { readonly shape: CavityShape; readonly key: string }): void {
    this.edit(
      'cavity shape',
      (_, cavity) => (cavity.shape = structuredClone(shape) as MoldCavity['shape']),
      `shape ${key}`,
    );
  }

  protected setCavities(count: number): void {
    this.edit('cavities', (_, cavity) => Object.assign(cavity, gridOf(count)));
  }

  protected setAtHand(count: number): void {
    this.edit('molds at hand', (mold) => (mold.atHand = count));
  }

  protected setWall(wallM: number): void {
    this.edit('mold wall', (mold) => (mold.wallM = wallM));
  }

  protected setGap(gapM: number): void {
    this.edit('gap', (mold) => {
      if (mold.composition.kind === 'press') mold.composition.gap = { by: 'width', gapM };
    });
  }

  protected setMaterial(material: MoldMaterial): void {
    this.edit('mold material', (mold) => {
      mold.care = careOf(mold.material, mold.care, material);
      mold.material = material;
      mold.wallM = MOLD_MATTER[material].usualWallM;
    });
  }

  protected count(cavity: MoldCavity): number {
    return cavityCount(cavity);
  }

  private edit(label: string, change: (mold: Mold, cavity: MoldCavity) => void, gesture = label): void {
    this.open.edit(
      label,
      (part, casting) => {
        const mold = casting.molds.find((candidate) => candidate.id === part.moldId);
        const cavity = mold?.cavities.find((candidate) => candidate.id === part.cavityId);
        if (mold && cavity) change(mold, cavity);
      },
      gesture,
    );
  }
}

const COMPOSITION_TEXTS: Readonly<Record<Composition['kind'], string>> = {
  single: '',
  halves: `A piece is ${COMPOSITION_NAMES.halves} at the rim.`,
  figure: 'A piece is one front and one back, closed on their register.',
  press: 'The insert is pressed in until chocolate reaches the rim all round: the shell is the gap.',
  former: 'Coated on its outside; what is inside comes out through the opening.',
  assembly: 'A piece takes several parts.',
};
