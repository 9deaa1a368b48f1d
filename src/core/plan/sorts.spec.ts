import { demoCastings } from '../../data/demo';
import { plannedUnchilled as planned } from '../../testing/planned';
import type { Casting, Variant } from '../record/casting';
import { readCasting } from '../record/read-casting';
import { asVariant, piecesOfEach } from '../record/variants';
import { larderNeeds } from './larder';
import { makingsOf } from './makings';

const demo = (id: string): Casting => {
  const found = demoCastings(new Date('2026-10-12T08:00:00Z')).find((casting) => casting.id === id);
  if (!found) throw new Error(`no ${id}`);
  return { ...structuredClone(found), spareRule: { by: 'share', share: 0 } };
};

/** Bombs of dark chocolate with one filling, of which some may be of the second chocolate. */
function bombs(...variants: Partial<Variant>[]): Casting {
  const casting = demo('demo-bombs');
  const [melt] = casting.melts;
  const other = casting.chocolates.find(({ kind }) => kind === 'white');
  if (!other) throw new Error('no white chocolate');
  casting.melts = [
    melt,
    { ...melt, id: 'white', workingC: other.workToC - 0.5, source: { kind: 'chocolate', chocolateId: other.id } },
    { ...melt, id: 'twin' },
  ];
  casting.variants = variants.map((variant, i) => ({
    id: `v${i}`,
    name: `variant ${i}`,
    pieces: 6,
    melts: [],
    fillings: [],
    without: [],
    ...structuredClone(variant),
  }));
  const read = readCasting(JSON.parse(JSON.stringify(casting)));
  if (!read.ok) throw new Error(`not read: ${read.problem} ${read.path}`);
  return casting;
}

const WHITE = { melts: [{ meltId: 'melt-1', insteadId: 'white' }] };
const kgOf = (casting: Casting, meltId: string): number =>
  planned(casting).batch.melts.find((melt) => melt.meltId === meltId)?.inParts.value ?? 0;

describe('variants of a casting', () => {
  it('take their pieces in their order, as far as there are any, and leave the rest as it is chosen', () => {
    const casting = bombs({ pieces: 6 }, { pieces: 10 });
    expect(piecesOfEach(casting, 18)).toEqual([2, 6, 10]);
    expect(piecesOfEach(casting, 9)).toEqual([0, 6, 3]);
    expect(piecesOfEach(casting, 4)).toEqual([0, 4, 0]);
  });

  it('change nothing where they are made as the others', () => {
    const [without, same] = [planned(bombs()), planned(bombs({}))];
    expect(same.batch).toEqual(without.batch);
    expect(larderNeeds(same)).toEqual(larderNeeds(without));
    expect(same.fillings).toEqual(without.fillings);
  });

  it('take of each melt what a casting of their pieces alone has in its parts', () => {
    const casting = bombs(WHITE);
    const alone = (pieces: number, of: Casting): Casting => ({ ...of, pieces, variants: [] });
    expect(kgOf(casting, 'melt-1')).toBeCloseTo(kgOf(alone(12, casting), 'melt-1'), 12);
    const white = alone(6, asVariant(casting, casting.variants[0]));
    expect(kgOf(casting, 'white')).toBeCloseTo(kgOf(white, 'white'), 12);
    expect(kgOf(casting, 'white')).toBeGreaterThan(0);
  });

  it('share the rounds of the mold with the others: two colours in one mold are no round more', () => {
    const [one, two] = [planned(bombs()), planned(bombs({ ...WHITE, pieces: 7 }))];
    expect(two.batch.rounds.value).toBe(one.batch.rounds.value);
    expect(two.batch.byPart[0].casts).toEqual([22, 14]);
    expect(two.batch.work.parts[0].coats.map(({ meltIds }) => meltIds)).toEqual(
      two.casting.parts[0].coats.map(() => ['melt-1', 'white']),
    );
    expect(two.batch.timeline.wholeJob.filter(({ kind }) => kind === 'melt')).toHaveLength(2);
  });

  it('of which the others are all there work from their own melt alone', () => {
    const casting = bombs(WHITE);
    casting.parts[0].there = { parts: 24 };
    const { batch } = planned(casting);
    expect(batch.byPart[0].casts).toEqual([0, 12]);
    expect(batch.melts.map(({ meltId }) => meltId)).toEqual(['white']);
    expect(batch.work.parts[0].coats.flatMap(({ meltIds }) => meltIds)).toEqual(
      casting.parts[0].coats.map(() => 'white'),
    );
    // They alone have to come out whole: no spare more than a casting of them alone.
    const sure = { ...casting, spareRule: { by: 'confidence', confidence: 0.95 } } as const;
    const alone = { ...asVariant(sure, sure.variants[0]), pieces: 6, variants: [] };
    alone.parts = alone.parts.map((part) => ({ ...part, there: undefined }));
    expect(planned(sure).batch.byPart[0].parts.value).toBe(planned(alone).batch.byPart[0].parts.value);
  });

  it('break as their own chocolate does, and have their own spares', () => {
    const casting: Casting = { ...bombs(WHITE), spareRule: { by: 'confidence', confidence: 0.95 } };
    const [{ casts, needed, parts }] = planned(casting).batch.byPart;
    expect(casts).toHaveLength(2);
    expect(casts[0]).toBeGreaterThan(24);
    expect(casts[1]).toBeGreaterThan(12);
    expect(needed).toBe(36);
    expect(parts.value).toBe(casts[0] + casts[1]);
  });

  it('are filled with another filling, and what is bought is counted by each', () => {
    const casting = bombs();
    const [layer] = casting.fill;
    const other = casting.fillings.find(
      ({ id }) => id !== layer.fillingId && !casting.fill.some((one) => one.fillingId === id),
    );
    if (!other) throw new Error('no other filling');
    const changed: Casting = {
      ...casting,
      variants: [
        {
          id: 'v',
          name: 'other',
          pieces: 6,
          melts: [],
          fillings: [{ layerId: layer.id, fillingId: other.id }],
          without: [],
        },
      ],
    };
    const kg = (of: Casting, fillingId: string): number =>
      planned(of).fillings.find((one) => one.fillingId === fillingId)?.mass.value ?? 0;
    expect(kg(changed, layer.fillingId)).toBeCloseTo((12 / 18) * kg(casting, layer.fillingId), 12);
    const alone = asVariant(changed, changed.variants[0]);
    expect(kg(changed, other.id)).toBeCloseTo(kg(alone, other.id), 12);
    expect(kg(changed, other.id)).toBeGreaterThan(0);
    // The shells are alike: their spares serve both.
    expect(planned(changed).batch.byPart[0].casts).toEqual([36]);
  });

  it('go without a finish: a third of the pieces plain is a third less of it, and of the hands on it', () => {
    const casting = demo('demo-tiles');
    const [finish] = casting.finishes;
    const plain = { id: 'v', name: 'plain', pieces: casting.pieces / 3, melts: [], fillings: [], without: [finish.id] };
    const [all, some] = [planned(casting), planned({ ...casting, variants: [plain] })];
    const taken = ({ fillings }: typeof all): number => fillings.reduce((sum, { mass }) => sum + mass.value, 0);
    expect(taken(some) / taken(all)).toBeCloseTo(2 / 3, 12);
    const hands = ({ batch }: typeof all): number =>
      batch.timeline.wholeJob
        .filter(({ kind, handsOn }) => kind === 'finish' && handsOn)
        .reduce((sum, { seconds }) => sum + seconds, 0);
    expect(hands(some) / hands(all)).toBeCloseTo(2 / 3, 12);
  });

  it('ask for a simulation of their own only where their chocolate runs otherwise', () => {
    const asked = (casting: Casting): number => makingsOf(casting).makings.length;
    expect(asked(bombs())).toBe(1);
    expect(asked(bombs({ melts: [{ meltId: 'melt-1', insteadId: 'twin' }] }))).toBe(1);
    expect(asked(bombs(WHITE, WHITE))).toBe(2);
  });

  it('tell what is in them: a variant’s own allergens', () => {
    const { variants, piece } = planned(bombs(WHITE));
    expect(piece.allergens).not.toContain('milk');
    expect(variants[0].draft.piece.allergens).toContain('milk');
  });

  it('say what is wrong with them alone, without a remedy that would change the others', () => {
    const casting = bombs({});
    const [layer] = casting.fill;
    const filling = casting.fillings.find(({ id }) => id === layer.fillingId);
    if (!filling) throw new Error('no filling');
    layer.amount = { by: 'mass', kg: 0.012 };
    casting.fillings.push({ ...filling, id: 'loose', bulkDensity: filling.bulkDensity / 6 });
    casting.variants[0].fillings = [{ layerId: layer.id, fillingId: 'loose' }];
    const told = planned(casting).problems.filter(({ key }) => key === 'fillTooHigh');
    expect(told).toMatchObject([{ variant: 'variant 0', station: 'fill' }]);
    expect(told[0].remedy).toBeUndefined();
  });

  it('are refused where they are made of something that is not there', () => {
    const casting = bombs(WHITE);
    casting.variants[0].melts[0].insteadId = 'gone';
    expect(readCasting(JSON.parse(JSON.stringify(casting)))).toMatchObject({
      ok: false,
      path: 'variants.0.melts.0.insteadId',
    });
  });
});

describe('parts that were cast before', () => {
  it('are not cast again, and take no chocolate', () => {
    const casting = bombs();
    const some = structuredClone(casting);
    some.parts[0].there = { parts: 12, on: '2026-10-10' };
    expect(kgOf(some, 'melt-1') / kgOf(casting, 'melt-1')).toBeCloseTo(24 / 36, 12);
    expect(planned(some).batch.rounds.value).toBe(planned(casting).batch.rounds.value - 2);
  });

  it('are as the casting is chosen: a variant of another colour is cast nevertheless', () => {
    const casting = bombs({ ...WHITE, pieces: 9 });
    casting.parts[0].there = { parts: 36 };
    expect(planned(casting).batch.byPart[0].casts).toEqual([0, 18]);
  });
});
