import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { BOWL_MATTER } from '../../../core/matter/bowl-material';
import { nearestClass } from '../../../core/matter/chocolate';
import { thinnerKg } from '../../../core/matter/thinning';
import { workingBy } from '../../../core/melt/schools';
import { inBowl, madeOf, schoolOf, schoolsFor } from '../../../core/plan/melts';
import type { Melt } from '../../../core/record/casting';
import {
  JACKETS,
  MELTING_WAYS,
  THINNERS,
  type Jacket,
  type MeltingWay,
  type Thinner,
} from '../../../core/record/choices';
import { schoolRow, type School } from '../../../core/record/school';
import { LIMITS } from '../../../core/record/limits';
import { chocolateOf } from '../../../core/record/references';
import { workingEffect } from '../../../core/study/working-effect';
import { CastingStore } from '../../state/casting-store';
import { OpenMelt } from '../../state/open-melt';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { AmountField } from '../../ui/amount-field';
import { ChoiceList } from '../../ui/choice-list';
import { Pick } from '../../ui/pick';
import { text, written } from '../../wording/format';
import { FLUIDITY_NAMES, JACKET_NAMES, SCHOOL_NAMES, THINNER_NAMES, WAY_NAMES } from '../../wording/names';

const NO_THINNER = 'none';
type ThinnerChoice = Thinner | typeof NO_THINNER;
const USUAL_THINNER = 0.02;
/** How a microwave is usually set, each with bursts as long as keep every spot cool enough. Common practice, no source. */
const POWERS = [
  { value: '1', name: 'full, short' },
  { value: '0.8', name: '80 %' },
  { value: '0.5', name: 'half, long' },
];
/** A difference that nobody sees, m. */
const UNSEEN_M = 5e-6;

/** How a melt is made and kept: melted in what, tempered by which school, how warm it is worked, thinned with what. */
@Component({
  selector: 'ks-melt-making',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, Pick],
  templateUrl: './melt-making.html',
  styleUrl: '../station.less',
  styles: ':host { display: grid; gap: 10px; }',
})
export class MeltMaking {
  private readonly store = inject(CastingStore);
  private readonly units = inject(Units);
  private readonly plans = inject(PlanService);
  private readonly open = inject(OpenMelt);
  private readonly part = inject(OpenPart);
  protected readonly ways = MELTING_WAYS.map((value) => ({ value, name: WAY_NAMES[value] }));
  protected readonly jackets = JACKETS.map((value) => ({ value, name: JACKET_NAMES[value] }));
  protected readonly pouring = [
    { value: 'no' as const, name: 'in that bowl' },
    { value: 'yes' as const, name: 'in a second, cool bowl' },
  ];
  protected readonly thinners = [
    { value: NO_THINNER as ThinnerChoice, name: 'nothing' },
    ...THINNERS.map((value) => ({ value: value as ThinnerChoice, name: THINNER_NAMES[value] })),
  ];
  /** What is chosen follows at once; what comes of it follows with the plan. */
  private readonly draft = this.plans.draft;
  private readonly made = computed(() => madeOf(this.plans.plan(), this.open.id()));
  protected readonly melt = computed(() => {
    const draft = this.draft();
    return draft && draft.casting.melts.find(({ id }) => id === this.open.id());
  });
  private readonly chocolate = computed(() => {
    const draft = this.draft();
    const melt = this.melt();
    return draft && melt && chocolateOf(draft.casting, melt);
  });
  protected readonly bowls = computed(() => {
    const way = this.melt()?.way;
    return (this.draft()?.casting.kitchen.bowls ?? []).map(({ id, name, material }) => ({
      value: id,
      name: way === 'microwave' && !BOWL_MATTER[material].microwave ? `${name} (not for the microwave)` : name,
    }));
  });
  protected readonly inBowl = computed(() => inBowl(this.melt()?.way ?? 'microwave'));
  protected readonly schools = computed(() =>
    schoolsFor(this.melt()?.way ?? 'microwave', this.chocolate()?.kind ?? 'dark')
      // A record may be melted by a school that is not for its chocolate.
      .concat(this.school())
      .filter((value, i, all) => all.indexOf(value) === i)
      .map((value) => ({ value, name: SCHOOL_NAMES[value] })),
  );
  protected readonly school = computed<School>(() => {
    const melt = this.melt();
    return melt ? schoolOf(melt) : 'seeding';
  });
  protected readonly seeds = computed(() => schoolRow(this.school()).seed !== 'none');
  protected readonly powers = POWERS;
  protected readonly power = computed(() => String(this.melt()?.power ?? ''));
  protected readonly bandText = computed(() => {
    const chocolate = this.chocolate();
    const system = this.units.system();
    return chocolate
      ? `${written(chocolate.workFromC, 'temperature', system).number} to ${text(chocolate.workToC, 'temperature', system)}; the packet wins`
      : '';
  });
  /** What working it cooler or warmer than the middle of its band does to the rim; beside the middle, what a degree less would do. */
  protected readonly effect = computed(() => {
    const plan = this.plans.plan();
    const made = this.made();
    if (!plan || !made) return '';
    const { bands, workingC, meltId } = made.input;
    const middle = (bands.workFromC + bands.workToC) / 2;
    const away = Math.abs(workingC - middle) >= 0.25;
    const { rimM, otherC, otherRimM } = workingEffect(
      plan.casting,
      meltId,
      away ? middle : Math.max(LIMITS.workingC.low, workingC - 1),
      this.part.id(),
    );
    const system = this.units.system();
    const hundredth = (m: number): string =>
      system === 'us' ? `${(Math.abs(m) / 0.0254).toFixed(3)} in` : `${(Math.abs(m) * 1e3).toFixed(2)} mm`;
    const other = text(otherC, 'temperature', system);
    if (Math.abs(rimM - otherRimM) < UNSEEN_M)
      return `At ${other} the rim would come out the same: what is spooned or pressed stays.`;
    if (away)
      return `Here the rim comes out ${hundredth(rimM - otherRimM)} ${rimM >= otherRimM ? 'thicker' : 'thinner'} than at ${other}.`;
    return `At ${other} the rim would come out ${hundredth(otherRimM - rimM)} ${otherRimM >= rimM ? 'thicker' : 'thinner'}.`;
  });
  protected readonly thinnerText = computed(() => {
    const melt = this.melt();
    const made = this.made();
    const chocolate = this.chocolate();
    if (!melt?.thinning || !made || !chocolate) return '';
    const grams = text(thinnerKg(made.input.totalKg, melt.thinning.share), 'mass', this.units.system());
    return `${grams} in all, melted in with it. It then runs ${FLUIDITY_NAMES[nearestClass(chocolate.fluidity)]}: a working rule. Never water: it seizes.`;
  });

  protected setWay(way: MeltingWay): void {
    this.change('how it is melted', (melt) => (melt.way = way));
  }

  protected setSchool(school: School): void {
    const bands = this.made()?.input.bands;
    this.change('school', (melt) => {
      melt.school = school;
      if (bands) melt.workingC = Math.max(LIMITS.workingC.low, workingBy(school, melt.workingC, bands));
    });
  }

  protected setWorking(workingC: number): void {
    this.change('working temperature', (melt) => (melt.workingC = workingC), 'working temperature');
  }

  protected setPower(power: number): void {
    this.change('power', (melt) => (melt.power = power), 'power');
  }

  protected setBursts(power: string): void {
    this.setPower(Number(power));
  }

  protected setBowl(bowlId: string): void {
    this.change('bowl', (melt) => (melt.bowlId = bowlId));
  }

  protected setCoolBowl(choice: 'yes' | 'no'): void {
    this.change('bowl for seeding', (melt) => (melt.coolBowl = choice === 'yes'));
  }

  protected setJacket(jacket: Jacket): void {
    this.change('kept warm', (melt) => (melt.jacket = jacket));
  }

  protected setThinner(fat: ThinnerChoice): void {
    this.change('thinning', (melt) => {
      if (fat === NO_THINNER) delete melt.thinning;
      else melt.thinning = { fat, share: melt.thinning?.share ?? USUAL_THINNER };
    });
  }

  protected setThinnerShare(share: number): void {
    this.change(
      'thinning',
      (melt) => {
        if (melt.thinning) melt.thinning.share = share;
      },
      'thinning share',
    );
  }

  private change(label: string, change: (melt: Melt) => void, gesture?: string): void {
    const id = this.melt()?.id;
    this.store.edit(
      label,
      (casting) => {
        const melt = casting.melts.find((candidate) => candidate.id === id);
        if (melt) change(melt);
      },
      gesture && `${gesture} ${id}`,
    );
  }
}
