import { readWhole } from '../testing/read-whole';
import { readCasting } from '../core/record/read-casting';
import { readMold } from '../core/record/read-mold';
import { partsPerPiece } from '../core/record/mold-cavities';
import type { ShapeKind } from '../core/cavity/shape';
import { planned } from '../testing/planned';
import { newCasting } from './demo';
import { readMoldFile, writeMoldFile } from './mold-file';
import { SHIPPED_MOLDS, shippedMolds } from './mold-library';

const now = new Date('2026-10-12T08:00:00Z');
const everyCavity = SHIPPED_MOLDS.flatMap((mold) =>
  mold.cavities.map((cavity) => [`${mold.name}, ${cavity.name}`, mold, cavity] as const),
);

describe('shipped molds', () => {
  it('are whole records, one of each shape at least, under names of their own', () => {
    for (const mold of shippedMolds(now)) expect(readMold(mold).ok).toBe(true);
    const kinds = new Set(SHIPPED_MOLDS.flatMap((mold) => mold.cavities.map((cavity) => cavity.shape.kind)));
    const all: ShapeKind[] = [
      'hemisphere',
      'cap',
      'egg',
      'cylinder',
      'cup',
      'liner',
      'tile',
      'pillow',
      'faceted',
      'heart',
      'star',
      'drawn',
      'turned',
      'measured',
      'ball',
    ];
    expect(all.filter((kind) => !kinds.has(kind))).toEqual([]);
    expect(new Set(SHIPPED_MOLDS.map((mold) => mold.composition.kind))).toEqual(
      new Set(['single', 'halves', 'figure', 'press', 'former', 'assembly']),
    );
    expect(new Set(SHIPPED_MOLDS.map((mold) => mold.id)).size).toBe(SHIPPED_MOLDS.length);
    expect(new Set(SHIPPED_MOLDS.map((mold) => mold.name)).size).toBe(SHIPPED_MOLDS.length);
  });

  // No shape is silently treated as a half sphere: what is inside and what the shell takes make up the true cavity.
  it.each(everyCavity)('%s: every station answers, and shell and inside make up the cavity', (_, mold, cavity) => {
    const casting = newCasting('x', 'x', now);
    casting.molds = [structuredClone(mold)];
    Object.assign(casting.parts[0], { moldId: mold.id, cavityId: cavity.id, perPiece: partsPerPiece(mold, cavity.id) });
    expect(readCasting(casting).ok).toBe(true);
    const plan = planned(casting);
    for (const at of [plan.coat.total.rim, plan.coat.total.wall, plan.coat.total.base]) {
      expect(at.value * 1e3).toBeGreaterThan(1);
      expect(at.value * 1e3).toBeLessThan(8);
    }
    expect(Number.isFinite(plan.batch.melts[0].melted.value)).toBe(true);
    expect(plan.chill.coats.every((coat) => coat.stay.value > 60)).toBe(true);
    if (!plan.cavity.outward)
      expect(Math.abs((plan.fill.capacity.value + plan.coat.volumeM3) / plan.cavity.volumeM3 - 1)).toBeLessThan(0.06);
    if (mold.composition.kind === 'press') {
      expect(plan.coat.coats).toHaveLength(1);
      expect(plan.coat.total.rim.value).toBeCloseTo(0.003, 9);
    }
  });

  it('come back from a file as they went out', () => {
    const molds = shippedMolds(now);
    expect(readWhole(readMoldFile(writeMoldFile(molds, now)))).toEqual({ ok: true, records: molds, bad: [] });
  });

  it('of a file are taken one by one, the bad ones named', () => {
    const file = JSON.parse(writeMoldFile(shippedMolds(now), now)) as { molds: Record<string, unknown>[] };
    file.molds[2]['material'] = 'cheese';
    file.molds[4]['composition'] = { kind: 'figure', frontId: 'front', backId: 'gone' };
    file.molds[5]['schemaVersion'] = 9;
    const read = readWhole(readMoldFile(JSON.stringify(file)));
    expect(read.ok && read.records).toHaveLength(SHIPPED_MOLDS.length - 3);
    expect(read.bad).toMatchObject([
      { position: 3, problem: { problem: 'badValue', path: 'material' } },
      { position: 5, problem: { problem: 'brokenReference', path: 'composition.backId' } },
      { position: 6, problem: { problem: 'newerVersion' } },
    ]);
    expect(
      readWhole(readMoldFile(JSON.stringify({ format: 'kilnstone castings', formatVersion: 1, castings: [] }))),
    ).toMatchObject({ ok: false, problem: 'otherFile' });
  });
});

describe('a mold’s record', () => {
  const mold = shippedMolds(now)[0];
  const withShape = (shape: unknown): unknown => ({ ...mold, cavities: [{ ...mold.cavities[0], shape }] });

  it.each([
    ['a cap deeper than half a sphere', { kind: 'cap', diameterM: 0.06, depthM: 0.05 }],
    [
      'a profile that goes back',
      {
        kind: 'turned',
        points: [
          { radiusM: 0, heightM: 0 },
          { radiusM: 0.02, heightM: 0.02 },
          { radiusM: 0.03, heightM: 0.01 },
        ],
      },
    ],
    ['a metre', { kind: 'hemisphere', diameterM: 1 }],
    ['a shape unheard of', { kind: 'torus', diameterM: 0.05 }],
  ])('refuses %s', (_, shape) => {
    expect(readMold(withShape(shape))).toMatchObject({ ok: false, problem: 'badValue' });
  });

  it('refuses more than sixty cavities of a kind, and takes sixty', () => {
    const grid = (rows: number, columns: number): unknown => ({
      ...mold,
      cavities: [{ ...mold.cavities[0], rows, columns }],
    });
    expect(readMold(grid(6, 10)).ok).toBe(true);
    expect(readMold(grid(7, 9)).ok).toBe(false);
  });

  it.each([[null], ['text'], [[]], [{ schemaVersion: 1 }]])('refuses %j', (raw) => {
    expect(readMold(raw).ok).toBe(false);
  });
});
