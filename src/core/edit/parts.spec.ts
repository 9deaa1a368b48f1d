import { demoCastings, newCasting } from '../../data/demo';
import { SHIPPED_MOLDS } from '../../data/mold-library';
import { planned } from '../../testing/planned';
import type { Casting } from '../record/casting';
import { meltsInUse } from '../record/melting';
import { pourFrom, streakInto, turnInto } from './melting';
import { readCasting } from '../record/read-casting';
import { draftPlan, seenFrom } from '../plan/draft';
import type { Mold } from '../record/mold';
import { addPart, castIn, partsOfMold, removePart } from './parts';
import { simulatedPlan } from '../plan/simulated-plan';

const NOW = new Date('2026-10-12T08:00:00Z');
const mold = (id: string) => SHIPPED_MOLDS.find((candidate) => candidate.id === id) ?? SHIPPED_MOLDS[0];
const bombs = (): Casting => demoCastings(NOW)[0];
const whole = (casting: Casting): void => expect(readCasting(structuredClone(casting))).toMatchObject({ ok: true });
const linen = { kind: 'chocolate', chocolateId: 'linen' } as const;

/** Bombs of two colours: the upper half dark, the lower white. */
function twoColours(): Casting {
  const casting = bombs();
  const id = addPart(casting, 'half', 'secondHalf', 'Lower half', 'Upper half');
  pourFrom(casting, casting.parts.find((part) => part.id === id)?.coats ?? [], linen);
  return casting;
}

describe('parts', () => {
  it('of two halves alike become two that differ in colour, with a melt for each', () => {
    const casting = twoColours();
    whole(casting);
    expect(casting.parts.map(({ name, perPiece }) => [name, perPiece])).toEqual([
      ['Upper half', 1],
      ['Lower half', 1],
    ]);
    expect(meltsInUse(casting)).toHaveLength(2);
    const plan = planned(casting);
    expect(plan.melts.map(({ input }) => input.kind)).toEqual(['white', 'dark']);
    // A plate for each colour of rim.
    expect(plan.close?.plate?.plates.value).toBe(2);
    // Light before dark, each part cast in rounds of its own in the one mold.
    expect(plan.batch.byPart.map(({ needed }) => needed)).toEqual([18, 18]);
    expect(plan.batch.runs.every(({ cast }) => cast.filter((n) => n > 0).length === 1)).toBe(true);
    expect(plan.piece.allergens).toEqual(expect.arrayContaining(['milk', 'soy', 'gelatine']));
  });

  it('are planned each for itself: a part seen alone is as it would be without the others', () => {
    const both = simulatedPlan(twoColours());
    const dark = simulatedPlan(bombs());
    expect(both.coat.total.rim.value).toBeCloseTo(dark.coat.total.rim.value, 12);
    const white = seenFrom(both, 'part-2');
    expect(white.part.name).toBe('Lower half');
    expect(white.coat.total.rim.value).toBeGreaterThan(both.coat.total.rim.value);
    expect(white.chill.coats[1].stay.value).toBeGreaterThan(dark.chill.coats[1].stay.value);
  });

  it('of a figure and an assembly come together with their mold, and go with it', () => {
    expect(partsOfMold(mold('owls')).map(({ name, perPiece }) => [name, perPiece])).toEqual([
      ['Front', 1],
      ['Back', 1],
    ]);
    const casting = newCasting('c', 'c', NOW);
    castIn(casting, 'half', mold('petal-cup'));
    whole(casting);
    expect(casting.parts.map(({ name, perPiece, role }) => [name, perPiece, role])).toEqual([
      ['Base', 1, 'base'],
      ['Leaf', 5, 'ornament'],
    ]);
    expect(casting.closure).toBeNull();
    castIn(casting, 'half', mold('bites'));
    whole(casting);
    expect(casting.parts.map(({ perPiece, role }) => [perPiece, role])).toEqual([[2, 'shell']]);
    expect(casting.molds.map(({ id }) => id)).toEqual(['bites']);
    expect(casting.closure?.kind).toBe('warmPlate');
  });

  it('of a press that gives halves are two, joined; of one that does not, one that stands open', () => {
    const casting = newCasting('c', 'c', NOW);
    const press = mold('acorns');
    castIn(casting, 'half', press);
    expect(casting.parts[0].perPiece).toBe(1);
    expect(casting.closure).toBeNull();
    if (press.composition.kind !== 'press') throw new Error('no press');
    const halves: Mold = { ...press, id: 'balls', composition: { ...press.composition, joined: true } };
    castIn(casting, 'half', halves);
    whole(casting);
    expect(casting.parts[0].perPiece).toBe(2);
    expect(casting.closure?.kind).toBe('warmPlate');
  });

  it('keep their cavity and count where the library’s state of their mold is taken', () => {
    const casting = newCasting('c', 'c', NOW);
    castIn(casting, 'half', mold('mixed'));
    casting.parts[0].cavityId = 'square';
    castIn(casting, 'half', { ...mold('mixed'), wallM: 0.003 });
    expect(casting.molds[0].wallM).toBe(mold('mixed').wallM);
    castIn(casting, 'half', { ...mold('mixed'), wallM: 0.003 }, true);
    expect([casting.parts[0].cavityId, casting.molds[0].wallM]).toEqual(['square', 0.003]);
    castIn(casting, 'half', { ...mold('mixed'), cavities: [mold('mixed').cavities[0]] }, true);
    expect(casting.parts[0].cavityId).toBe('half');
    whole(casting);
  });

  it('are taken out with what was said of them, and the last stays', () => {
    const casting = twoColours();
    casting.closure = { kind: 'lid', meltId: 'melt-1', partId: 'part-2', lineM: 0.003, sets: [{ place: 'room' }] };
    casting.finishes = [
      { id: 'x', kind: 'stickOn', name: 'x', meltId: 'melt-1', partId: 'part-2', count: 1, by: 'dot', sets: [] },
    ];
    removePart(casting, 'part-2');
    expect([casting.parts.length, casting.closure, casting.finishes, casting.melts.length]).toEqual([1, null, [], 1]);
    removePart(casting, 'half');
    expect(casting.parts).toHaveLength(1);
    whole(casting);
  });

  it('are told apart in the weigh of a piece: each shell as often as it is in it, the filling in one or in all', () => {
    const plan = planned(bombs());
    expect(plan.piece.mass.value).toBeCloseTo(
      2 * plan.coat.mass.value + plan.fill.fillMass.value - (plan.close?.plate?.lostMass.value ?? 0),
      12,
    );
    const filled = bombs();
    filled.parts[0].filled = 'all';
    expect(planned(filled).piece.fillMass.value).toBeCloseTo(2 * plan.fill.fillMass.value, 12);
    expect(planned(filled).fillings[0].mass.value).toBeCloseTo(2 * plan.fillings[0].mass.value, 9);
  });
});

describe('a lid', () => {
  it('that is the part it is to close is said so', () => {
    const casting = twoColours();
    casting.fill = [{ id: 'l', partId: 'part-2', fillingId: 'ganache', amount: { by: 'volume', m3: 1e-5 } }];
    casting.closure = { kind: 'lid', meltId: 'melt-1', partId: 'part-2', lineM: 0.003, sets: [{ place: 'room' }] };
    expect(planned(casting).problems.map(({ key }) => key)).toContain('lidOnItself');
    casting.closure.partId = 'half';
    expect(planned(casting).problems.map(({ key }) => key)).not.toContain('lidOnItself');
    expect(planned(casting).close?.mass.value).toBeGreaterThan(0);
  });
});

describe('colours', () => {
  it('of a coat change its melt where nothing else is made of it, and else get one of their own', () => {
    const casting = bombs();
    pourFrom(casting, casting.parts[0].coats, linen);
    expect(casting.melts.map(({ source }) => source)).toEqual([linen]);
    expect([casting.melts[0].workingC, casting.closure?.meltId]).toEqual([29.5, 'melt-1']);
    pourFrom(casting, [casting.parts[0].coats[1]], { kind: 'chocolate', chocolateId: 'pebble' });
    expect(casting.melts).toHaveLength(2);
    expect(casting.melts[1].school).toBe('meltOnly');
    pourFrom(casting, [casting.parts[0].coats[1]], linen);
    expect(casting.melts).toHaveLength(1);
    whole(casting);
  });

  it('streaked into a coat are melted in their share, warm it by theirs, and go out again', () => {
    const casting = bombs();
    const plain = planned(casting);
    for (const coat of casting.parts[0].coats) streakInto(casting, coat, linen, 0.25);
    whole(casting);
    const plan = planned(casting);
    const [dark, white] = plan.batch.melts;
    expect(white.inParts.value / (white.inParts.value + dark.inParts.value)).toBeCloseTo(0.25, 9);
    expect([dark.mixed, white.mixed]).toEqual([true, true]);
    expect(plan.coat.coats[0].choice.workingC).toBeCloseTo(0.75 * 31.5 + 0.25 * 29.5, 12);
    // The white is stiffer, and so is the coat.
    expect(plan.coat.total.rim.value).toBeGreaterThan(plain.coat.total.rim.value);
    for (const coat of casting.parts[0].coats) streakInto(casting, coat, linen, 0);
    expect(casting.melts).toHaveLength(1);
    expect(draftPlan(casting).coat.total.rim.value).toBe(plain.coat.total.rim.value);
  });

  it('that are made of one source become one melt, whatever was made, closed or finished with either', () => {
    const casting = twoColours();
    streakInto(casting, casting.parts[0].coats[0], linen, 0.2);
    casting.finishes = [{ id: 'x', kind: 'drizzle', name: 'x', meltId: 'melt-2', share: 0.2, lineM: 0.002, sets: [] }];
    turnInto(casting, 'melt-2', { kind: 'chocolate', chocolateId: 'quarry' });
    expect(casting.melts.map(({ id }) => id)).toEqual(['melt-1']);
    expect(casting.parts.flatMap(({ coats }) => coats.map(({ shares }) => shares))).toEqual(
      Array.from({ length: 4 }, () => [{ meltId: 'melt-1', share: 1 }]),
    );
    expect(casting.finishes[0]).toMatchObject({ meltId: 'melt-1' });
    whole(casting);
  });

  it('of two fats in one coat are warned of', () => {
    const casting = bombs();
    streakInto(casting, casting.parts[0].coats[0], { kind: 'chocolate', chocolateId: 'pebble' }, 0.2);
    expect(planned(casting).problems.map(({ key }) => key)).toContain('mixedFats');
  });
});
