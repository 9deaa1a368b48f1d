import fc from 'fast-check';
import { newCasting } from '../../data/demo';
import { SHIPPED_MOLDS } from '../../data/mold-library';
import { anyShape } from '../../testing/arbitrary-shape';
import { planned } from '../../testing/planned';
import { checkShape } from '../cavity/check-shape';
import { MOLD_MATERIALS } from '../matter/mold-material';
import type { Casting } from '../record/casting';
import { LIMITS } from '../record/limits';
import { MoldSchema, type Mold, type MoldCavity } from '../record/mold';
import { readCasting } from '../record/read-casting';
import { castAs, moldByMeasures } from './cast-as';
import { cavitiesFor, isOfKind, PIECE_KINDS, PIECES, type PieceKind } from './piece-kinds';

const MONDAY = new Date('2026-10-12T08:00:00Z');

function cast(kind: PieceKind, mold: Mold, cavity: MoldCavity): Casting {
  const casting = newCasting('x', 'x', MONDAY);
  castAs(
    casting,
    kind,
    mold,
    cavity.id,
    (kinds) => casting.fillings.find((filling) => kinds.includes(filling.kind))?.id,
  );
  return casting;
}

const usual = (kind: PieceKind): Mold => {
  const [a, b] = PIECES[kind].measures;
  return moldByMeasures(kind, 'new', 'New', a.usualM, b.usualM);
};

describe('kinds of piece', () => {
  it('every shipped mold is there for one of them', () => {
    const without = SHIPPED_MOLDS.filter((mold) => PIECE_KINDS.every((kind) => cavitiesFor(kind, mold).length === 0));
    expect(without.map(({ name }) => name)).toEqual([]);
  });

  it.each(PIECE_KINDS)('%s: there is a shipped mold for it', (kind) => {
    expect(SHIPPED_MOLDS.some((mold) => cavitiesFor(kind, mold).length > 0)).toBe(true);
  });

  it.each(PIECE_KINDS)('%s: a new mold by its usual measures is a mold, and one of its kind', (kind) => {
    const mold = usual(kind);
    expect(MoldSchema.safeParse(mold).success).toBe(true);
    expect(cavitiesFor(kind, mold).length).toBeGreaterThan(0);
  });

  it.each(PIECE_KINDS)('%s: any two measures give a shape, or one whose trouble can be told', (kind) => {
    const { measures } = PIECES[kind];
    const ends = measures.map(({ limit }) => [LIMITS[limit].low, LIMITS[limit].high]);
    for (const a of ends[0])
      for (const b of ends[1]) {
        const mold = moldByMeasures(kind, 'new', 'New', a, b);
        const told = mold.cavities.some(({ shape }) => checkShape(shape) !== undefined);
        expect([a, b, told || MoldSchema.safeParse(mold).success]).toEqual([a, b, true]);
      }
  });

  const castings = PIECE_KINDS.flatMap((kind) =>
    [...SHIPPED_MOLDS, usual(kind)].flatMap((mold) =>
      cavitiesFor(kind, mold).map((cavity) => [`${kind} in ${mold.name}, ${cavity.name}`, kind, mold, cavity] as const),
    ),
  );

  it.each(castings)('%s: reads back, is of its kind, and can be made with nothing to mend', (_, kind, mold, cavity) => {
    const casting = cast(kind, mold, cavity);
    expect(readCasting(structuredClone(casting))).toMatchObject({ ok: true, casting });
    expect(isOfKind(kind, casting)).toBe(true);
    const { batch, problems } = planned(casting);
    expect(Number.isFinite(batch.total.value)).toBe(true);
    // Long jobs and thin rims are the mold's and the number's; all else is of how it was begun.
    expect(problems.map(({ key }) => key).filter((key) => key !== 'longJob')).toEqual([]);
  });

  it('whatever mold there is, something is cast in it, and the casting reads back', () => {
    const compositions = fc.constantFrom<Mold['composition']>(
      { kind: 'single' },
      { kind: 'halves' },
      { kind: 'former' },
      { kind: 'press', gap: { by: 'width', gapM: 0.003 } },
      { kind: 'figure', frontId: 'c', backId: 'c' },
      { kind: 'assembly', parts: [{ cavityId: 'c', perPiece: 2 }] },
    );
    const [any] = SHIPPED_MOLDS;
    fc.assert(
      fc.property(anyShape, compositions, fc.constantFrom(...MOLD_MATERIALS), (shape, composition, material) => {
        const cavity = { id: 'c', name: 'Cavity', shape, rows: 1, columns: 2 } as MoldCavity;
        const mold: Mold = { ...any, id: 'm', material, composition, cavities: [cavity] };
        const kind = PIECE_KINDS.find((one) => cavitiesFor(one, mold).length > 0);
        if (!kind) throw new Error(`nothing is cast in ${composition.kind} of ${shape.kind}`);
        const casting = cast(kind, mold, cavity);
        expect(readCasting(structuredClone(casting))).toMatchObject({ ok: true, casting });
        expect(isOfKind(kind, casting)).toBe(true);
      }),
      { numRuns: 150 },
    );
  });

  it('a bonbon is capped and filled, a bomb joined, a tile solid and open', () => {
    const [bonbon, bomb, tile] = (['bonbon', 'bomb', 'tile'] as const).map((kind) =>
      cast(kind, usual(kind), usual(kind).cavities[0]),
    );
    expect(bonbon.closure?.kind).toBe('cap');
    expect(bonbon.fill).toHaveLength(1);
    expect(bomb.closure?.kind).toBe('warmPlate');
    expect(bomb.fill.map(({ fillingId }) => fillingId)).toEqual(['spice', 'mallows']);
    expect(tile.closure).toBeNull();
    expect(tile.parts[0].coats.map(({ method }) => method)).toEqual(['solid']);
  });
});
