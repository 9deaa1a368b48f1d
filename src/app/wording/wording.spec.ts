import fc from 'fast-check';
import { caramelised, cocoaButterColour, ganache } from '../../core/melt/preparations';
import { assembled } from '../../core/plan/assembled';
import { answer, type Answer } from '../../core/quantity/answer';
import { demoCastings } from '../../data/demo';
import { arbitraryCasting } from '../../testing/arbitrary-casting';
import { planned } from '../../testing/planned';
import { rangeText, spoons, text } from './format';
import { noteWording } from './problems';
import { RULES } from './rules';
import { TERM_NAMES } from './terms';
import { startText } from './times';

/** Every answer anywhere in a plan. */
function answersOf(value: unknown, found: Answer[] = []): Answer[] {
  if (typeof value !== 'object' || value === null || ArrayBuffer.isView(value)) return found;
  if ('rule' in value && 'dimension' in value) found.push(value as Answer);
  for (const inner of Object.values(value)) answersOf(inner, found);
  return found;
}

describe('wording', () => {
  it('explains every figure, names every input, and words every problem, of any casting', () => {
    const said = new Set<string>();
    fc.assert(
      fc.property(arbitraryCasting, fc.nat(3).map((n) => n === 0), (casting, simulated) => {
        const plan = planned(casting, simulated);
        for (const a of answersOf({ ...plan, standing: assembled(plan).height, casting: undefined, chillInput: undefined })) {
          expect([a.rule, RULES[a.rule]?.how]).toEqual([a.rule, expect.any(String)]);
          for (const term of a.terms) expect([term.name, TERM_NAMES[term.name]]).toEqual([term.name, expect.any(String)]);
          said.add(a.rule);
        }
        for (const problem of plan.problems) {
          const note = noteWording(problem, 'us');
          expect(`${note.head} ${note.body}`).not.toMatch(/undefined|NaN/);
          expect(Boolean(note.action) || !problem.remedy).toBe(true);
        }
      }),
      { numRuns: 60 },
    );
    const place = { bowl: { material: 'glass', kg: 0.5, diameterM: 0.2 }, roomC: 20, fridgeC: 5, microwaveW: 800, microwaveFactor: 1 } as const;
    for (const a of answersOf([ganache(0.3, 'dark', 0.4, 'bomb', place), cocoaButterColour(0.1), caramelised(0.3, 0.3, place)])) {
      expect(a.terms.map((term) => TERM_NAMES[term.name])).toEqual(a.terms.map(() => expect.any(String)));
      said.add(a.rule);
    }
    expect(Object.keys(RULES).filter((rule) => !said.has(rule))).toEqual([]);
  });

  it.each([
    [0.0124, 'mass', 'metric', '12 g'], [0.0012, 'mass', 'metric', '1.2 g'], [1.031, 'mass', 'metric', '1031 g'], [0.0124, 'mass', 'us', '0.44 oz'], [1.031, 'mass', 'us', '2.27 lb'],
    [0.00134, 'length', 'metric', '1.3 mm'], [0.064, 'length', 'us', '2.5 in'], [360, 'duration', 'metric', '6 min'], [45, 'duration', 'us', '45 s'], [10800, 'duration', 'metric', '3 h'], [11100, 'duration', 'metric', '3 h 5 min'],
    [31.5, 'temperature', 'us', '88.7 °F'], [0.0163, 'share', 'metric', '1.6 %'], [Infinity, 'duration', 'metric', 'never'], [22.18e-6, 'volume', 'us', '1½ tbsp'], [22.18e-6, 'volume', 'metric', '22 mL'],
  ] as const)('writes %f (%s, %s) as %s', (si, dimension, system, shown) => {
    expect(text(si, dimension, system)).toBe(shown);
  });

  it('says a range once, and only where its ends read apart', () => {
    expect(rangeText(answer(0.0013, 'length', 'x', [], [0.0011, 0.0015]), 'metric')).toBe('likely 1.1 to 1.5 mm');
    expect(rangeText(answer(0.0013, 'length', 'x', [], [0.0013, 0.00132]), 'metric')).toBe('');
    expect(rangeText(answer(0.0013, 'length', 'x'), 'metric')).toBe('');
  });

  it('measures in the spoon that suits', () => {
    expect([2.5e-6, 15e-6, 120e-6].map((m3) => `${spoons(m3).number} ${spoons(m3).unit}`)).toEqual(['½ tsp', '1 tbsp', '½ cup']);
  });
});

describe('times', () => {
  it('starts in time, rounded down to five minutes, in the zone of the casting', () => {
    const due = { local: '2026-10-17T18:00', zone: 'Europe/Berlin' };
    expect(startText(due, 3 * 3600 + 61)).toBe('14:55');
    expect(startText(due, 20 * 3600)).toBe('Fri 16 Oct, 22:00');
    expect(startText(due, Infinity)).toBe('never');
  });

  it('counts the hour that a change of clocks takes or gives', () => {
    // Clocks go back at 03:00 on Sunday 25 October 2026 in Berlin: from 01:00 to 04:00 are four hours.
    expect(startText({ local: '2026-10-25T04:00', zone: 'Europe/Berlin' }, 4 * 3600)).toBe('01:00');
  });
});

describe('demo', () => {
  it('is worded without a gap in both units', () => {
    for (const casting of demoCastings(new Date('2026-10-12T08:00:00Z'))) {
      for (const a of answersOf(planned(casting))) for (const system of ['metric', 'us'] as const) expect(text(a.value, a.dimension, system)).not.toMatch(/NaN|undefined|\?/);
    }
  });
});
