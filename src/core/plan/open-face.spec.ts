import { demoCastings } from '../../data/demo';
import { planned } from '../../testing/planned';
import { chillCasting } from '../chill/chill';
import type { Casting, Finish } from '../record/casting';
import { draftPlan } from './draft';
import { chillsOf } from './makings';
import { larderNeeds } from './larder';
import { finishPlan } from './plan';

const NOW = new Date('2026-10-12T08:00:00Z');
const seeds = (share = 1): Finish => ({
  id: 's',
  name: 'Seeds',
  kind: 'sprinkle',
  fillingId: 'seeds',
  share,
  sets: [],
});
const demo = (id: string, finishes: Finish[]): Casting => {
  const supper = demoCastings(NOW);
  const casting = supper.find((one) => one.id === id) as Casting;
  const { fillings } = supper.find((one) => one.fillings.some((filling) => filling.id === 'seeds')) as Casting;
  const strewn = fillings.filter((filling) => filling.id === 'seeds');
  const others = casting.fillings.filter((filling) => filling.id !== 'seeds');
  return { ...casting, fillings: [...others, ...strewn], finishes };
};
/** With every place's chill, as the worker computes it. */
const inFull = (casting: Casting) => {
  const draft = draftPlan(casting);
  return finishPlan(draft, chillsOf(draft, chillCasting));
};
const kindsOf = (casting: Casting): string[] => planned(casting).batch.timeline.oneRound.map(({ kind }) => kind);

// Common practice, no source: toppings go on the wet last layer or cap, then the cold.
describe('a topping on an open face', () => {
  it('goes on a tile that is still wet, before the cold, and not once it is out of the mold', () => {
    const kinds = kindsOf(demo('demo-tiles', [seeds()]));
    // Its second layer is the last.
    expect(kinds.slice(0, 6)).toEqual(['melt', 'coat', 'chill', 'coat', 'finish', 'chill']);
    expect(kinds.indexOf('finish')).toBe(kinds.lastIndexOf('finish'));
    expect(planned(demo('demo-tiles', [seeds()])).finishes[0].dries.value).toBe(0);
  });

  it('goes on a cap before that goes into the cold', () => {
    const kinds = kindsOf(demo('demo-bonbons', [seeds()]));
    expect(kinds.slice(kinds.indexOf('close'), kinds.indexOf('close') + 3)).toEqual(['close', 'finish', 'chill']);
  });

  it('is strewn on what is cast, spares with the rest, and so much is bought', () => {
    const plan = planned(demo('demo-tiles', [seeds(0.5)]));
    const each = plan.finishes[0].material?.value ?? 0;
    const bought = larderNeeds(plan).find(({ name }) => /seed/i.test(name));
    expect(bought?.neededKg).toBeCloseTo(each * plan.batch.byPart[0].parts.value, 9);
    expect(plan.batch.byPart[0].parts.value).toBeGreaterThan(plan.casting.pieces);
  });

  it('has some minutes, longer in a warmer room, and says when a mold full of them takes longer', () => {
    const tiles = demo('demo-tiles', [seeds()]);
    const wetAt = (roomC: number): number =>
      inFull({ ...tiles, kitchen: { ...tiles.kitchen, roomC } }).wet?.value ?? NaN;
    for (let roomC = 16; roomC < 22; roomC += 2) expect(wetAt(roomC + 2)).toBeGreaterThan(wetAt(roomC));
    expect(wetAt(20)).toBeGreaterThan(120);
    const bonbons = demo('demo-bonbons', [seeds()]);
    expect(planned(bonbons).wet?.rule).toBe('finish.wet');
    const many = structuredClone(bonbons);
    many.molds[0].cavities[0].columns = 40;
    many.molds[0].cavities[0].rows = 40;
    expect(planned(many).problems.map(({ key }) => key)).toContain('dryTopping');
    expect(planned(bonbons).problems.map(({ key }) => key)).not.toContain('dryTopping');
  });

  it('is no matter of shells that are closed, or of what is brushed on later', () => {
    const bombs = planned(demo('demo-bombs', [seeds()]));
    expect(bombs.finishes[0].wet).toBe(false);
    expect(bombs.wet).toBeUndefined();
    const dusted = planned(demo('demo-tiles', [{ id: 'd', name: 'Dust', kind: 'dust', share: 1, sets: [] }]));
    expect([dusted.finishes[0].wet, dusted.wet]).toEqual([false, undefined]);
  });
});
