import { demoCastings, demoOccasions } from '../../data/demo';
import { planned } from '../../testing/planned';
import { allSupplies, suppliesOf } from '../plan/supplies';
import type { PackedSet } from '../record/occasion';
import { occasionNeeds } from './occasion-needs';
import { occasionSteps } from './occasion-steps';
import { occasionWork } from './occasion-work';
import { castSo, packablesOf, packedOf, packingSupplies } from './packing';
import { piecesOfEach } from '../record/variants';

const MONDAY = new Date('2026-10-12T08:00:00Z');
const [supper] = demoOccasions(MONDAY);
const castings = demoCastings(MONDAY).filter(({ id }) => ['demo-bombs', 'demo-pears', 'demo-tiles'].includes(id));
const plans = castings.map((casting) => planned(casting));
const box: PackedSet = {
  id: 'gift',
  name: 'Gift',
  count: 6,
  wrap: 'box',
  contents: [
    { castingId: 'demo-bombs', pieces: 2 },
    { castingId: 'demo-tiles', pieces: 1 },
  ],
};
const bag: PackedSet = { ...box, id: 'bag', count: 4, wrap: 'bag', contents: [{ castingId: 'demo-bombs', pieces: 1 }] };

describe('packing', () => {
  it('takes boxes with a tag, and a liner for each piece; bags with a tie and a tag', () => {
    expect(allSupplies(packingSupplies([box, bag]))).toEqual([
      { kind: 'liner', count: 18 },
      { kind: 'bag', count: 4 },
      { kind: 'tie', count: 4 },
      { kind: 'box', count: 6 },
      { kind: 'tag', count: 10 },
    ]);
    expect(packingSupplies([{ ...box, contents: [] }])).toEqual([]);
  });

  it('counts what is packed, left over and short', () => {
    const pieces = [
      { castingId: 'demo-bombs', pieces: 15 },
      { castingId: 'demo-tiles', pieces: 10 },
      { castingId: 'demo-pears', pieces: 3 },
    ];
    expect(packedOf([box, bag], pieces).map(({ castingId, packed, left }) => [castingId, packed, left])).toEqual([
      ['demo-bombs', 16, -1],
      ['demo-tiles', 6, 4],
      ['demo-pears', 0, 3],
    ]);
  });

  it('counts each variant by itself, and what was packed of one that is gone (worked by hand)', () => {
    const variant = { id: 'w', name: 'White ones', pieces: 6, melts: [], fillings: [], without: [] };
    const bombs = { id: 'demo-bombs', pieces: 18, variants: [variant] };
    const mixed: PackedSet = {
      ...box,
      contents: [
        { castingId: 'demo-bombs', pieces: 2 },
        { castingId: 'demo-bombs', variantId: 'w', pieces: 2 },
        { castingId: 'demo-bombs', variantId: 'gone', pieces: 1 },
      ],
    };
    const packed = packedOf([mixed], packablesOf([bombs], [mixed]));
    expect(packed.map(({ variant: name, pieces, packed: in6, left }) => [name, pieces, in6, left])).toEqual([
      [undefined, 12, 12, 0],
      ['White ones', 6, 12, -6],
      [undefined, 0, 6, -6],
    ]);
    const casting = { ...structuredClone(castings[0]), pieces: 18, variants: [{ ...variant }] };
    castSo(casting, 'w', 12);
    expect([casting.pieces, casting.variants[0].pieces]).toEqual([24, 12]);
    castSo(casting, undefined, 20);
    expect(piecesOfEach(casting, casting.pieces)).toEqual([20, 12]);
    const made = occasionWork(plans, { melting: 'shared', makingS: -1, sets: [mixed] });
    if ('key' in made) throw new Error(made.key);
    expect(made.work.tasks.filter(({ kind }) => kind === 'pack').map(({ castingId }) => castingId)).toEqual([
      'demo-bombs',
    ]);
  });

  it('is done once everything in it is, for as long as so many sets take, and by nobody before', () => {
    const made = occasionWork(plans, { melting: 'shared', makingS: -1, sets: [box, bag] });
    if ('key' in made) throw new Error(made.key);
    const packs = made.work.tasks.filter(({ kind }) => kind === 'pack');
    expect(packs.map(({ setId, castingId }) => [setId, castingId])).toEqual([
      ['gift', undefined],
      ['bag', 'demo-bombs'],
    ]);
    // 40 s a box and 7 s a piece in its liner; 25 s a bag and 4 s a piece. Working rules.
    expect(packs.map(({ seconds }) => seconds)).toEqual([6 * (40 + 3 * 7), 4 * (25 + 4)]);
    const steps = occasionSteps(
      { ...supper, castingIds: castings.map(({ id }) => id), stays: [], sets: [box, bag] },
      castings,
      planned,
    );
    let step = steps.next();
    while (!step.done) step = steps.next();
    if (!step.value.ok) throw new Error(step.value.why.key);
    const { tasks, supplies } = step.value.plan;
    const gift = tasks.find(({ setId }) => setId === 'gift');
    const inIt = tasks.filter(
      ({ castingId, kind }) => kind !== 'pack' && (castingId === 'demo-bombs' || castingId === 'demo-tiles'),
    );
    for (const { startS, seconds } of inIt) expect(gift?.startS).toBeGreaterThanOrEqual(startS + seconds);
    expect(supplies).toContainEqual({ kind: 'box', count: 6 });
    expect(supplies).toContainEqual({ kind: 'gloves', count: 1 });
  });

  it('of castings that are not there is left out', () => {
    const made = occasionWork(plans.slice(1), { melting: 'shared', makingS: -1, sets: [bag] });
    if ('key' in made) throw new Error(made.key);
    expect(made.work.tasks.some(({ kind }) => kind === 'pack')).toBe(false);
  });
});

describe('what is counted in pieces', () => {
  it('is a stick for each part that has one, those to spare as well', () => {
    const casting = structuredClone(castings[0]);
    expect(suppliesOf(planned(casting))).toEqual([]);
    casting.parts[0].stick = { thickM: 0.004, insideM: 0.025 };
    const plan = planned(casting);
    expect(suppliesOf(plan)).toEqual([
      { kind: 'stick', count: plan.batch.byPart[0].parts.value, stick: { thickM: 0.004, insideM: 0.025 } },
    ]);
    expect(plan.batch.byPart[0].parts.value).toBeGreaterThanOrEqual(casting.pieces * casting.parts[0].perPiece);
  });

  it('what castings take adds up to what the occasion takes', () => {
    const { all, byCasting } = occasionNeeds(plans, []);
    const apart = plans.flatMap(({ casting }) => byCasting[casting.id]);
    const sum = (needs: typeof all): number => needs.reduce((kg, { usedKg }) => kg + usedKg, 0);
    expect(sum(apart)).toBeCloseTo(sum(all), 12);
    expect(sum(all)).toBeGreaterThan(0.5);
  });
});
