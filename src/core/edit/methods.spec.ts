import fc from 'fast-check';
import { SHIPPED_MOLDS } from '../../data/mold-library';
import { demoCastings, newCasting } from '../../data/demo';
import type { Casting } from '../record/casting';
import { METHODS, fillsLevel, type Method } from '../record/method';
import { readCasting } from '../record/read-casting';
import { draftPlan } from '../plan/draft';
import { coatModels, methodsFor } from '../plan/methods';
import { brushSides, madeAlike, makeAlike, makeBy, makeCoatBy, makeTogether } from './methods';
import { addCoat, removeCoat } from './remedy';
import { simulatedPlan } from '../plan/simulated-plan';

function castIn(id: string): Casting {
  const mold = SHIPPED_MOLDS.find((candidate) => candidate.id === id);
  if (!mold) throw new Error(id);
  const casting = newCasting('m', 'made', new Date('2026-10-12T08:00:00Z'));
  casting.molds = [structuredClone(mold)];
  Object.assign(casting.parts[0], { moldId: id, cavityId: mold.cavities[0].id });
  return casting;
}
const made = (id: string, method: Method, change: (casting: Casting) => void = () => undefined): Casting => {
  const casting = castIn(id);
  makeBy(casting, method, draftPlan(casting));
  change(casting);
  return casting;
};
const offered = (id: string): readonly Method[] => {
  const {
    molds: [mold],
  } = castIn(id);
  return methodsFor(mold, mold.cavities[0]);
};

describe('the methods of a mold', () => {
  it('are those that can be done in it', () => {
    expect(offered('acorns')).toEqual(['spoon']);
    expect(offered('balloon')).toEqual(['dump', 'brush', 'paint']);
    expect(offered('oat-cups')[0]).toBe('spreadUp');
    expect(offered('bottle')).toContain('turn');
    expect(offered('bonbons')).not.toContain('turn');
    expect(offered('owls')).toContain('clamp');
    expect(offered('seed-tiles')).not.toContain('clamp');
    // Every method is offered somewhere.
    expect(new Set(SHIPPED_MOLDS.flatMap(({ id }) => offered(id)))).toEqual(new Set(METHODS));
  });

  it('change over without a casting that could not be read or planned, in any order and any mold', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHIPPED_MOLDS.map(({ id }) => id)),
        fc.array(fc.tuple(fc.constantFrom(...METHODS), fc.constantFrom('add', 'remove', 'none')), {
          minLength: 1,
          maxLength: 5,
        }),
        (id, steps) => {
          const casting = castIn(id);
          for (const [method, then] of steps) {
            makeBy(casting, method, draftPlan(casting));
            if (then === 'add' && method !== 'clamp') addCoat(casting.parts[0]);
            if (then === 'remove' && method !== 'clamp') removeCoat(casting.parts[0]);
            const read = readCasting(structuredClone(casting));
            expect(read.ok ? '' : `${read.problem} ${'path' in read ? read.path : ''}`).toBe('');
            const { coat, coatsMade } = draftPlan(casting);
            expect(Number.isFinite(coat.mass.value)).toBe(true);
            expect(methodsFor(casting.molds[0], casting.molds[0].cavities[0])).toContain(coatsMade[0].method);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('that a mold does not allow are made by the nearest it does', () => {
    const pressed = made(
      'bombs',
      'clamp',
      (casting) => (casting.molds[0].composition = { kind: 'press', gap: { by: 'width', gapM: 0.003 } }),
    );
    expect(coatModels(pressed, pressed.parts[0]).map(({ method }) => method)).toEqual(['spoon']);
    const single = made('bombs', 'clamp', (casting) => (casting.molds[0].composition = { kind: 'single' }));
    expect(coatModels(single, single.parts[0]).map(({ method }) => method)).toEqual(['solid', 'solid']);
  });
});

describe('each method', () => {
  it('begins from amounts and times that make a whole piece', () => {
    for (const id of ['bombs', 'bites', 'bonbons', 'discs']) {
      for (const method of offered(id)) {
        if (method === 'paint') continue;
        const { coat, problems } = simulatedPlan(made(id, method));
        expect(problems.map(({ key }) => key)).not.toContain('rimTooThin');
        expect(coat.breakChance.value).toBeLessThan(0.08);
      }
    }
  });

  // Common practice, no source: a skin sets where it is chilled full, the longer and the colder the thicker.
  it('chilled before it is tipped out builds a thicker wall the longer and the colder it stands', () => {
    const rim = (dwellSeconds: number, standsIn: 'room' | 'fridge' | 'freezer'): number =>
      simulatedPlan(
        made('bonbons', 'chillDump', ({ parts }) => Object.assign(parts[0].coats[0], { dwellSeconds, standsIn })),
      ).coat.total.rim.value;
    expect(rim(180, 'fridge')).toBeGreaterThan(rim(60, 'fridge') * 1.2);
    expect(rim(120, 'freezer')).toBeGreaterThan(rim(120, 'fridge') * 1.1);
    expect(rim(120, 'fridge')).toBeGreaterThan(rim(120, 'room'));
  });

  // Common practice, no source: turn regularly until it is set, or it all pools on one side.
  it('turned regularly sets as an even wall, turned too seldom as a pool', () => {
    const turned = (id: string, turnSeconds: number) =>
      simulatedPlan(
        made(id, 'turn', ({ parts }) => {
          parts[0].coats = [{ ...parts[0].coats[0], turnSeconds, doseM3: 2 * parts[0].coats[0].doseM3 }];
        }),
      ).coat;
    for (const id of ['bombs', 'eggs']) {
      const often = turned(id, 20).total;
      expect(often.base.value / often.rim.value).toBeLessThan(1.05);
      const seldom = turned(id, 300).total;
      expect(seldom.base.value / seldom.rim.value).toBeGreaterThan(1.5);
    }
    // A bottle lies on its side meanwhile: it pools there, and not at its base.
    const uneven = (turnSeconds: number): number => {
      const [{ thickness, thinnestAround }] = turned('bottle', turnSeconds).coats;
      expect(thickness.base.value / thickness.rim.value).toBeLessThan(1.05);
      return thickness.wall.value / (thinnestAround?.value ?? NaN);
    };
    expect(uneven(10)).toBeLessThan(1.25);
    expect(uneven(300)).toBeGreaterThan(1.3);
  });

  it('that fills takes the chocolate of the whole cavity, sets longer than a shell, and longer in one go than a layer', () => {
    const plan = simulatedPlan(made('discs', 'solid'));
    expect(plan.coat.mass.value / plan.mold.solid.value).toBeCloseTo(1, 2);
    const minutes = (casting: Casting): number => simulatedPlan(casting).chill.coats[0].stay.value;
    expect(plan.chill.coats[0].stay.value).toBeGreaterThan(2 * minutes(made('discs', 'spoon')));
    expect(minutes(made('discs', 'solid', ({ parts }) => addCoat(parts[0])))).toBeLessThan(
      plan.chill.coats[0].stay.value,
    );
    expect(plan.fill.capacity.value).toBe(0);
  });

  it('that is clamped fills nearly to the top, tops up the rest, and closes without a plate', () => {
    const casting = made('owls', 'clamp');
    const plan = simulatedPlan(casting);
    expect(plan.coatsMade.map(({ method }) => method)).toEqual(['solid', 'clamp']);
    expect(plan.coat.mass.value / plan.mold.solid.value).toBeCloseTo(1, 2);
    expect(plan.batch.timeline.wholeJob.some(({ kind }) => kind === 'close')).toBe(false);
    // Joined to its other half it gives its heat off through the mold alone.
    expect(plan.chillInput.coats.map(({ inside }) => inside)).toEqual(['level', 'joined']);
    // The closure that was chosen is there again with another method.
    casting.closure = { kind: 'pipedSeam', meltId: 'melt-1', lineM: 0.003, sets: [{ place: 'room' }] };
    expect(draftPlan(casting).closure).toBeNull();
    makeBy(casting, 'dump', draftPlan(casting));
    expect(draftPlan(casting).closure?.kind).toBe('pipedSeam');
    expect(casting.parts[0].coats.some(({ method }) => fillsLevel(method))).toBe(false);
  });

  it('that clamps two halves of a figure clamps both, and lets go of both', () => {
    const casting = demoCastings(new Date('2026-10-12T08:00:00Z')).find(({ id }) => id === 'demo-owls');
    if (!casting) throw new Error('no owls');
    const last = (): string[] => casting.parts.map(({ coats }) => coats[coats.length - 1].method);
    expect(last()).toEqual(['clamp', 'clamp']);
    makeTogether(casting, 'dump', draftPlan(casting, [], 'part-2'));
    expect(last()).toEqual(['dump', 'dump']);
    makeTogether(casting, 'spoon', draftPlan(casting, [], 'part-2'));
    expect(last()).toEqual(['dump', 'spoon']);
    makeTogether(casting, 'clamp', draftPlan(casting));
    expect(last()).toEqual(['clamp', 'clamp']);
  });
});

describe('one coat among several', () => {
  it('is made in its own way, the others left as they are, and all are made alike again as any of them', () => {
    const casting = castIn('bombs');
    const [first, second] = structuredClone(casting.parts[0].coats);
    makeCoatBy(casting, 1, 'brush', draftPlan(casting));
    const [{ coats }] = casting.parts;
    expect(coats[0]).toEqual(first);
    expect(coats[1]).toMatchObject({ id: second.id, method: 'brush', shares: second.shares, sets: second.sets });
    expect(madeAlike(coats)).toBe(false);
    expect(readCasting(casting).ok).toBe(true);
    coats[1].sets = [{ place: 'freezer' }];
    makeAlike(casting.parts[0], 1);
    expect(madeAlike(coats)).toBe(true);
    expect(coats.map(({ method, sets }) => [method, sets[0].place])).toEqual([
      ['brush', 'fridge'],
      ['brush', 'freezer'],
    ]);
  });

  it('brushed on the sides leaves the base as it was and makes up what the rim is short of', () => {
    const casting = castIn('bombs');
    casting.parts[0].coats.splice(1);
    const before = draftPlan(casting);
    expect(brushSides(casting.parts[0], before)).toBe(true);
    const after = draftPlan(casting);
    expect(after.coat.total.base.value).toBeCloseTo(before.coat.total.base.value, 9);
    expect(after.coat.total.rim.value).toBeGreaterThan(after.coat.neededRim.value);
    // What stands on the bench after the cold is the last of them, however many there are.
    const bench = [{ place: 'room' as const, seconds: 300 }];
    casting.parts[0].coats[1].then = bench;
    addCoat(casting.parts[0]);
    expect(casting.parts[0].coats.map(({ then }) => then)).toEqual([[], [], bench]);
    removeCoat(casting.parts[0]);
    expect(casting.parts[0].coats.map(({ then }) => then)).toEqual([[], bench]);
    // Four are the most, and what fills the cavity takes none.
    while (brushSides(casting.parts[0], after));
    expect(casting.parts[0].coats).toHaveLength(4);
    expect(readCasting(casting).ok).toBe(true);
    expect(brushSides(made('bombs', 'solid').parts[0], after)).toBe(false);
  });
});
