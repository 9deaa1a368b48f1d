import { Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import { toObservable, takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { EMPTY, switchMap } from 'rxjs';
import type { DeskCommand, Thing } from '../../core/devices/desk-command';
import { draftPlan } from '../../core/plan/draft';
import { alike } from '../../core/record/merge';
import { Devices } from '../devices/devices';
import { StudyAccess } from '../state/study-access';
import { Units } from '../state/units';
import { text, weighedText } from '../wording/format';
import type { Option } from '../wording/option';
import { BenchRun } from './bench-run';
import { BenchView } from './bench-view';

/** What is put on the scale. */
export type Weighed = 'bowl' | 'dose' | 'shell';

/** What is left in a bowl is told to simulated devices when it has changed by so much, kg. */
const TOLD_STEP_KG = 0.005;
/** Less than this is an empty scale, kg. */
const EMPTY_KG = 0.0005;

/** Probe and scale at the bench: in which bowl the one is held, what lies on the other, and what of it is noted. */
@Injectable()
export class Measuring {
  private readonly bench = inject(BenchRun);
  private readonly view = inject(BenchView);
  private readonly devices = inject(Devices);
  private readonly study = inject(StudyAccess);
  private readonly units = inject(Units);
  readonly probe = this.devices.probe;
  readonly scale = this.devices.scale;

  /** Whether the devices are listened to: in a rehearsal from the beginning, else when it is wished. */
  readonly connected = signal(false);
  readonly chosenBowl = signal('');
  readonly weighed = signal<Weighed>('bowl');
  /** What came of the last reading. */
  readonly said = signal('');

  readonly bowls = computed<readonly Option<string>[]>(
    () => this.view.bowlsNow().map(({ bowl }) => ({ value: String(bowl), name: this.nameOf(bowl) })),
    { equal: alike },
  );
  /** Where the probe is held: as chosen, else in the first that is melted. */
  readonly bowl = computed(() => {
    const bowls = this.view.bowlsNow();
    return bowls.find(({ bowl }) => String(bowl) === this.chosenBowl()) ?? bowls.at(0);
  });
  readonly bowlName = computed(() => {
    const bowl = this.bowl();
    return bowl ? this.nameOf(bowl.bowl) : '';
  });

  /** What is dosed now, each, kg. */
  readonly doseKg = computed(() => {
    const run = this.bench.run();
    const [now] = this.bench.atHand()?.now ?? [];
    const [amount] = run && now ? run.tasks[now.task].amounts : [];
    return amount && (amount.pouredKg ?? amount.eachKg);
  });

  /** What was turned out last, and what its shell is to weigh. */
  readonly shell = computed(
    () => {
      const run = this.bench.run();
      const { doneS } = this.bench.state();
      const out = run?.tasks.filter(({ kind, key }) => kind === 'unmold' && doneS.has(key)).pop();
      const casting = run?.castings.find(({ id }) => id === out?.castingId);
      if (!out || !casting) return undefined;
      const draft = draftPlan(casting).parts[out.part ?? 0];
      return { task: out.key, casting, draft, kg: draft.coat.mass.value };
    },
    { equal: (a, b) => a?.task === b?.task },
  );

  readonly whats = computed<readonly Option<Weighed>[]>(() => [
    ...(this.bowl() ? [{ value: 'bowl' as const, name: `What is left of ${this.bowlName()}` }] : []),
    ...(this.doseKg() === undefined ? [] : [{ value: 'dose' as const, name: 'A dose' }]),
    ...(this.shell() ? [{ value: 'shell' as const, name: 'A shell, empty' }] : []),
  ]);
  readonly what = computed(
    () => this.whats().find(({ value }) => value === this.weighed())?.value ?? this.whats().at(0)?.value,
  );
  /** What the scale is to come to, kg. */
  readonly wantedKg = computed(() => {
    const what = this.what();
    return what === 'dose' ? this.doseKg() : what === 'shell' ? this.shell()?.kg : undefined;
  });

  constructor() {
    const rehearsed = computed(() => this.bench.run()?.rehearsal !== undefined);
    effect(() => {
      if (rehearsed()) this.connected.set(true);
    });
    toObservable(this.connected)
      .pipe(
        switchMap((connected) => (connected ? this.devices.listening : EMPTY)),
        takeUntilDestroyed(),
      )
      .subscribe();
    this.telling(() => ({ kind: 'speed', speed: this.bench.run()?.rehearsal ?? 1 }));
    this.telling(() => this.bowlTold());
    this.telling(() => ({ kind: 'things', things: this.things() }));
  }

  /** Notes what the probe shows, once it has settled. */
  noteTemperature(): void {
    const [{ settled: c, name: source }, bowl] = [this.probe(), this.bowl()];
    if (!bowl) return this.said.set('No bowl is melted, so there is none to measure.');
    if (c === undefined) return this.said.set('The probe has not settled yet. Hold it still, then press again.');
    void this.bench.note({ kind: 'temperature', bowl: bowl.bowl, c, by: 'probe', source });
    this.said.set(`Noted: ${this.nameOf(bowl.bowl)} at ${text(c, 'temperature', this.units.system())}.`);
  }

  /** Notes what lies on the scale, once it has settled. Of a dose nothing is noted: the next one begins at nothing. */
  async noteWeight(): Promise<void> {
    const [{ settled: kg, name: source, step }, what, bowl] = [this.scale(), this.what(), this.bowl()];
    if (what === 'dose') return this.tare();
    if (kg === undefined) return this.said.set('The scale has not settled yet. Let go of it, then press again.');
    const told = weighedText(kg, step, this.units.system());
    if (kg < EMPTY_KG) this.said.set('The scale shows nothing. Put on what is to be weighed, and press again.');
    else if (what === 'bowl' && bowl) {
      void this.bench.note({ kind: 'weight', bowl: bowl.bowl, kg, by: 'scale', source });
      this.said.set(`Noted: ${told} of ${this.nameOf(bowl.bowl)} are left.`);
    } else if (what === 'shell') await this.weighShell(kg, told, source);
    else this.said.set('Nothing is melted or turned out yet, so there is nothing to weigh for the run.');
  }

  tare(): void {
    this.devices.tell({ kind: 'tare' });
    this.said.set('Tared: what lies on the scale counts as nothing.');
  }

  /** What a shell weighs says how thick it has become. */
  private async weighShell(kg: number, told: string, source: string): Promise<void> {
    const shell = this.shell();
    if (!shell) return;
    this.said.set('Working out how thick it is…');
    const { part, coatsMade } = shell.draft;
    const outcome = await this.study.client.weigh(shell.casting, { part, coatsMade }, kg);
    if (!outcome) return this.said.set('How thick it is could not be worked out. Press again.');
    if (!outcome.ok) {
      const { lowKg, highKg } = outcome.problem;
      const between = [lowKg, highKg].map((one) => text(one, 'mass', this.units.system())).join(' and ');
      return this.said.set(`${told} is no shell of this mold: one weighs between ${between}. Is it one, and empty?`);
    }
    const { before, after } = outcome.found;
    void this.bench.note({ kind: 'thickness', task: shell.task, rimM: after.rimM, by: 'scale', source, kg });
    const [is, was] = [after.rimM, before.rimM].map((m) => text(m, 'length', this.units.system()));
    this.said.set(`Noted: ${told}, so a rim of ${is}${is === was ? ', as planned' : ` where ${was} were planned`}.`);
  }

  private nameOf(bowl: number): string {
    return this.bench.run()?.bowls[bowl]?.name ?? '';
  }

  private bowlTold(): DeskCommand {
    const [run, now] = [this.bench.run(), this.bowl()];
    if (!run || !now) return { kind: 'bowl' };
    const { chocolate, bowlHeat, lossWK, aroundC } = now.pot;
    const kg = Math.max(TOLD_STEP_KG, Math.round(now.leftKg / TOLD_STEP_KG) * TOLD_STEP_KG);
    const key = `${run.id.slice(0, 60)} ${now.bowl} ${now.meltedS}`;
    return {
      kind: 'bowl',
      bowl: { key, kg, chocolate, bowlHeat, lossWK, aroundC, startC: run.bowls[now.bowl].workingC },
    };
  }

  private things(): Thing[] {
    const bowls = this.view.bowlsNow().map(({ bowl, leftKg }) => ({
      name: `What is left of ${this.nameOf(bowl)}`,
      kg: Math.round(leftKg / TOLD_STEP_KG) * TOLD_STEP_KG,
      byHand: false,
    }));
    const [doseKg, shell] = [this.doseKg(), this.shell()];
    return [
      ...bowls.slice(0, 8),
      ...(doseKg === undefined ? [] : [{ name: 'A dose', kg: doseKg, byHand: true }]),
      ...(shell ? [{ name: 'A shell, empty', kg: shell.kg, byHand: true }] : []),
    ];
  }

  /** Tells simulated devices about the job, when it has changed; the tab that leads does. */
  private telling(what: () => DeskCommand): void {
    const command = computed(what, { equal: alike });
    effect(() => {
      const told = command();
      if (this.connected() && this.bench.loaded() && this.bench.lead.leads()) untracked(() => this.devices.tell(told));
    });
  }
}
