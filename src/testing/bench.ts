import { MessageChannel, type MessagePort } from 'node:worker_threads';
import { provideZonelessChangeDetection, signal, type Type } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { expose } from 'comlink';
import { Subject, of } from 'rxjs';
import { CastingStorage } from '../app/state/casting-storage';
import { KitchenStorage } from '../app/state/kitchen-storage';
import { MoldStorage } from '../app/state/mold-storage';
import { OccasionStorage } from '../app/state/occasion-storage';
import { RunStorage } from '../app/state/run-storage';
import { PantryStorage } from '../app/state/pantry-storage';
import type { OutsideChange } from '../app/state/record-storage';
import { CastingStore } from '../app/state/casting-store';
import { START_PLAN_WORKER } from '../app/state/plan-worker';
import { FoundTimetableStorage } from '../app/state/found-timetable-storage';
import { lessonsOf } from '../core/learn/lessons';
import { START_LESSONS_WORKER } from '../app/state/lessons-worker';
import { OutcomeStorage } from '../app/state/logbook';
import { START_STUDY_WORKER } from '../app/state/study-worker';
import type { Making } from '../core/plan/making';
import type { Casting } from '../core/record/casting';
import type { Run } from '../core/run/run-record';
import type { Worked } from '../core/plan/worked';
import { demoCastings, demoOccasions } from '../data/demo';
import { usualKitchen } from '../data/kitchen-usual';
import { shippedMolds } from '../data/mold-library';
import { shippedPantry } from '../data/pantry-shipped';
import { planWork } from '../workers/plan-work';
import { studyWork } from '../workers/study-work';

/** The demo's Monday. */
export const MONDAY = new Date('2026-10-12T08:00:00Z');

/** Sets what time it is, and leaves all timers as they are; `jest.useRealTimers()` ends it. */
export function clockAt(now: Date): void {
  jest.useFakeTimers({
    doNotFake: [
      'setTimeout',
      'clearTimeout',
      'setInterval',
      'clearInterval',
      'queueMicrotask',
      'performance',
      'requestAnimationFrame',
      'cancelAnimationFrame',
      'setImmediate',
      'clearImmediate',
      'nextTick',
    ],
    now,
  });
}

const ports: MessagePort[] = [];

/** The worker's own computation over a message channel, after a delay of the test's choosing; undefined: it never answers. */
export function workerAfter(delayMs: () => number | undefined): Worker {
  const answer = async <T>(work: () => T): Promise<T> => {
    const delay = delayMs();
    await new Promise((resolve) => delay !== undefined && setTimeout(resolve, delay));
    return work();
  };
  const work = planWork();
  return workerDoing({
    ...work,
    work: (makings: readonly Making[], from: readonly Worked[] | undefined) => answer(() => work.work(makings, from)),
    effects: (casting: Casting) => answer(() => work.effects(casting)),
  });
}

/** A worker's own work over a message channel. */
export function workerDoing(work: object): Worker {
  const { port1, port2 } = new MessageChannel();
  ports.push(port1, port2);
  expose(work, port2 as never);
  port1.start();
  return Object.assign(port1, { terminate: () => port1.close() }) as unknown as Worker;
}

/** No timetable was found at another time. */
const NOTHING_FOUND: Pick<FoundTimetableStorage, 'of' | 'keep'> = {
  of: () => Promise.resolve(undefined),
  keep: () => Promise.resolve(),
};

/** The app's state as it runs, with the demo's castings in memory and one of them open. */
export async function openDemo(
  id: 'demo-bombs' | 'demo-bites' | 'demo-bonbons' | 'demo-pears' = 'demo-bombs',
  delayMs: () => number | undefined = () => 0,
): Promise<CastingStore> {
  localStorage.clear();
  sessionStorage.clear();
  const storageOf = <T>(records: readonly T[]) => ({
    changes: new Subject<OutsideChange<T>>(),
    state: signal('saved'),
    open: () => Promise.resolve(records),
    put: () => undefined,
    remove: () => undefined,
  });
  TestBed.configureTestingModule({
    providers: [
      provideZonelessChangeDetection(),
      provideRouter([]),
      {
        provide: CastingStorage,
        useValue: storageOf(demoCastings(MONDAY).filter((casting, i) => i < 2 || casting.id === id)),
      },
      { provide: MoldStorage, useValue: storageOf(shippedMolds(MONDAY)) },
      { provide: PantryStorage, useValue: storageOf(shippedPantry(MONDAY)) },
      { provide: OccasionStorage, useValue: storageOf(demoOccasions(MONDAY)) },
      { provide: KitchenStorage, useValue: storageOf([usualKitchen(MONDAY)]) },
      { provide: RunStorage, useValue: storageOf<Run>([]) },
      { provide: FoundTimetableStorage, useValue: NOTHING_FOUND },
      { provide: OutcomeStorage, useValue: { watch: () => of({ outcomes: [], readings: new Map(), missing: 0 }) } },
      { provide: START_LESSONS_WORKER, useValue: () => workerDoing({ taught: lessonsOf }) },
      { provide: START_PLAN_WORKER, useValue: () => workerAfter(delayMs) },
      { provide: START_STUDY_WORKER, useValue: () => workerDoing(studyWork()) },
    ],
  });
  const store = TestBed.inject(CastingStore);
  await store.load();
  store.open(id);
  return store;
}

/** The state before each test of a spec, as `openDemo` has it, let go after it; and the casting that is open in it. */
export function withDemo(...opening: Parameters<typeof openDemo>): {
  readonly store: () => CastingStore;
  readonly casting: () => Casting;
} {
  let store: CastingStore;
  beforeEach(async () => {
    store = await openDemo(...opening);
  });
  afterEach(() => {
    document.body.replaceChildren();
    closeWorkers();
  });
  return {
    store: () => store,
    casting: () => {
      const current = store.current();
      if (!current) throw new Error('nothing open');
      return current;
    },
  };
}

/** Lets go of every worker that a test started. */
export function closeWorkers(): void {
  ports.splice(0).forEach((port) => port.close());
}

/** Waits until something holds, for ten seconds at most: how long a slow machine takes is not what is tried. */
export async function until(holds: () => boolean): Promise<void> {
  for (let k = 0; k < 200 && !holds(); k++) await wait(50);
}

export const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

const ENTER = 13;
const DOWN_ARROW = 40;
const LONGEST_LIST = 60;

/** A component on the page, driven by what can be seen of it. */
export class Bench<T> {
  private constructor(private readonly fixture: ComponentFixture<T>) {}

  static async of<T>(component: Type<T>, inputs: Readonly<Record<string, unknown>> = {}): Promise<Bench<T>> {
    const fixture = TestBed.createComponent(component);
    for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
    document.body.append(fixture.nativeElement as HTMLElement);
    const bench = new Bench(fixture);
    await bench.settle();
    return bench;
  }

  get page(): HTMLElement {
    return this.fixture.nativeElement as HTMLElement;
  }

  get text(): string {
    return (this.page.textContent ?? '').replace(/\s+/g, ' ').trim();
  }

  async settle(): Promise<void> {
    await this.fixture.whenStable();
  }

  all<E extends HTMLElement = HTMLElement>(selector: string): E[] {
    return [...this.page.querySelectorAll<E>(selector)];
  }

  /** The control under a label. */
  field(label: string): HTMLInputElement {
    const found = this.all<HTMLLabelElement>('label').find((candidate) => candidate.textContent?.trim() === label);
    const control = found?.htmlFor ? document.getElementById(found.htmlFor) : found?.querySelector('input');
    if (!control) throw new Error(`no field “${label}” in: ${this.text}`);
    return control as HTMLInputElement;
  }

  async type(label: string, text: string): Promise<void> {
    const box = this.field(label);
    box.value = text;
    box.dispatchEvent(new Event('input', { bubbles: true }));
    await this.settle();
  }

  /** Types into a field that is read when it is left. */
  async enter(label: string, text: string): Promise<void> {
    const box = this.field(label);
    box.value = text;
    box.dispatchEvent(new Event('input', { bubbles: true }));
    box.dispatchEvent(new Event('change', { bubbles: true }));
    await this.settle();
  }

  /** What a list stands at, as it is told. */
  chosen(label: string): string {
    const told = this.field(label).getAttribute('aria-describedby') ?? '';
    return document.getElementById(told)?.textContent?.trim() ?? '';
  }

  /** The names of a list. */
  async names(label: string): Promise<string[]> {
    const box = this.field(label);
    box.dispatchEvent(new KeyboardEvent('keydown', { keyCode: ENTER, bubbles: true, cancelable: true }));
    await this.settle();
    const list = document.getElementById(box.getAttribute('aria-controls') ?? '');
    const names = [...(list?.querySelectorAll('[role=option]') ?? [])].map(
      (option) => option.textContent?.trim() ?? '',
    );
    box.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true, cancelable: true }));
    await this.settle();
    return names;
  }

  /** Opens a list and presses what stands for a value. */
  async choose(label: string, value: string): Promise<void> {
    const box = this.field(label);
    const press = (code: number): boolean =>
      box.dispatchEvent(new KeyboardEvent('keydown', { keyCode: code, bubbles: true, cancelable: true }));
    const active = (): HTMLElement | null => document.getElementById(box.getAttribute('aria-activedescendant') ?? '');
    press(ENTER);
    await this.settle();
    // The kit draws its list a frame later, which a busy machine may hold back.
    await until(() => active() !== null);
    for (let k = 0; k < LONGEST_LIST; k++) {
      const option = active();
      if (option?.dataset['value'] === value) {
        press(ENTER);
        await this.settle();
        return;
      }
      press(DOWN_ARROW);
      await this.settle();
    }
    throw new Error(`nothing stands for “${value}” in “${label}”`);
  }

  /** Presses a button, or one of a row of choices, by its name. */
  async press(name: string | RegExp, nth = 0): Promise<void> {
    const named = (element: HTMLElement): boolean => {
      const own = element.getAttribute('aria-label') ?? element.textContent?.trim() ?? '';
      return typeof name === 'string' ? own === name : name.test(own);
    };
    const target = this.all('button, label[nz-radio-button], a').filter(named)[nth];
    if (!target) throw new Error(`nothing to press called ${String(name)} in: ${this.text}`);
    (target.querySelector<HTMLElement>('input') ?? target).click();
    await this.settle();
  }
}
