import { demoCastings } from '../../data/demo';
import { SHIPPED_MOLDS } from '../../data/mold-library';
import { planned } from '../../testing/planned';
import { shopping } from '../batch/shopping';
import type { Casting } from '../record/casting';
import { pourFrom } from '../edit/melting';
import { larderNeeds } from './larder';
import { castIn } from '../edit/parts';
import { changesInKind } from './scale';

const supper = (id = 'demo-bombs'): Casting =>
  demoCastings(new Date('2026-10-12T08:00:00Z')).find((casting) => casting.id === id) as Casting;
const changes = (change: (casting: Casting) => void, from = supper()) => {
  const scaled = structuredClone(from);
  change(scaled);
  return changesInKind(planned(from), planned(scaled));
};

describe('a scaled casting', () => {
  it('that is doubled takes more rounds and bowlfuls; so many molds would keep the rounds', () => {
    const few = supper();
    few.pieces = 6;
    const kinds = changes((casting) => (casting.pieces = 24), few);
    expect(kinds.map(({ key }) => key)).toEqual(expect.arrayContaining(['rounds', 'anotherEvening']));
    const rounds = kinds.find((change) => change.key === 'rounds');
    // 14 halves in 3 rounds; 51 in 9: three molds of six take 51 in three.
    expect(rounds).toEqual({ key: 'rounds', from: 3, to: 9, moldsForAsMany: 3 });
  });

  it('goes into more bowlfuls than before where one no longer holds it', () => {
    const kinds = changes((casting) => (casting.pieces = 180));
    const bowls = kinds.find((change) => change.key === 'moreBowlfuls');
    expect(bowls && bowls.key === 'moreBowlfuls' && bowls.to).toBeGreaterThan(1);
  });

  it('of a coating needs no tempering, and in another mold other rounds', () => {
    expect(
      changes((casting) => pourFrom(casting, casting.parts[0].coats, { kind: 'chocolate', chocolateId: 'pebble' })),
    ).toContainEqual({ key: 'tempering', needed: false });
    const bites = SHIPPED_MOLDS.find(({ id }) => id === 'bites');
    if (bites)
      expect(changes((casting) => castIn(casting, casting.parts[0].id, bites)).map(({ key }) => key)).toContain(
        'rounds',
      );
  });

  it('that is as it was changes nothing', () => {
    expect(changes(() => undefined)).toEqual([]);
  });
});

describe('what a job takes', () => {
  it('is every chocolate of melts and fillings, and what recipes name', () => {
    const plan = planned(supper('demo-bonbons'));
    const needs = larderNeeds(plan);
    expect(needs.map(({ name }) => name)).toEqual(['Quarry 64', 'Cream', 'Hazelnut paste']);
    const ganacheKg = plan.fillings[0].mass.value;
    // Three parts of ganache, half of it chocolate, and one of paste.
    expect(needs[0].neededKg).toBeCloseTo(plan.batch.melts[0].melted.value + (3 / 8) * ganacheKg, 9);
    expect(needs[0].usedKg).toBeCloseTo(needs[0].neededKg - plan.batch.melts[0].comesBack.value, 9);
    expect(needs[2].neededKg).toBeCloseTo(ganacheKg / 4, 9);
  });

  // Worked by hand: 1.045 kg wanted, 0.199 kg of it comes back, 0.5 kg there, packs of 250 g at 4.90.
  it('costs what is used, buys whole packs, and leaves the rest', () => {
    const line = shopping(1.045, 0.5, 0.25, 4.9, 0.846);
    expect(line.packs).toBe(3);
    expect(line.cost).toBeCloseTo(14.7, 9);
    expect(line.usedCost).toBeCloseTo((0.846 / 0.25) * 4.9, 9);
    expect(line.left).toBeCloseTo(0.5 + 0.75 - 0.846, 9);
  });

  it('is free at a price of nought, and has no cost where no price is known', () => {
    expect(shopping(1, 0, 0.25, 0)).toMatchObject({ packs: 4, cost: 0, usedCost: 0 });
    expect(shopping(1, 0, 0.25, undefined)).toMatchObject({ cost: undefined, usedCost: undefined });
  });
});
