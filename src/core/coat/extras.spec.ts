import { demoCastings } from '../../data/demo';
import { planned } from '../../testing/planned';
import { scaledMold } from '../edit/scale-mold';
import { castsAlike } from '../plan/batch-input';
import { fillingMasses } from '../plan/needs';
import type { Casting } from '../record/casting';
import { readCasting } from '../record/read-casting';

const tiles = (): Casting =>
  structuredClone(demoCastings(new Date('2026-10-12T08:00:00Z')).find(({ id }) => id === 'demo-tiles') as Casting);

// Common practice, no source: a stick takes the room of so much chocolate and goes in once it is filled.
describe('a stick', () => {
  it('takes its own volume of chocolate, goes in before the last cold, and leaves the level as it was', () => {
    const casting = tiles();
    casting.finishes = [];
    const bare = planned(casting);
    casting.parts[0].stick = { thickM: 0.004, insideM: 0.025 };
    expect(readCasting(structuredClone(casting))).toMatchObject({ ok: true });
    const plan = planned(casting);
    const stickM3 = Math.PI * 0.002 ** 2 * 0.025;
    const density = Number(bare.coat.coats[0].mass.terms.find(({ name }) => name === 'meltedDensity')?.value);
    expect(bare.coat.mass.value - plan.coat.mass.value).toBeCloseTo(stickM3 * density, 12);
    expect(bare.coat.volumeM3 - plan.coat.volumeM3).toBeCloseTo(stickM3, 15);
    expect(plan.coat.total.base.value).toBe(bare.coat.total.base.value);
    const kinds = plan.batch.timeline.oneRound.map(({ kind }) => kind);
    expect(kinds.slice(kinds.lastIndexOf('coat'), kinds.lastIndexOf('coat') + 3)).toEqual(['coat', 'stick', 'chill']);
    expect(plan.batch.handsOn.value).toBeGreaterThan(bare.batch.handsOn.value);
  });

  it('larger than its fill leaves none of it, and no less', () => {
    const casting = tiles();
    casting.parts[0].coats = [{ ...casting.parts[0].coats[0], volumeShare: 0.02 }];
    casting.parts[0].stick = { thickM: 0.012, insideM: 0.2 };
    expect(planned(casting).coat.mass.value).toBe(0);
  });
});

// Common practice, no source: narrow places are filled solid, and count.
describe('narrow places', () => {
  it('hold their volume of the first coat, and grow with the mold', () => {
    for (const id of ['demo-tiles', 'demo-bombs']) {
      const casting = structuredClone(
        demoCastings(new Date('2026-10-12T08:00:00Z')).find((one) => one.id === id) as Casting,
      );
      const bare = planned(casting);
      casting.molds[0].cavities[0].narrowM3 = 4e-6;
      expect(readCasting(structuredClone(casting))).toMatchObject({ ok: true });
      const plan = planned(casting);
      expect(plan.coat.narrow?.value).toBeGreaterThan(4e-6 * 1200);
      expect(plan.coat.mass.value - bare.coat.mass.value).toBeCloseTo(plan.coat.narrow?.value ?? NaN, 12);
      expect(plan.coat.coats[1].mass.value).toBe(bare.coat.coats[1].mass.value);
      expect(plan.batch.melts[0].inParts.value).toBeGreaterThan(bare.batch.melts[0].inParts.value);
      expect(plan.coat.total.rim.value).toBe(bare.coat.total.rim.value);
      expect(scaledMold(casting.molds[0], 1.5)?.cavities[0].narrowM3).toBeCloseTo(4e-6 * 1.5 ** 3, 12);
    }
  });
});

describe('something stirred in', () => {
  const stirred = (share: number): Casting => {
    const casting = tiles();
    casting.finishes = [];
    for (const coat of casting.parts[0].coats) coat.mixIn = { fillingId: 'seeds', share };
    return casting;
  };

  it('is its share of the weight, and takes the room of so much chocolate: volumes add up', () => {
    const bare = planned({ ...tiles(), finishes: [] });
    const density = Number(bare.coat.coats[0].mass.terms.find(({ name }) => name === 'meltedDensity')?.value);
    const { bulkDensity } = tiles().fillings.find(({ id }) => id === 'seeds') ?? { bulkDensity: NaN };
    for (const share of [0.01, 0.05, 0.3]) {
      const plan = planned(stirred(share));
      const mixedKg = plan.coat.coats.reduce((sum, { mixed }) => sum + (mixed?.value ?? NaN), 0);
      expect(mixedKg / (mixedKg + plan.coat.mass.value)).toBeCloseTo(share, 9);
      const bitsM3 = (plan.coat.volumeM3 - plan.coat.mass.value / density) as number;
      expect(mixedKg / bitsM3).toBeGreaterThan(bulkDensity);
      expect(plan.coat.volumeM3).toBeCloseTo(bare.coat.volumeM3, 15);
      // The piece weighs what is in it, and so much is bought.
      expect(plan.piece.mass.value).toBeCloseTo(plan.coat.mass.value + mixedKg, 9);
      const cast = castsAlike(plan.batch);
      expect(fillingMasses(plan, 12, cast).get('seeds')).toBeCloseTo(mixedKg * cast(plan.part.id)[0], 9);
    }
  });

  it('brings its allergens and how it keeps', () => {
    const casting = stirred(0.05);
    const seeds = casting.fillings.find(({ id }) => id === 'seeds');
    if (seeds) seeds.allergens = ['sesame'];
    expect(planned(casting).piece.allergens).toContain('sesame');
  });
});
