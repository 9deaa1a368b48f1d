import fc from 'fast-check';
import type { Finish } from '../record/casting';
import { demoCastings } from '../../data/demo';
import { planned } from '../../testing/planned';
import { finishStation } from './finish';

const OUTSIDE = 4 * Math.PI * 0.032 ** 2;
const seeds = { bulkDensity: 600, pieceKg: 0.00002, pieceM: 0.0035 };
const finish = (of: Partial<Finish> & Pick<Finish, 'kind'>, topping: typeof seeds | null = seeds) =>
  finishStation({
    finish: {
      id: 'f',
      name: 'f',
      sets: [],
      share: 0.2,
      lineM: 0.002,
      count: 3,
      by: 'dot',
      meltId: 'm',
      fillingId: 's',
      ...of,
    } as unknown as Finish,
    outsideM2: OUTSIDE,
    faceM2: undefined,
    meltKind: of.kind === 'drizzle' || of.kind === 'stickOn' ? 'white' : undefined,
    topping: topping ?? undefined,
  });

describe('finishing', () => {
  it('drizzles a ball of 64 mm with threads of 2 mm over a fifth of it: 1.29 m of thread, 2.5 g (mensuration)', () => {
    const lengthM = (0.2 * OUTSIDE) / 0.002;
    expect(lengthM).toBeCloseTo(1.287, 3);
    expect(finish({ kind: 'drizzle' }).chocolate?.value).toBeCloseTo(lengthM * (Math.PI / 8) * 0.002 ** 2 * 1220, 12);
  });

  it('sprinkles one layer, and dusts and paints some tenths of a gram to some grams', () => {
    expect(finish({ kind: 'sprinkle' }).material?.value).toBeCloseTo(0.2 * OUTSIDE * 0.0035 * 600, 12);
    expect((finish({ kind: 'dust' }).material?.value ?? 0) * 1e3).toBeLessThan(0.1);
    expect((finish({ kind: 'paint' }).material?.value ?? 0) * 1e3).toBeLessThan(1);
    expect(finish({ kind: 'dust' }).chocolate).toBeUndefined();
  });

  // Common practice, no source: 72 cm² is the open face of a tile of 120 by 60 mm.
  it('sprinkles the open face of a tile and not its floor and sides; dust goes all over', () => {
    const [tiles] = demoCastings(new Date('2026-10-12T08:00:00Z')).filter(({ id }) => id === 'demo-tiles');
    const sprinkled: Finish = { id: 's', name: 's', kind: 'sprinkle', fillingId: 'seeds', share: 1, sets: [] };
    const dusted: Finish = { id: 'd', name: 'd', kind: 'dust', share: 1, sets: [] };
    const plan = planned({ ...tiles, closure: null, finishes: [sprinkled, dusted] });
    const area = (i: number) => plan.finishes[i].material?.terms[0];
    expect(area(0)).toMatchObject({ name: 'openFace' });
    expect(Number(area(0)?.value) * 1e4).toBeCloseTo(71.7, 1);
    expect(area(1)).toMatchObject({ name: 'outside' });
    expect(Number(area(1)?.value) * 1e4).toBeGreaterThan(100);
  });

  // Common practice, no source: a dot of chocolate, held 15 to 20 s.
  it('sticks things on with a dot each, held 15 to 20 s; a part that is cast is weighed with the parts', () => {
    const stuck = finish({ kind: 'stickOn' });
    expect(stuck.chocolate?.value).toBeCloseTo(3 * 0.5e-6 * 1220, 12);
    expect(stuck.material?.value).toBeCloseTo(3 * 0.00002, 12);
    expect(stuck.held?.value).toBeGreaterThanOrEqual(15);
    expect(stuck.held?.value).toBeLessThanOrEqual(20);
    expect(finish({ kind: 'stickOn' }, null).material).toBeUndefined();
    // Melted into a notch it takes no dot, and longer.
    const melted = finish({ kind: 'stickOn', by: 'melted' });
    expect(melted.chocolate).toBeUndefined();
    expect(melted.hands.value).toBeGreaterThan(stuck.hands.value);
  });

  it('takes the user’s own drying time', () => {
    expect(finish({ kind: 'paint' }).dries.value).toBe(1200);
    expect(finish({ kind: 'paint', sets: [{ place: 'room', seconds: 3600 }] }).dries.value).toBe(3600);
  });

  it('takes in proportion to what it covers', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('drizzle', 'sprinkle', 'dust', 'paint'),
        fc.double({ min: 0.01, max: 0.5, noNaN: true }),
        (kind, share) => {
          const takes = (of: number): number =>
            [finish({ kind, share: of } as Finish)].reduce(
              (sum, { chocolate, material }) => sum + (chocolate?.value ?? 0) + (material?.value ?? 0),
              0,
            );
          expect(takes(2 * share)).toBeCloseTo(2 * takes(share), 12);
        },
      ),
    );
  });
});
