import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { planSchool, workingBy } from '../../../core/melt/schools';
import { madeOf, schoolsFor } from '../../../core/plan/melts';
import type { School } from '../../../core/record/school';
import { OpenMelt } from '../../state/open-melt';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { ChoiceList } from '../../ui/choice-list';
import { Figure } from '../../ui/figure';
import { TemperatureChart, type ChartCurve } from '../../ui/temperature-chart';
import { timesText } from '../../wording/format';
import { SCHOOL_NAMES, VESSEL_NAMES } from '../../wording/names';
import { chartBands, planInBrief, schoolRisk, stepWordings } from '../../wording/melting';
import { MeltSteps } from './melt-steps';

const ALONE = 'none';

/** From solid chocolate to a bowl that is right: its figures, the curve of temperature over time, what to do step by step. */
@Component({
  selector: 'ks-melt-plan',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceList, Figure, MeltSteps, NzButtonComponent, RouterLink, TemperatureChart],
  templateUrl: './melt-plan.html',
  styleUrl: './melt-plan.less',
})
export class MeltPlanView {
  private readonly plans = inject(PlanService);
  private readonly open = inject(OpenMelt);
  private readonly units = inject(Units);
  protected readonly made = computed(() => {
    const plan = this.plans.plan();
    const made = madeOf(plan, this.open.id());
    return plan && made && { ...made, castingId: plan.casting.id };
  });
  private readonly wanted = signal<School | typeof ALONE>(ALONE);

  private readonly school = computed(() => this.made()?.input.school);
  private before: School | undefined;

  protected readonly steps = computed(() => {
    const made = this.made();
    if (!made) return [];
    return stepWordings(made.plan.steps, made.input.way, this.units.system());
  });
  protected readonly vessel = computed(() => VESSEL_NAMES[this.made()?.input.way ?? 'microwave']);
  protected readonly others = computed(() => {
    const made = this.made();
    const schools = made
      ? schoolsFor(made.input.way, made.input.kind).filter((school) => school !== made.input.school)
      : [];
    return [
      { value: ALONE as School | typeof ALONE, name: 'no other school' },
      ...schools.map((value) => ({ value: value as School | typeof ALONE, name: SCHOOL_NAMES[value] })),
    ];
  });
  protected readonly against = computed(() =>
    this.others().some(({ value }) => value === this.wanted()) ? this.wanted() : ALONE,
  );
  private readonly other = computed(() => {
    const made = this.made();
    const school = this.against();
    return made && school !== ALONE
      ? planSchool(
          { ...made.input, workingC: workingBy(school, made.input.workingC, made.input.bands), kg: made.perLotKg },
          school,
        )
      : undefined;
  });
  protected readonly compared = computed(() => {
    const made = this.made();
    const other = this.other();
    if (!made || !other) return undefined;
    const system = this.units.system();
    return [made.plan, other].map((plan) => ({
      name: SCHOOL_NAMES[plan.school],
      ...planInBrief(plan, system),
      risk: schoolRisk(plan.school, made.input.kind),
      steps: stepWordings(plan.steps, made.input.way, system),
    }));
  });
  protected readonly curves = computed<readonly ChartCurve[]>(() => {
    const made = this.made();
    const other = this.other();
    if (!made) return [];
    return [
      { name: SCHOOL_NAMES[made.plan.school], points: made.plan.curve },
      ...(other ? [{ name: SCHOOL_NAMES[other.school], points: other.curve, second: true }] : []),
    ];
  });
  protected readonly again = computed(() => {
    const made = this.made();
    return made ? timesText(made.reheats, this.units.system()) : '';
  });
  protected readonly bands = computed(() => {
    const made = this.made();
    if (!made) return [];
    const { kind, bands, workingC } = made.input;
    // Melted gently it is out of temper where all of it has melted, whatever the packet's margin.
    const ceilingC = made.plan.lumps > 0 ? Math.max(bands.ceilingC, made.plan.ceilingC) : bands.ceilingC;
    return chartBands(kind, { ...bands, ceilingC }, this.units.system(), workingC);
  });

  constructor() {
    // Where another school is taken, the one before stands beside it.
    effect(() => {
      const school = this.school();
      if (school === undefined) return;
      if (this.before !== undefined && this.before !== school) this.wanted.set(this.before);
      this.before = school;
    });
  }

  protected compare(school: School | typeof ALONE): void {
    this.wanted.set(school);
  }
}
