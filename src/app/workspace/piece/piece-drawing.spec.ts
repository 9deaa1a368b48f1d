import { assembled } from '../../../core/plan/assembled';
import { draftPlan } from '../../../core/plan/draft';
import type { Casting, Finish } from '../../../core/record/casting';
import { demoCastings } from '../../../data/demo';
import { Bench, closeWorkers, MONDAY, openDemo } from '../../../testing/bench';
import type { CastingStore } from '../../state/casting-store';
import { PieceDrawing } from './piece-drawing';
import { pieceGeometry, type PieceGeometry } from './piece-geometry';
import type { PlanDraft } from '../../../core/plan/plan-types';

const MARGIN = { top: 40, bottom: 20, left: 50, right: 160 };
const demo = (id: string): Casting =>
  demoCastings(MONDAY).find((casting) => casting.id === id) ?? demoCastings(MONDAY)[0];
const drawn = (plan: PlanDraft, width = 600, height = 500): PieceGeometry => pieceGeometry(plan, width, height, MARGIN);
const withFinish = (
  id: string,
  finish: Readonly<Record<string, unknown>> & { readonly kind: Finish['kind'] },
): PieceGeometry => {
  const casting = demo(id);
  casting.finishes = [{ id: 'f', name: finish.kind, sets: [], ...finish } as unknown as Finish];
  return drawn(draftPlan(casting));
};
/** Lowest, highest, and how many of what a path is made of. */
const points = (path: string): number[][] =>
  [...path.matchAll(/(-?[\d.]+)[ ,](-?[\d.]+)(?=[A-Z]|$)/g)].map(([, x, y]) => [Number(x), Number(y)]);
const shapes = (path: string): number => (path.match(/Z/g) ?? []).length;

describe('the geometry of a finished piece', () => {
  it('is to scale and between its margins, whichever way it is bound by', () => {
    for (const [id, width, height] of [
      ['demo-bombs', 600, 500],
      ['demo-bonbons', 600, 500],
      ['demo-pears', 366, 300],
      ['demo-owls', 900, 260],
    ] as const) {
      const plan = draftPlan(demo(id));
      const g = drawn(plan, width, height);
      expect(g.groundY - g.topY).toBeCloseTo(assembled(plan).height.value * g.pxPerM, 6);
      expect(g.topY).toBeGreaterThanOrEqual(MARGIN.top - 1e-6);
      expect(g.groundY).toBeLessThanOrEqual(height - MARGIN.bottom + 1e-6);
      expect(g.axisX - g.halfWidth).toBeGreaterThanOrEqual(MARGIN.left - 1e-6);
      expect(g.axisX + g.halfWidth).toBeLessThanOrEqual(width - MARGIN.right + 1e-6);
      for (const { cut, placed } of g.parts.filter((part) => !part.placed.draft.coat.body)) {
        for (const [, y] of cut.coatPaths.flatMap(points))
          expect([placed.draft.part.name, y <= g.groundY + 0.01 && y >= g.topY - 0.01]).toEqual([
            placed.draft.part.name,
            true,
          ]);
      }
    }
  });

  it('draws the cap on the ground, and its edge as thick as the cap', () => {
    const g = drawn(draftPlan(demo('demo-bonbons')));
    expect(g.groundY - (g.cap?.y ?? 0)).toBeCloseTo(0.0025 * g.pxPerM, 6);
    expect(drawn(draftPlan(demo('demo-bombs'))).cap).toBeUndefined();
  });

  it('covers as much of the outside as a dust does, from the top down: half of a ball down to its seam', () => {
    const g = withFinish('demo-bombs', { kind: 'dust', share: 0.5 });
    const ys = points(`${g.finishes[0].path.replaceAll('L', 'ZL').replaceAll(',', ' ')}`).map(([, y]) => y);
    expect(Math.min(...ys)).toBeCloseTo(g.topY, 0);
    expect(Math.max(...ys) - g.topY).toBeGreaterThan(0.97 * 0.032 * g.pxPerM - 3);
  });

  it('stands so many as are stuck on about the middle, one of an odd number in it', () => {
    const stuck = (count: number): PieceGeometry =>
      withFinish('demo-bombs', { kind: 'stickOn', fillingId: 'lentils', count, meltId: 'melt-1' });
    for (const count of [1, 2, 3, 6]) expect([count, shapes(stuck(count).finishes[0].path)]).toEqual([count, count]);
    expect(
      shapes(
        withFinish('demo-acorns', { kind: 'stickOn', fillingId: 'lentils', count: 3, meltId: 'melt-1' }).finishes[0]
          .path,
      ),
    ).toBe(3);
    const one = stuck(1);
    expect(Math.abs(one.finishes[0].at.x - one.axisX)).toBeLessThan(1);
  });

  it('keeps on an open part what goes on from its rim down, off the ground', () => {
    for (const finish of [
      { kind: 'stickOn', fillingId: 'lentils', count: 6, meltId: 'melt-1' },
      { kind: 'dust', share: 0.3 },
    ] as const) {
      const g = withFinish('demo-acorns', finish);
      const ys = points(g.finishes[0].path.replaceAll('L', 'ZL').replaceAll(',', ' ')).map(([, y]) => y);
      expect(Math.max(...ys)).toBeLessThan(g.groundY);
      expect(Math.min(...ys)).toBeLessThan(g.topY + 0.5 * (g.groundY - g.topY));
    }
  });

  it('lays more threads the more of it is covered', () => {
    const threads = [0.1, 0.3, 0.6].map((share) =>
      shapes(withFinish('demo-bombs', { kind: 'drizzle', meltId: 'melt-1', lineM: 0.002, share }).finishes[0].path),
    );
    expect(threads[1]).toBeGreaterThan(2 * threads[0]);
    expect(threads[2]).toBeGreaterThan(threads[1]);
  });
});

describe('the drawing of a finished piece', () => {
  let store: CastingStore;
  const begin = async (id: Parameters<typeof openDemo>[0]): Promise<Bench<PieceDrawing>> => {
    store = await openDemo(id);
    return Bench.of(PieceDrawing);
  };

  afterEach(() => {
    document.body.replaceChildren();
    closeWorkers();
  });

  it('names each part with its weight, how tall it is, and says all of it to those who do not see it', async () => {
    const bench = await begin('demo-bombs');
    for (const name of ['Half, on top', 'Half, below', 'Small marshmallows', 'Rim lost on the plate'])
      expect(bench.text).toContain(name);
    expect(bench.text).toMatch(/To scale, as it is served: 64 mm tall, 5\d g a piece\./);
    expect(bench.all('svg[role="img"]')[0].getAttribute('aria-label')).toMatch(
      /^The piece cut through, 64 mm wide and 64 mm tall\. From the top: Half, on top \d\d g, Rim lost on the plate 0\.\d+ mm, Small marshmallows /,
    );
  });

  it('has a cap that grows and shrinks by its edge, within what a cap may be', async () => {
    const bench = await begin('demo-bonbons');
    const [handle] = bench.all('[role="slider"]');
    expect(handle.getAttribute('aria-valuetext')).toBe('2.5 mm');
    for (let i = 0; i < 3; i++) handle.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', bubbles: true }));
    await bench.settle();
    // It is what the filling leaves: thicker, the lower that is filled.
    const filledTo = (): unknown => store.current()?.fill[0].amount;
    expect(filledTo()).toEqual({ by: 'line', belowRimM: expect.closeTo(0.0028, 9) as number });
    for (let i = 0; i < 400; i++)
      handle.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', bubbles: true }));
    await bench.settle();
    expect(filledTo()).toEqual({ by: 'line', belowRimM: expect.closeTo(0.0005, 9) as number });
  });

  it('has a spooned cap that takes more or less as it is dragged', async () => {
    const bench = await begin('demo-bonbons');
    store.edit('closing', (casting) => {
      casting.closure = { kind: 'dosedCap', meltId: 'melt-1', doseM3: 0.9e-6, sets: [{ place: 'fridge' }] };
    });
    await bench.settle();
    const dose = (): number => (store.current()?.closure as { doseM3: number }).doseM3;
    const [handle] = bench.all('[role="slider"]');
    handle.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', bubbles: true }));
    await bench.settle();
    expect(dose()).toBeGreaterThan(0.9e-6);
    handle.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', bubbles: true }));
    await bench.settle();
    expect(dose()).toBeCloseTo(0.9e-6, 7);
  });

  it('tells what is not joined yet', async () => {
    const bench = await begin('demo-bombs');
    store.edit('closing', (casting) => (casting.closure = null));
    await bench.settle();
    expect(bench.text).toContain('Not joined yet: 1 × Half');
  });
});
