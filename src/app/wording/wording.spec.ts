import fc from 'fast-check';
import { newCasting } from '../../data/demo';
import { caramelised, cocoaButterColour, ganache } from '../../core/melt/preparations';
import { shopping } from '../../core/batch/shopping';
import { fittedPlan } from '../../core/occasion/fitted-job';
import { assembled } from '../../core/plan/assembled';
import { piecesFrom } from '../../core/plan/needs';
import { answer, type Answer } from '../../core/quantity/answer';
import { demoCastings } from '../../data/demo';
import { arbitraryCasting } from '../../testing/arbitrary-casting';
import { planned } from '../../testing/planned';
import { answerText, rangeText, spoons, text, timesText } from './format';
import { noteWording } from './problems';
import { RULES } from './rules';
import { TERM_NAMES } from './terms';
import { dueSeconds } from '../../core/record/due';
import { dueHint, dueText, lateNote, startText } from './times';

/** Every answer anywhere in a plan. */
function answersOf(value: unknown, found: Answer[] = []): Answer[] {
  if (typeof value !== 'object' || value === null || ArrayBuffer.isView(value)) return found;
  if ('rule' in value && 'dimension' in value) found.push(value as Answer);
  for (const inner of Object.values(value)) answersOf(inner, found);
  return found;
}

describe('wording', () => {
  it('has a use for every rule and every input that it words, and words every problem, of any casting', () => {
    const said = new Set<string>();
    const named = new Set<string>();
    fc.assert(
      fc.property(
        arbitraryCasting,
        fc.nat(3).map((n) => n === 0),
        (casting, simulated) => {
          const plan = planned(casting, simulated);
          for (const a of answersOf({
            ...plan,
            standing: assembled(plan).height,
            casting: undefined,
            chillInput: undefined,
          })) {
            said.add(a.rule);
            for (const { name } of a.terms) named.add(name);
          }
          for (const a of [piecesFrom(plan, new Map([['q0', 1]])), shopping(1, 0.5, 0.25, 2).packsAnswer]) {
            said.add(a.rule);
            for (const { name } of a.terms) named.add(name);
          }
          for (const problem of plan.problems) {
            const note = noteWording(problem, 'us');
            expect(`${note.head} ${note.body}`).not.toMatch(/undefined|NaN/);
            expect(Boolean(note.action) || !problem.remedy).toBe(true);
          }
        },
      ),
      { numRuns: 60 },
    );
    // A vessel that is turned comes seldom by chance.
    const turned = newCasting('c', 'c', new Date('2026-10-12T08:00:00Z'));
    turned.molds[0].cavities[0].shape = { kind: 'ball', diameterM: 0.08, openingM: 0.03 };
    turned.molds[0].composition = { kind: 'single' };
    turned.parts[0].coats.forEach((coat) => Object.assign(coat, { method: 'turn', doseM3: 20e-6 }));
    turned.closure = null;
    for (const a of answersOf({ ...planned(turned, true), casting: undefined, chillInput: undefined }))
      said.add(a.rule);
    // The order of the rounds is found for a plan once it stands.
    for (const a of answersOf(fittedPlan(planned(demoCastings(new Date('2026-10-12T08:00:00Z'))[0])).batch)) {
      said.add(a.rule);
      for (const { name } of a.terms) named.add(name);
    }
    // Nor has a kitchen been learned from by chance.
    const lesson = { factor: 1.1, within: 1.1, readings: 4 };
    const learned = { fridge: lesson, goesOn: lesson, hands: { coat: lesson } };
    const [bombs] = demoCastings(new Date('2026-10-12T08:00:00Z'));
    for (const a of answersOf({ ...planned({ ...bombs, kitchen: { ...bombs.kitchen, learned } }), casting: undefined }))
      for (const { name } of a.terms) named.add(name);
    // And so does a solid piece that is sprinkled on its open face.
    const tiles = demoCastings(new Date('2026-10-12T08:00:00Z')).find(({ id }) => id === 'demo-tiles') ?? turned;
    const sprinkled = { id: 's', name: 's', kind: 'sprinkle' as const, fillingId: 'seeds', share: 1, sets: [] };
    for (const { material } of planned({ ...tiles, closure: null, finishes: [sprinkled] }).finishes)
      for (const { name } of material?.terms ?? []) named.add(name);
    const place = {
      bowl: { material: 'glass', kg: 0.5, diameterM: 0.2 },
      roomC: 20,
      fridgeC: 5,
      microwaveW: 800,
      microwaveFactor: 1,
    } as const;
    for (const a of answersOf([
      ganache(0.3, 'dark', 0.4, place, 1),
      cocoaButterColour(0.1),
      caramelised(0.3, 0.3, place),
    ])) {
      said.add(a.rule);
      for (const { name } of a.terms) named.add(name);
    }
    // That each is worded is seen to by the compiler; here, that none is worded for nothing.
    expect(Object.keys(RULES).filter((rule) => !said.has(rule))).toEqual([]);
    expect(Object.keys(TERM_NAMES).filter((name) => !named.has(name))).toEqual([]);
  });

  it.each([
    [0.0124, 'mass', 'metric', '12 g'],
    [0.0012, 'mass', 'metric', '1.2 g'],
    [1.031, 'mass', 'metric', '1031 g'],
    [0.0124, 'mass', 'us', '0.44 oz'],
    [1.031, 'mass', 'us', '2.27 lb'],
    [0.00134, 'length', 'metric', '1.3 mm'],
    [0.064, 'length', 'us', '2.5 in'],
    [360, 'duration', 'metric', '6 min'],
    [45, 'duration', 'us', '45 s'],
    [10800, 'duration', 'metric', '3 h'],
    [11100, 'duration', 'metric', '3 h 5 min'],
    [31.5, 'temperature', 'us', '88.7 °F'],
    [0.0163, 'share', 'metric', '1.6 %'],
    [Infinity, 'duration', 'metric', 'no end'],
    [22.18e-6, 'volume', 'us', '1½ tbsp'],
    [22.18e-6, 'volume', 'metric', '22 mL'],
  ] as const)('writes %f (%s, %s) as %s', (si, dimension, system, shown) => {
    expect(text(si, dimension, system)).toBe(shown);
  });

  it('says a range once, and only where its ends read apart', () => {
    expect(rangeText(answer(0.0013, 'length', 'coat.spread', [], [0.0011, 0.0015]), 'metric')).toBe(
      'likely 1.1 to 1.5 mm',
    );
    expect(rangeText(answer(0.0013, 'length', 'coat.spread', [], [0.0013, 0.00132]), 'metric')).toBe('');
    expect(rangeText(answer(0.0013, 'length', 'coat.spread'), 'metric')).toBe('');
  });

  it('says how often, in as many times', () => {
    const often = (value: number): string => timesText(answer(value, 'count', 'melt.reheats'), 'metric');
    expect([often(0), often(1), often(13)]).toEqual(['0 times', '1 time', '13 times']);
    expect(often(Infinity)).not.toMatch(/time|Infinity/);
  });

  it('measures in the spoon that suits', () => {
    expect([2.5e-6, 15e-6, 120e-6].map((m3) => `${spoons(m3).number} ${spoons(m3).unit}`)).toEqual([
      '½ tsp',
      '1 tbsp',
      '½ cup',
    ]);
  });
});

describe('times', () => {
  const due = { local: '2026-10-17T18:00', zone: 'Europe/Berlin' };

  beforeAll(() => jest.useFakeTimers({ now: new Date('2026-10-12T08:00:00Z') }));
  afterAll(() => void jest.useRealTimers());

  it('name the day where it is not the due one, the year where it is not this one, and the zone where it is not one’s own', () => {
    expect(startText(dueSeconds({ ...due, local: '2026-10-17T14:55' }), due)).toBe('14:55');
    expect(startText(dueSeconds({ ...due, local: '2026-10-16T22:00' }), due)).toBe('Fri 16 Oct, 22:00');
    expect(startText(-Infinity, due)).toBe('no time');
    expect(dueText({ ...due, local: '2027-01-02T18:00' })).toBe('Sat 2 Jan 2027, 18:00');
    expect(dueText({ local: '2026-10-17T18:00', zone: 'America/New_York' })).toBe('Sat 17 Oct, 18:00, New York time');
    expect(dueHint({ local: '2026-10-17T18:00', zone: 'America/New_York' })).toBe(
      'By the clocks of New York: for you Sun 18 Oct, 00:00.',
    );
    expect(dueHint({ local: '2027-03-28T02:30', zone: 'Europe/Berlin' })).toContain('taken as 03:30');
    expect(dueHint(due)).toBe('');
  });

  it('say of a late job when it could be ready, and what mends it', () => {
    const note = lateNote(
      { kind: 'late', readyS: dueSeconds({ ...due, local: '2026-10-17T19:40' }) },
      dueSeconds({ ...due, local: '2026-10-17T15:50' }),
      due,
    );
    expect(note).toMatchObject({
      head: 'It cannot be ready in time: it was to start by 15:50.',
      action: 'Set it to 19:40',
    });
    expect(lateNote({ kind: 'inTime' }, 0, due)).toBeUndefined();
  });
});

describe('demo', () => {
  it('is worded without a gap in both units', () => {
    for (const casting of demoCastings(new Date('2026-10-12T08:00:00Z'))) {
      for (const a of answersOf(planned(casting)))
        for (const system of ['metric', 'us'] as const) expect(answerText(a, system)).not.toMatch(/NaN|undefined|\?/);
    }
  });
});
