import { demoCastings, demoOccasions } from '../../data/demo';
import type { Casting } from '../record/casting';
import type { Occasion } from '../record/occasion';
import { planned } from '../../testing/planned';
import type { CastingPlan } from '../plan/plan-types';
import { occasionNeeds } from './occasion-needs';
import { occasionSteps } from './occasion-steps';
import { occasionWork, type Melting } from './occasion-work';

const MONDAY = new Date('2026-10-12T08:00:00Z');
const [supper] = demoOccasions(MONDAY);
const pears = demoCastings(MONDAY).find(({ id }) => id === 'demo-pears') as Casting;
const WHITE = pears.melts[0].source.kind === 'chocolate' ? pears.melts[0].source.chocolateId : '';

/** The pears, all of one melt: white, or tinted with so many parts of red to 1,000 of white, and of blue. */
function pearsOf(id: string, red = 0, blue = 0): Casting {
  const casting = structuredClone(pears);
  casting.id = id;
  casting.molds.forEach((mold) => (mold.id = `${mold.id} ${id}`));
  casting.parts.forEach((part) => {
    part.moldId = `${part.moldId} ${id}`;
    part.prep = [];
    part.coats.forEach((coat) => (coat.shares = [{ meltId: casting.melts[0].id, share: 1 }]));
  });
  casting.finishes = [];
  if (red + blue === 0) return casting;
  const colours = [
    ...(red > 0 ? [{ name: 'Red', base: 'cocoaButter' as const, parts: red }] : []),
    ...(blue > 0 ? [{ name: 'Blue', base: 'cocoaButter' as const, parts: blue }] : []),
  ];
  const tint = {
    id: `tint ${id}`,
    name: id,
    colour: '#e08080',
    chocolates: [{ chocolateId: WHITE, parts: 1000 }],
    colours,
    allAtOnce: false,
  };
  casting.tints.push(tint);
  casting.melts[0].source = { kind: 'tint', tintId: tint.id };
  return casting;
}

function worked(castings: readonly Casting[], melting: Melting, fromLeft: readonly string[] = []) {
  const plans = castings.map((casting) => planned(casting));
  const made = occasionWork(plans, { melting, makingS: -1, fromLeft });
  if ('key' in made) throw new Error(made.key);
  return { ...made, plans, needs: occasionNeeds(plans, made.bowls) };
}
const bowlNamed = ({ bowls }: ReturnType<typeof worked>, name: string) => bowls.find((bowl) => bowl.name === name);

describe('colours from one bowl in turn', () => {
  const castings = [pearsOf('white'), pearsOf('rose', 5), pearsOf('red', 30)];
  const [turns, shared] = [worked(castings, 'inTurn'), worked(castings, 'shared')];
  const used = turns.bowls.filter(({ mix }) => mix.some(({ component }) => component === WHITE));
  const [white, rose, red] = ['Linen', 'rose', 'red'].map((name) => used.find((bowl) => bowl.name === name));

  it('are counted back from the last: each step leaves enough for the next', () => {
    if (!white || !rose?.from || !red?.from) throw new Error('no chain');
    expect(turns.bowls[red.from.bowl].name).toBe('rose');
    expect(turns.bowls[rose.from.bowl].name).toBe('Linen');
    // By hand: of 1,030 parts of red 1,000 are white; rose is 1,000 of 1,005. So 1,005 of 1,030 of the red are rose.
    expect(red.from.kg).toBeCloseTo((red.kg * 1005) / 1030, 9);
    expect(red.from.added).toEqual([
      { component: 'red', name: 'Red', kg: expect.closeTo((red.kg * 25) / 1030, 9) as number },
    ]);
    expect(rose.from.kg).toBeCloseTo((rose.kg * 1000) / 1005, 9);
    // What is melted of rose is enough for itself and for the red.
    const own = bowlNamed(shared, 'rose');
    expect(rose.kg).toBeGreaterThanOrEqual((own?.kg ?? 0) - 1e-9);
    expect(rose.kg).toBeGreaterThan((own?.usedKg ?? 0) + red.from.kg);
    // Stirred in, but melted as long as any where it is melted again.
    expect(rose.seconds).toBeLessThan(rose.meltedS);
    expect(white.seconds).toBe(white.meltedS);
    // The last is as much as it would be by itself.
    expect(red.kg).toBeCloseTo(bowlNamed(shared, 'red')?.kg ?? 0, 9);
  });

  it('keep every gram: what is bought is used, sticks, or is left at the end', () => {
    for (const { kg, from, mix } of turns.bowls) {
      expect(mix.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
      if (from) expect(from.kg + from.added.reduce((sum, one) => sum + one.kg, 0)).toBeCloseTo(kg, 9);
    }
    const bought = turns.needs.all
      .filter(({ entryId, name }) => entryId === WHITE || name === 'Red')
      .reduce((sum, { neededKg }) => sum + neededKg, 0);
    const passed = turns.bowls.reduce((sum, { from }) => sum + (from?.kg ?? 0), 0);
    const melted = used.reduce((sum, { kg }) => sum + kg, 0);
    expect(bought).toBeCloseTo(melted - passed, 9);
  });

  it('take less than each by itself, and the colour of the darkest in the end', () => {
    const kgOf = ({ needs }: typeof turns, is: (name: string) => boolean): number =>
      needs.all.reduce((sum, { name, neededKg }) => sum + (is(name) ? neededKg : 0), 0);
    expect(kgOf(turns, (name) => name === 'Linen')).toBeLessThan(kgOf(shared, (name) => name === 'Linen') - 0.02);
    expect(turns.bowls).toHaveLength(shared.bowls.length);
  });

  it('each is made once the one before it is through', () => {
    const plans = new Map(castings.map((casting) => [casting.id, planned(casting)]));
    const occasion: Occasion = { ...supper, castingIds: castings.map(({ id }) => id), stays: [], inTurn: true };
    const steps = occasionSteps(occasion, castings, ({ id }) => plans.get(id) as CastingPlan);
    let step = steps.next();
    while (!step.done) step = steps.next();
    if (!step.value.ok) throw new Error(step.value.why.key);
    const { tasks, bowls } = step.value.plan;
    for (const [at, { from }] of bowls.entries()) {
      if (!from) continue;
      const made = tasks.find(({ bowl, again }) => bowl === at && !again);
      const uses = new Set(bowls[from.bowl].uses.map(({ castingId }) => castingId));
      const before = tasks.filter(({ castingId, kind }) => kind === 'coat' && uses.has(castingId ?? ''));
      for (const { startS, seconds } of before) expect(made?.startS).toBeGreaterThanOrEqual(startS + seconds);
    }
  });
});

describe('no turns', () => {
  it('where something would have to be taken out, or little of the one is in the other', () => {
    const other = worked([pearsOf('rose', 5), pearsOf('sky', 0, 5)], 'inTurn');
    expect(other.bowls.some(({ from }) => from)).toBe(false);
    const strong = worked([pearsOf('white'), pearsOf('deep', 900)], 'inTurn');
    expect(strong.bowls.some(({ from }) => from)).toBe(false);
  });

  it('where the darker one goes into the mold first, or in an earlier round', () => {
    const casting = pearsOf('both', 5);
    casting.pieces = 1;
    const light = {
      ...structuredClone(casting.melts[0]),
      id: 'light',
      source: { kind: 'chocolate' as const, chocolateId: WHITE },
    };
    casting.melts.push(light);
    casting.parts[0].coats = [casting.parts[0].coats[0], structuredClone(casting.parts[0].coats[0])];
    casting.parts[0].coats[1].shares = [{ meltId: 'light', share: 1 }];
    expect(worked([casting], 'inTurn').bowls.some(({ from }) => from)).toBe(false);
    casting.parts[0].coats.reverse();
    expect(worked([casting], 'inTurn').bowls.some(({ from }) => from)).toBe(true);
    casting.pieces = 40;
    expect(worked([casting], 'inTurn').bowls.some(({ from }) => from)).toBe(false);
  });
});

describe('what is cast from what is left', () => {
  const hollow = pearsOf('white');
  const small = pearsOf('small');
  small.pieces = 2;
  small.parts[0].coats = [{ ...small.parts[0].coats[0], method: 'solid', volumeShare: 1 }];

  it('comes last, and is melted for only as far as the others leave too little', () => {
    const [before, after] = [worked([hollow, small], 'shared'), worked([hollow, small], 'shared', ['small'])];
    const bowlOf = (made: typeof before) => made.bowls.find(({ uses }) => uses.length === 2);
    const [apart, late] = [bowlOf(before), bowlOf(after)];
    if (!apart || !late) throw new Error('not shared');
    const own = after.plans[1].batch.melts[0];
    const takes = own.melted.value - own.comesBack.value - own.stuck.value;
    expect(apart.leftKg).toBeGreaterThan(0);
    expect(late.leftKg).toBeCloseTo(Math.max(0, apart.leftKg - takes), 9);
    expect(late.kg).toBeLessThan(apart.kg - 0.9 * Math.min(takes, apart.leftKg));
    // What both take is in it, whatever is tipped out.
    expect(late.kg).toBeGreaterThan(late.usedKg);
    const coats = (id: string): number[] =>
      after.work.tasks.flatMap(({ castingId, kind }, i) => (castingId === id && kind === 'coat' ? [i] : []));
    for (const first of coats('white'))
      for (const last of coats('small'))
        expect(after.work.lags.some(({ from, to }) => from === first && to === last)).toBe(true);
  });

  it('is as it was where nothing is shared', () => {
    expect(worked([small], 'shared', ['small']).bowls).toEqual(worked([small], 'shared').bowls);
  });
});
