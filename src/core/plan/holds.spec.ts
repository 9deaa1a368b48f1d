import { newCasting } from '../../data/demo';
import { SHIPPED_MOLDS } from '../../data/mold-library';
import { demoCastings } from '../../data/demo';
import { planned } from '../../testing/planned';
import type { Answer } from '../quantity/answer';
import type { Casting } from '../record/casting';
import { tippedOut, fillsLevel, type Method } from '../record/method';
import type { Mold } from '../record/mold';
import { partsPerPiece } from '../record/mold-cavities';
import { draftPlan } from './draft';
import { chillsOf } from './makings';
import { makingOf } from './making';
import { makeBy } from '../edit/methods';
import { methodsFor } from './methods';
import { finishPlan } from './plan';
import { simulateMaking, simulateRange } from './simulate';
import type { CastingPlan } from './plan-types';

const MONDAY = new Date('2026-10-12T08:00:00Z');

/** A casting in one of a mold's cavities, made as a method is usually begun. */
function made(mold: Mold, cavity: Mold['cavities'][number], method: Method): Casting {
  const casting = newCasting('x', 'x', MONDAY);
  casting.molds = [structuredClone(mold)];
  Object.assign(casting.parts[0], { moldId: mold.id, cavityId: cavity.id, perPiece: partsPerPiece(mold, cavity.id) });
  makeBy(casting, method, planned(casting));
  return casting;
}

const makings = SHIPPED_MOLDS.flatMap((mold) =>
  mold.cavities.flatMap((cavity) =>
    methodsFor(mold, cavity).map(
      (method) => [`${mold.name}, ${cavity.name}, ${method}`, made(mold, cavity, method)] as const,
    ),
  ),
);

/** Every figure anywhere in an answer, with its place. */
function figuresOf(value: unknown, path = '', found: [string, Answer][] = []): [string, Answer][] {
  if (typeof value !== 'object' || value === null || ArrayBuffer.isView(value)) return found;
  if ('rule' in value && 'dimension' in value) found.push([path, value as Answer]);
  else for (const [key, inner] of Object.entries(value)) figuresOf(inner, `${path}.${key}`, found);
  return found;
}

/** What has to hold of any plan. */
function holds({ coat, cavity, mold, fill, chill, ...rest }: CastingPlan, pressed: boolean): void {
  for (const [path, { value, low = value, high = value }] of figuresOf({
    ...rest,
    coat,
    mold,
    fill,
    chill,
    casting: undefined,
    chillInput: undefined,
  })) {
    if (!(low <= value && value <= high)) throw new Error(`${path}: ${low} to ${high} does not hold ${value}`);
  }
  if (!cavity.outward) {
    // No shell is heavier than the cavity filled solid, and what it leaves is what a filling finds.
    expect(coat.mass.value).toBeLessThanOrEqual(mold.solid.value * (1 + 1e-9));
    if (!coat.body) expect((fill.capacity.value + coat.volumeM3) / cavity.volumeM3).toBeCloseTo(1, 2);
  }
  for (const { choice, spooned, mass, feet } of coat.coats) {
    if (pressed || !feet || tippedOut(choice.method) || fillsLevel(choice.method)) continue;
    const drips = (feet.value * spooned.value) / mass.value;
    expect(Math.abs((spooned.value + drips) / choice.doseM3 - 1)).toBeLessThan(1e-6);
  }
  for (const { places } of chill.coats)
    for (const { touch, unmold, latest } of places)
      expect([touch.value <= unmold.value, unmold.value <= latest.value]).toEqual([true, true]);
}

describe('every way of making in every shipped mold', () => {
  it.each(makings)(
    '%s: ranges hold their values, no shell is more than its cavity, a dose is what stays and what drips',
    (_, casting) => {
      const pressed = casting.molds[0].composition.kind === 'press';
      holds(planned(casting), pressed);
      holds(planned(casting, true), pressed);
    },
  );

  it('holds after the range has been run, too', () => {
    for (const [name, casting] of makings.filter((_, i) => i % 9 === 0)) {
      const making = makingOf(casting, casting.parts[0]);
      const steps = simulateRange(making, simulateMaking(making).simulated);
      let step = steps.next();
      while (!step.done) step = steps.next();
      const draft = draftPlan(casting, [step.value]);
      expect(name).toBeTruthy();
      holds(finishPlan(draft, chillsOf(draft)), casting.molds[0].composition.kind === 'press');
    }
  });
});

const coatsOf = ({ parts }: Pick<Casting, 'parts'>) => parts.flatMap(({ coats }) => coats);

/** Inputs that are moved through their usual span, 0 to 1. */
const MOVED: readonly (readonly [string, (casting: Casting, x: number) => void])[] = [
  ['room', ({ kitchen }, x) => (kitchen.roomC = 17 + 5 * x)],
  ['fridge', ({ kitchen }, x) => (kitchen.fridgeC = 1 + 9 * x)],
  ['working temperature', ({ melts }, x) => melts.forEach((melt) => (melt.workingC += 1.8 * x - 0.9))],
  [
    'stiffness',
    ({ chocolates }, x) =>
      chocolates.forEach((chocolate) => (chocolate.fluidity = { yieldPa: 3 + 9 * x, viscosityPas: 1 + 2.5 * x })),
  ],
  [
    'freezer',
    ({ kitchen, ...casting }, x) => {
      kitchen.freezerC = -25 + 15 * x;
      for (const coat of coatsOf(casting)) coat.sets = [{ place: 'freezer' }];
    },
  ],
  ['mold wall', ({ molds }, x) => molds.forEach((mold) => (mold.wallM = 0.001 + 0.004 * x))],
  ['dose', (casting, x) => coatsOf(casting).forEach((coat) => (coat.doseM3 *= 0.7 + 0.6 * x))],
  // From what the pouring takes on: warmth goes into the wall as the root of time, and most steeply in the first moment.
  ['time standing', (casting, x) => coatsOf(casting).forEach((coat) => (coat.dwellSeconds = 3 + 57 * x))],
  ['time tipped out', (casting, x) => coatsOf(casting).forEach((coat) => (coat.drainSeconds = 5 + 55 * x))],
  ['fat', ({ chocolates }, x) => chocolates.forEach((chocolate) => (chocolate.fatShare = 0.3 + 0.12 * x))],
];
const STEPS = 200;
/** Less than this is seen by nobody, and no jump: in the unit of each kind of figure. */
const UNSEEN: Readonly<Partial<Record<Answer['dimension'], number>>> = {
  length: 1e-5,
  mass: 2e-5,
  volume: 2e-8,
  duration: 0.4,
  share: 2e-3,
};
/** A stay that begins to be needed grows from nothing like a root: so many seconds of it are its beginning, not a jump. */
const BEGINS_S = 2;

/**
 * The largest jump of any figure between two neighbouring plans, as a share of it: by how much more it moves there than in the steps before
 * and after, as it may be steep and still be smooth. Stays in whole minutes and pieces are left out, as they are rounded on purpose.
 */
function largestJump(
  id: string,
  move: (casting: Casting, x: number) => void,
  simulated: boolean,
  steps: number,
): readonly [number, string] {
  const series = new Map<string, number[]>();
  for (let k = 0; k <= steps; k++) {
    const casting = demoCastings(MONDAY).find((one) => one.id === id) as Casting;
    // A part of the span, in steps as long as those of all of it.
    move(casting, k / STEPS);
    const { coat, chill, fill, close } = planned(casting, simulated);
    for (const [path, { value, dimension }] of figuresOf({ coat, chill, fill, close })) {
      if (path.endsWith('.stay') || dimension === 'count') continue;
      const key = `${path} ${dimension}`;
      series.set(key, [...(series.get(key) ?? []), value]);
    }
  }
  let most: readonly [number, string] = [0, ''];
  for (const [key, values] of series) {
    const moved = (k: number): number => (k < 1 || k >= values.length ? 0 : Math.abs(values[k] - values[k - 1]));
    for (let k = 1; k < values.length; k++) {
      const jump = moved(k) - Math.max(moved(k - 1), moved(k + 1));
      const share = jump / Math.max(Math.abs(values[k]), Math.abs(values[k - 1]));
      const unseen = key.includes('.touch ') ? BEGINS_S : UNSEEN[key.split(' ')[1] as Answer['dimension']];
      if (jump > (unseen ?? 0) && share > most[0]) most = [share, `${key} ${values[k - 1]} to ${values[k]}`];
    }
  }
  return most;
}

describe('an input moved through its span in 200 steps', () => {
  const cases = ['demo-bombs', 'demo-bonbons', 'demo-bites', 'demo-tiles'].flatMap((id) =>
    MOVED.map(([name, move]) => [id, name, move] as const),
  );

  it.each(cases)('%s, %s: no figure jumps by more than a hundredth', (id, _, move) => {
    const [jump, where] = largestJump(id, move, false, STEPS);
    expect([jump < 0.01, where]).toEqual([true, where]);
  });

  it.each(MOVED)('simulated, by %s: none jumps by more than a hundredth either', (_, move) => {
    const [jump, where] = largestJump('demo-bombs', move, true, 50);
    expect([jump < 0.01, where]).toEqual([true, where]);
  });
});
