import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { Subject, from, map, of, switchMap, takeUntil, timer, type Observable } from 'rxjs';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzInputDirective } from 'ng-zorro-antd/input';
import { adviseBy } from '../../core/melt/thermometer-advice';
import { THERMOMETER_C, readReadings, withReading, writeReadings, type Readings } from '../../core/melt/thermometer';
import { madeOf } from '../../core/plan/melts';
import type { LogRead } from '../../core/melt/read-log';
import { displayUnit } from '../../core/quantity/display-unit';
import { parseAmount } from '../../core/quantity/parse-amount';
import { UNITS } from '../../core/quantity/units';
import type { Melt } from '../../core/record/casting';
import { meltOf } from '../../core/record/references';
import { readLogIn, type LogOutcome } from '../../workers/log-client';
import { CastingStore } from '../state/casting-store';
import { OpenMelt } from '../state/open-melt';
import { PlanService } from '../state/plan-service';
import { saveFile } from '../state/save-file';
import { Units } from '../state/units';
import { Gone } from '../ui/gone';
import { Labelled } from '../ui/labelled';
import { PageHeader } from '../ui/page-header';
import { TemperatureChart } from '../ui/temperature-chart';
import { UndoRedo } from '../ui/undo-redo';
import { FileDrop } from '../ui/file-drop';
import { FileField } from '../ui/file-field';
import { amountProblemText } from '../wording/fields';
import { text } from '../wording/format';
import { adviceText, chartBands, logProblemText, logRefusedText } from '../wording/melting';
import { SCHOOL_NAMES } from '../wording/names';
import { momentText } from '../wording/times';
import { START_LOG_WORKER } from './log-worker';
import { ReadingsTable } from './readings-table';
import { TemperTest } from './temper-test';

const LARGEST_BYTES = 30_000_000;
const TEMPERATURE_LIMIT = { dimension: 'temperature', ...THERMOMETER_C } as const;

/** The thermometer beside the bowl: readings by hand or from a file over the planned curve, and what to do now. */
@Component({
  selector: 'ks-thermometer-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FileDrop,
    FileField,
    Gone,
    Labelled,
    NzButtonComponent,
    NzInputDirective,
    PageHeader,
    ReadingsTable,
    TemperatureChart,
    TemperTest,
    UndoRedo,
  ],
  templateUrl: './thermometer-page.html',
  styleUrl: './thermometer-page.less',
})
export class ThermometerPage {
  private readonly store = inject(CastingStore);
  private readonly plans = inject(PlanService);
  private readonly open = inject(OpenMelt);
  private readonly units = inject(Units);
  private readonly startWorker = inject(START_LOG_WORKER);

  /** Route parameter. */
  readonly id = input.required<string>();

  protected readonly casting = this.store.current;
  protected readonly typed = signal('');
  protected readonly wrong = signal('');
  protected readonly reading = signal('');
  private readonly cancelled = new Subject<void>();
  private readonly files = new Subject<File>();
  protected readonly found = signal<{ readonly name: string; readonly outcome: LogOutcome } | undefined>(undefined);
  private readonly now = toSignal(timer(0, 1000).pipe(map(() => Date.now())), { initialValue: Date.now() });

  protected readonly made = computed(() => madeOf(this.plans.plan(), this.open.id()));
  protected readonly melt = computed(() => {
    const casting = this.casting();
    const made = this.made();
    return casting && made && meltOf(casting, made.input.meltId);
  });
  protected readonly readings = computed<Readings | undefined>(() => {
    const log = this.melt()?.thermometer;
    return log && readReadings(log.readings);
  });
  protected readonly curves = computed(() => {
    const plan = this.made()?.plan;
    return plan ? [{ name: SCHOOL_NAMES[plan.school], points: plan.curve }] : [];
  });
  protected readonly bands = computed(() => {
    const made = this.made();
    return made ? chartBands(made.input.kind, made.input.bands, this.units.system(), made.input.workingC) : [];
  });
  protected readonly advice = computed(() => {
    const made = this.made();
    if (!made) return undefined;
    const { kind, school, bands, workingC } = made.input;
    return adviceText(
      adviseBy(
        this.readings() ?? { seconds: new Float64Array(), celsius: new Float64Array() },
        kind,
        school,
        bands,
        workingC,
      ),
      this.units.system(),
    );
  });
  protected readonly about = computed(() => {
    const log = this.melt()?.thermometer;
    const readings = this.readings();
    const zone = this.casting()?.due.zone;
    if (!log || !readings || !zone) return '';
    const n = readings.celsius.filter((c) => !Number.isNaN(c)).length;
    const last = readings.seconds[readings.seconds.length - 1] ?? 0;
    return `${n} ${n === 1 ? 'reading' : 'readings'} over ${text(last, 'duration', 'metric')}, ${log.name ? `from “${log.name}”` : `by hand, begun ${momentText(Date.parse(log.startedAt) / 1000, zone)}`}`;
  });
  /** Time since the first reading, as the next one is noted under. */
  protected readonly elapsed = computed(() => {
    const log = this.melt()?.thermometer;
    if (!log) return '';
    const s = Math.max(0, Math.floor((this.now() - Date.parse(log.startedAt)) / 1000));
    return s < 6 * 3600 ? `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')} since the first` : '';
  });
  protected readonly placeholder = computed(() => (this.units.system() === 'us' ? 'like 88.5' : 'like 31.5'));
  protected readonly refused = computed(() => {
    const found = this.found();
    if (!found || found.outcome.ok) return '';
    return found.outcome.problem === 'failed'
      ? 'The reader does not start in this browser. Nothing was changed; type the readings by hand, or try again.'
      : logRefusedText(found.outcome, found.name);
  });
  protected readonly read = computed(() => {
    const found = this.found();
    if (!found?.outcome.ok) return undefined;
    const { readings, timeColumn, temperatureColumn, unit, problems } = found.outcome;
    const last = readings.seconds[readings.seconds.length - 1] ?? 0;
    return {
      outcome: found.outcome,
      name: found.name,
      line: `${readings.seconds.length} readings over ${text(last, 'duration', 'metric')}: time from “${timeColumn}”, temperature from “${temperatureColumn}” in °${unit}.`,
      problems: problems.map(logProblemText),
    };
  });

  constructor() {
    this.files
      .pipe(
        switchMap((file) => this.outcomeOf(file)),
        takeUntilDestroyed(),
      )
      .subscribe((found) => {
        this.reading.set('');
        this.found.set(found);
      });
  }

  protected note(): void {
    const typed = this.typed();
    const parsed = parseAmount(
      typed,
      ['temperature'],
      displayUnit('temperature', this.units.system()) ?? UNITS.celsius,
    );
    if (!parsed.ok || parsed.value < THERMOMETER_C.low || parsed.value > THERMOMETER_C.high) {
      this.wrong.set(
        amountProblemText(parsed.ok ? { problem: 'outOfRange' } : parsed, [TEMPERATURE_LIMIT], this.units.system()),
      );
      return;
    }
    this.wrong.set('');
    this.typed.set('');
    const at = Date.now();
    this.change('reading', (melt) => {
      const log = melt.thermometer;
      if (!log)
        melt.thermometer = {
          name: '',
          startedAt: new Date(at).toISOString(),
          readings: writeReadings({ seconds: new Float64Array([0]), celsius: new Float64Array([parsed.value]) }),
        };
      else
        log.readings = writeReadings(
          withReading(
            readReadings(log.readings),
            Math.max(0, Math.round((at - Date.parse(log.startedAt)) / 1000)),
            parsed.value,
          ),
        );
    });
  }

  protected drop(seconds: number): void {
    this.change('reading taken out', (melt) => {
      const log = melt.thermometer;
      if (!log) return;
      const { seconds: all, celsius } = readReadings(log.readings);
      const keep = Array.from(all.keys()).filter((i) => all[i] !== seconds);
      if (keep.length === 0) delete melt.thermometer;
      else
        log.readings = writeReadings({
          seconds: Float64Array.from(keep, (i) => all[i]),
          celsius: Float64Array.from(keep, (i) => celsius[i]),
        });
    });
  }

  protected look(file: File): void {
    this.found.set(undefined);
    this.reading.set(file.name);
    this.files.next(file);
  }

  protected cancel(): void {
    this.cancelled.next();
    this.reading.set('');
  }

  protected take(outcome: LogRead, name: string): void {
    this.found.set(undefined);
    this.change('readings from a file', (melt) => {
      // The file's last reading counts as one of now, so that readings by hand go on from there.
      const { seconds } = outcome.readings;
      const startedAt = new Date(Date.now() - (seconds[seconds.length - 1] ?? 0) * 1000).toISOString();
      melt.thermometer = { name: name.slice(0, 120), startedAt, readings: writeReadings(outcome.readings) };
    });
  }

  protected forget(): void {
    this.found.set(undefined);
  }

  protected clear(): void {
    this.change('all readings', (melt) => delete melt.thermometer);
  }

  protected export(): void {
    const readings = this.readings();
    const casting = this.casting();
    if (readings && casting)
      saveFile(
        `Kilnstone ${casting.name} thermometer.csv`,
        'text/csv',
        `seconds,celsius\n${writeReadings(readings)}\n`,
      );
  }

  private outcomeOf(file: File): Observable<{ readonly name: string; readonly outcome: LogOutcome }> {
    if (file.size > LARGEST_BYTES)
      return of({ name: file.name, outcome: { ok: false, problem: 'tooLong', detail: 'far too many' } });
    const outcome = from(file.text()).pipe(
      switchMap((content) => readLogIn(this.startWorker, content)),
      map((read) => ({ name: file.name, outcome: read })),
    );
    return outcome.pipe(takeUntil(this.cancelled));
  }

  private change(label: string, change: (melt: Melt) => void): void {
    const id = this.melt()?.id;
    this.store.edit(label, (casting) => {
      const melt = casting.melts.find((candidate) => candidate.id === id);
      if (melt) change(melt);
    });
  }
}
