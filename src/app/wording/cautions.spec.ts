import { SHIPPED_MOLDS } from '../../data/mold-library';
import { demoCastings, newCasting } from '../../data/demo';
import { draftPlan } from '../../core/plan/draft';
import { makeBy } from '../../core/edit/methods';
import type { Casting } from '../../core/record/casting';
import { allCautions, cautionsAt, guestCautions } from './cautions';

const NOW = new Date('2026-10-12T08:00:00Z');
const castIn = (id: string, change: (casting: Casting) => void = () => undefined): Casting => {
  const mold = SHIPPED_MOLDS.find((candidate) => candidate.id === id);
  if (!mold) throw new Error(id);
  const casting = newCasting('m', 'made', NOW);
  casting.molds = [structuredClone(mold)];
  Object.assign(casting.parts[0], { moldId: id, cavityId: mold.cavities[0].id });
  change(casting);
  return casting;
};
const at = (casting: Casting, station: 'mold' | 'fill' | 'chill' | 'close'): string =>
  cautionsAt(station, draftPlan(casting)).join(' ');

describe('what is to be minded', () => {
  it('is said at each station for what is really there, and all of it on the sheet', () => {
    const balloon = castIn('balloon');
    for (const station of ['mold', 'fill', 'chill'] as const) expect(at(balloon, station)).toContain('find every one');
    expect(at(balloon, 'close')).not.toContain('Latex');
    const bottle = castIn('bottle');
    expect(at(bottle, 'chill')).toBe('');
    makeBy(bottle, 'turn', draftPlan(bottle));
    expect(at(bottle, 'chill')).toContain('knife away from every hand');
    bottle.molds[0].material = 'glass';
    expect(at(bottle, 'mold')).toMatch(/never cut off food.*plastic bottle or a tin/);
    bottle.molds[0].material = 'tin';
    expect(at(bottle, 'chill')).toBe('Cut edges of a tin are sharp.');
  });

  it('is the heat of plates, sugar and drinks, and what is not to be bitten or swallowed', () => {
    const [bombs] = demoCastings(NOW);
    expect(at(bombs, 'close')).toContain('Hot plates burn');
    expect(at(bombs, 'fill')).toMatch(/Hot drinks burn.*boils over late.*not to be bitten/);
    expect(allCautions(draftPlan(bombs))).toHaveLength(2);
    expect(guestCautions(draftPlan(bombs))).toEqual([
      expect.stringMatching(/not to be bitten.*hot milk.*boil over late/),
    ]);
    const bonbons = demoCastings(NOW).find(({ id }) => id === 'demo-bonbons') ?? bombs;
    expect(allCautions(draftPlan(bonbons))).toEqual([]);
    for (const [kind, said] of [
      ['caramel', 'spatter'],
      ['custard', 'Cook egg custard through'],
      ['surprise', 'choking hazard'],
    ] as const) {
      bombs.fillings[0].kind = kind;
      expect(at(bombs, 'fill')).toContain(said);
    }
    expect(guestCautions(draftPlan(bombs)).join(' ')).toMatch(/not to be eaten.*shards fly/);
  });

  it('of what is broken open or hung is told at its closing, and to the guest', () => {
    const [bombs] = demoCastings(NOW);
    bombs.fillings.forEach((filling) => (filling.kind = 'sweets'));
    expect(at(bombs, 'close')).toContain('Shards fly');
    expect(guestCautions(draftPlan(bombs))).toEqual([expect.stringContaining('one short knock')]);
    // What is as small as a bite is bitten.
    for (const { cavities } of bombs.molds) cavities[0].shape = { kind: 'hemisphere', diameterM: 0.03 };
    expect(guestCautions(draftPlan(bombs))).toEqual([]);
    const balloon = castIn('balloon');
    expect(at(balloon, 'close')).toMatch(/knife away from every hand.*clear floor.*rated for its weight/);
    expect(at(balloon, 'chill')).toContain('the knife away');
  });
});
