import { demoCastings } from '../../data/demo';
import { planned } from '../../testing/planned';
import type { Casting } from '../record/casting';
import type { Filling } from '../record/filling';
import { fillingMasses } from '../plan/needs';
import { castsAlike } from '../plan/batch-input';
import { dipStation, type DipInput } from './dip';
import { pieceKg, pieceWidthM } from './packing';

const berries: Filling = {
  id: 'berries',
  name: 'Berries',
  kind: 'wholeFruit',
  bulkDensity: 600,
  allergens: [],
  recipe: [],
};
const kitchen = { roomC: 20, fridgeC: 5, freezerC: -18, fridgeFan: false, freezerFan: false };
const dipped = (change: Partial<DipInput> = {}) => {
  const chocolate = { kind: 'dark', fluidity: 'medium', fatShare: 0.36 } as const;
  const dip = dipStation({ filling: berries, chocolate, workingC: 31.5, kitchen, ...change });
  if (!dip) throw new Error('not in pieces');
  return dip;
};
const at = (fluidity: 'fluid' | 'medium' | 'thick') =>
  dipped({ chocolate: { kind: 'dark', fluidity, fatShare: 0.36 } }).thickness.value;

describe('dipping', () => {
  it('lays a film of about a millimetre on a berry, as a shell between two balls', () => {
    const { thickness, mass, dipped: grown, chocolateShare } = dipped();
    expect(thickness.value * 1e3).toBeGreaterThan(0.4);
    expect(thickness.value * 1e3).toBeLessThan(2.5);
    const d = pieceWidthM(berries) ?? 0;
    expect(mass.value).toBeCloseTo((Math.PI / 6) * ((d + 2 * thickness.value) ** 3 - d ** 3) * 1280, 3);
    // What goes in is as wide as berry and film, and as heavy.
    expect(pieceWidthM(grown)).toBeCloseTo(d + 2 * thickness.value, 9);
    expect(pieceKg(grown)).toBeCloseTo(pieceKg(berries) + mass.value, 12);
    expect(chocolateShare * pieceKg(grown)).toBeCloseTo(mass.value, 12);
  });

  it('takes more of what runs slower, is worked cooler, or is larger; never more than a quarter of the piece', () => {
    expect(at('fluid')).toBeLessThan(at('medium'));
    expect(at('medium')).toBeLessThan(at('thick'));
    let before = Infinity;
    for (let c = 29; c <= 34; c += 0.05) {
      const now = dipped({ workingC: c }).thickness.value;
      expect(now).toBeLessThanOrEqual(before);
      if (Number.isFinite(before)) expect(before - now).toBeLessThan(0.01 * before);
      before = now;
    }
    expect(dipped({ filling: { ...berries, pieceKg: 0.02 } }).thickness.value).toBeGreaterThan(at('medium'));
    const tiny = { ...berries, pieceKg: 0.00001 };
    expect(dipped({ filling: tiny }).thickness.value).toBeCloseTo(0.25 * (pieceWidthM(tiny) ?? 0), 9);
  });

  it('sets in some minutes in the room, later in a warmer one, never above what melts it', () => {
    const sets = (roomC: number): number => dipped({ kitchen: { ...kitchen, roomC } }).sets.value;
    // Common practice, no source: 15 to 30 min.
    expect(sets(20)).toBeGreaterThan(15 * 60);
    expect(sets(20)).toBeLessThan(30 * 60);
    expect(sets(18)).toBeLessThan(sets(22));
    expect(sets(33)).toBe(Infinity);
  });

  it('is for what comes in pieces: a cream is not dipped', () => {
    const chocolate = { kind: 'dark', fluidity: 'medium', fatShare: 0.36 } as const;
    const cream = { ...berries, kind: 'ganache' } as const;
    expect(dipStation({ filling: cream, chocolate, workingC: 31.5, kitchen })).toBeUndefined();
  });

  it('is melted, bought and weighed with the piece, and done before the piece is filled', () => {
    const casting = demoCastings(new Date('2026-10-12T08:00:00Z'))[0];
    const bombs: Casting = {
      ...casting,
      fillings: [berries],
      fill: [{ id: 'layer', partId: casting.parts[0].id, fillingId: 'berries', amount: { by: 'count', count: 2 } }],
    };
    const bare = planned(bombs);
    const plan = planned({ ...bombs, fill: [{ ...bombs.fill[0], dip: { meltId: bombs.melts[0].id } }] });
    const { dip } = plan.dips[0];
    expect(plan.fill.layers[0].count?.value).toBe(2);
    expect(plan.batch.melts[0].dipping.value).toBeCloseTo(2 * dip.mass.value * bombs.pieces, 9);
    expect(plan.piece.mass.value - bare.piece.mass.value).toBeCloseTo(2 * dip.mass.value, 9);
    expect(plan.batch.melts[0].melted.value - bare.batch.melts[0].melted.value).toBeGreaterThan(
      2 * dip.mass.value * bombs.pieces * 0.999,
    );
    // Berries are bought as they are, without their chocolate.
    expect(fillingMasses(plan, 18, castsAlike(plan.batch)).get('berries')).toBeCloseTo(18 * 2 * 0.006, 9);
    const kinds = plan.batch.timeline.wholeJob.map(({ kind }) => kind);
    expect(kinds.indexOf('dip')).toBeLessThan(kinds.indexOf('fill'));
    expect(plan.batch.timeline.wholeJob.find(({ kind }) => kind === 'dip')?.seconds).toBeCloseTo(18 * 2 * 10, 9);
  });
});
