import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { FINDINGS, SEEN_AT, type SeenAt } from '../../core/clinic/findings';
import type { Question } from '../../core/clinic/questions';
import { knownOf, nextQuestion, suspects, type Known } from '../../core/clinic/reasoning';
import { CastingStore } from '../state/casting-store';
import { PlanService } from '../state/plan-service';
import { Units } from '../state/units';
import { ChoiceList } from '../ui/choice-list';
import { Gone } from '../ui/gone';
import { UndoRedo } from '../ui/undo-redo';
import { FINDING_TEXTS, SEEN_AT_NAMES, questionText } from '../wording/clinic';
import { CAUSE_TEXTS } from '../wording/clinic-causes';
import { QUESTION_TEXTS } from '../wording/clinic-questions';
import { CauseCard } from './cause-card';
import { FindingDrawing } from './finding-drawing';

/** So many causes are told at length; those behind are likelier than this where they are named at all. */
const TOLD = 3;
const WORTH_NAMING = 0.02;

/** What is wrong with a piece, why that may be, and what to do: by its looks, by answers, and by the plan of the casting where one is named. */
@Component({
  selector: 'ks-clinic-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [CauseCard, ChoiceList, FindingDrawing, Gone, NzButtonComponent, RouterLink, UndoRedo],
  templateUrl: './clinic-page.html',
  styleUrl: './clinic-page.less',
})
export class ClinicPage {
  private readonly store = inject(CastingStore);
  private readonly plans = inject(PlanService);
  private readonly units = inject(Units);
  private readonly router = inject(Router);
  /** The casting it is about, and what is seen on it, as the address says. */
  readonly id = input<string>();
  readonly seen = input<string>();

  protected readonly casting = this.store.current;
  protected readonly finding = computed(() => FINDINGS.find((one) => one === this.seen()));
  protected readonly groups = (Object.keys(SEEN_AT_NAMES) as SeenAt[]).map((at) => ({
    name: SEEN_AT_NAMES[at],
    findings: FINDINGS.filter((one) => SEEN_AT[one] === at).map((key) => ({ key, ...FINDING_TEXTS[key] })),
  }));
  protected readonly named = computed(() => {
    const finding = this.finding();
    return finding && { key: finding, ...FINDING_TEXTS[finding] };
  });

  protected readonly plan = computed(() => (this.id() === undefined ? undefined : this.plans.plan()));
  protected readonly castings = computed(() => [
    { value: '', name: 'None of mine' },
    ...this.store.castings().map(({ id, name }) => ({ value: id, name })),
  ]);

  /** Answers given here, as long as it is the same thing that is seen; nothing where somebody does not know. */
  private readonly given = linkedSignal<unknown, ReadonlyMap<Question, boolean | undefined>>({
    source: computed(() => `${this.seen()} ${this.id()}`),
    computation: () => new Map(),
  });
  private readonly ofPlan = computed<Known>(() => {
    const plan = this.plan();
    return plan ? knownOf(plan) : { answers: new Map() };
  });
  private readonly known = computed<Known>(() => {
    const answers = new Map(this.ofPlan().answers);
    for (const [question, is] of this.given()) if (is !== undefined) answers.set(question, is);
    return { ...this.ofPlan(), answers };
  });

  protected readonly question = computed(() => {
    const finding = this.finding();
    const unknown = [...this.given()].flatMap(([question, is]) => (is === undefined ? [question] : []));
    const next = finding && nextQuestion(finding, this.known(), new Set(unknown));
    return next && { key: next, asks: questionText(next, this.units.system()) };
  });
  protected readonly answered = computed(() =>
    [...this.given()].map(([key, is]) => ({
      key,
      says:
        is === undefined
          ? `not known: ${questionText(key, this.units.system())}`
          : QUESTION_TEXTS[key][is ? 'yes' : 'no'],
    })),
  );

  private readonly suspected = computed(() => {
    const finding = this.finding();
    return finding ? suspects(finding, this.known()) : [];
  });
  protected readonly told = computed(() => this.suspected().slice(0, TOLD));
  protected readonly likeliest = computed(() => {
    const [first] = this.suspected();
    return first ? CAUSE_TEXTS[first.cause].name : '';
  });
  protected readonly others = computed(() =>
    this.suspected()
      .slice(TOLD)
      .filter(({ share }) => share >= WORTH_NAMING)
      .map(({ cause }) => CAUSE_TEXTS[cause].name)
      .join('; '),
  );

  protected about(id: string): void {
    void this.router.navigate(id ? ['/casting', id, 'clinic'] : ['/clinic'], { queryParams: { seen: this.seen() } });
  }

  protected answer(question: Question, is: boolean | undefined): void {
    this.given.update((given) => new Map(given).set(question, is));
  }

  protected forget(question: Question): void {
    this.given.update((given) => new Map([...given].filter(([key]) => key !== question)));
  }
}
