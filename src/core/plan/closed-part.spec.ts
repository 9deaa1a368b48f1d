import { addPart } from '../edit/parts';
import { makeBy } from '../edit/methods';
import { usualClosing } from '../edit/closing';
import { demoCastings } from '../../data/demo';
import { SHIPPED_MOLDS } from '../../data/mold-library';
import { planned } from '../../testing/planned';
import { castIn } from '../edit/parts';
import type { Casting } from '../record/casting';
import { readCasting } from '../record/read-casting';
import { assembled } from './assembled';
import { closedIn, joinedPerPiece } from './closed-part';

const demo = (id: string): Casting =>
  demoCastings(new Date('2026-10-12T08:00:00Z')).find((casting) => casting.id === id) as Casting;

/** The bombs of the demo with a second ball of another mold in each piece. */
function twoSizes(moldId: string): Casting {
  const casting = demo('demo-bombs');
  const id = addPart(casting, casting.parts[0].id, 'size', 'Small half', '') ?? '';
  const mold = SHIPPED_MOLDS.find((one) => one.id === moldId);
  if (!mold) throw new Error(moldId);
  castIn(casting, id, mold);
  expect(readCasting(structuredClone(casting))).toMatchObject({ ok: true });
  return casting;
}

// Common practice, no source: balls of several sizes in one job, each closed by itself.
describe('several bodies in a piece', () => {
  const other = 'bites';

  it('are closed each by itself: what is added, lost and worked is the sum of what each would be alone', () => {
    const both = planned(twoSizes(other));
    expect(both.closings.map(({ partId, count }) => [partId, count])).toEqual([
      ['half', 1],
      ['part-2', 1],
    ]);
    const alone = [demo('demo-bombs'), twoSizes(other)].map((casting, i) => {
      if (i === 1) {
        casting.fill = casting.fill.filter(({ partId }) => partId === 'part-2');
        casting.parts = casting.parts.slice(1);
      }
      return planned(casting);
    });
    both.closings.forEach(({ close }, i) => {
      expect(close.plate?.lostMass.value).toBeCloseTo(alone[i].close?.plate?.lostMass.value ?? NaN, 12);
      expect(close.plate?.lost.value).toBeCloseTo(alone[i].close?.plate?.lost.value ?? NaN, 12);
    });
    expect(both.piece.mass.value).toBeCloseTo(alone[0].piece.mass.value + alone[1].piece.mass.value, 12);
    const closing = both.batch.timeline.wholeJob.find(({ kind }) => kind === 'close');
    expect(closing?.seconds).toBeCloseTo(2 * 25 * both.casting.pieces, 6);
  });

  it('take a line of chocolate each, and the melt holds it', () => {
    const casting = twoSizes(other);
    casting.closure = usualClosing(casting, 'pipedSeam');
    const plan = planned(casting);
    const seams = plan.closings.reduce((sum, { count, close }) => sum + count * close.mass.value, 0);
    expect(seams).toBeGreaterThan(plan.closings[0].close.mass.value * 1.2);
    expect(plan.melts.length).toBe(1);
    expect(plan.batch.melts[0].closing.value).toBeCloseTo(seams * casting.pieces, 12);
  });

  it('stand beside the one that is drawn, and nothing of them is loose', () => {
    const piece = assembled(planned(twoSizes(other)));
    expect(piece.beside.map(({ part, count }) => [part.name, count])).toEqual([['Small half', 1]]);
    expect(piece.loose).toEqual([]);
  });

  it('are capped each where they are cavities side by side', () => {
    const casting = demo('demo-bonbons');
    addPart(casting, casting.parts[0].id, 'size', 'Second', '');
    const plan = planned(casting);
    expect(plan.closings.map(({ partId }) => partId)).toEqual(casting.parts.map(({ id }) => id));
    for (const { chill } of plan.parts) expect(chill.cap?.stay.value).toBeGreaterThan(0);
    const caps = plan.closings.reduce((sum, { close }) => sum + close.mass.value, 0);
    expect(plan.piece.mass.terms.find(({ name }) => name === 'closing')?.value).toBeCloseTo(caps, 12);
    expect(plan.batch.melts[0].closing.value).toBeCloseTo(
      plan.closings.reduce((sum, { partId, close }) => {
        const cast = plan.batch.byPart.find((one) => one.partId === partId)?.parts.value ?? 0;
        return sum + cast * close.mass.value;
      }, 0),
      12,
    );
  });

  it('are found in pairs: alike halves, single ones two by two, and what is over stays loose', () => {
    const casting = demo('demo-bombs');
    const [model] = casting.parts;
    const withCounts = (...counts: number[]): Casting => ({
      ...casting,
      parts: counts.map((perPiece, i) => ({ ...model, id: `p${i}`, perPiece })),
    });
    const closed = (...counts: number[]) => closedIn(withCounts(...counts)).map(({ partId, count }) => [partId, count]);
    expect(closed(2)).toEqual([['p0', 1]]);
    expect(closed(4)).toEqual([['p0', 2]]);
    expect(closed(1, 1)).toEqual([['p0', 1]]);
    expect(closed(2, 1, 3)).toEqual([
      ['p0', 1],
      ['p1', 1],
      ['p2', 1],
    ]);
    expect(closed(1)).toEqual([['p0', 1]]);
    const joined = joinedPerPiece(withCounts(3, 2, 4));
    expect(['p0', 'p1', 'p2'].map(joined)).toEqual([2, 2, 4]);
  });

  it('of one size are as many times as much: four halves are two balls', () => {
    const casting = demo('demo-bombs');
    makeBy(casting, 'dump', planned(casting));
    casting.fill = [];
    const one = planned(casting);
    casting.parts[0].perPiece = 4;
    const two = planned(casting);
    expect(two.piece.mass.value).toBeCloseTo(2 * one.piece.mass.value, 12);
  });
});
