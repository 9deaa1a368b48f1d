import { compareWays, WAYS, type Way } from '../../core/study/ways';
import { demoCastings } from '../../data/demo';
import { verdictText, wayName } from './compare';
import { weighedText } from './weighed';

const [bombs] = demoCastings(new Date('2026-10-12T08:00:00Z'));
const said = (ways: readonly [Way, Way], system: 'metric' | 'us' = 'metric', casting = bombs): string => {
  const { sides, verdict } = compareWays(casting, ways);
  return verdictText(verdict, sides, [wayName(ways[0], system), wayName(ways[1], system)], system);
};

describe('verdict on two ways', () => {
  it('says which breaks less, with both figures and the reason', () => {
    expect(said(['oneThick', 'twoThin'])).toMatch(
      /^As two thin coats it breaks less often \(.* % against .* %\): its rim comes out at .* mm against .* mm, as the other way some of it drips off the rim before it holds\.$/,
    );
    const thick = structuredClone(bombs);
    thick.parts[0].coats = [{ ...thick.parts[0].coats[0], method: 'spoon', doseM3: 12e-6 }];
    expect(said(['upright', 'upsideDown'], 'metric', thick)).toMatch(
      /^Set upside down it breaks less often .* as the other way the chocolate runs to the base before it holds\.$/,
    );
  });

  it('minds the damp where the freezer is quicker', () => {
    expect(said(['fridge', 'freezer'])).toMatch(/^In the freezer it is through sooner .* Mind the damp/);
  });

  it('is plain where there is nothing to choose', () => {
    expect(said(['fridge', 'fridge'])).toMatch(/^No difference that you would notice/);
  });

  it('names every way in either system', () => {
    for (const system of ['metric', 'us'] as const)
      expect(new Set(WAYS.map((way) => wayName(way, system))).size).toBe(WAYS.length);
    expect(wayName('cooler', 'us')).toBe('worked 5 °F cooler');
  });
});

describe('a weighed shell', () => {
  const state = { massKg: 0.01, rimM: 0.0014 };
  it('is told before and after, in either direction', () => {
    const found = (factor: number, by: 'stiffness' | 'dose' = 'stiffness') =>
      weighedText(
        { ok: true, found: { by, factor, within: 1.1, before: state, after: { massKg: 0.0118, rimM: 0.0016 } } },
        0.012,
        'metric',
      );
    expect(found(1.3)).toBe(
      'It runs 1.30 times stiffer than told, give or take a factor of 1.10: the likely ranges narrow with it. Rim 1.4 mm before, 1.6 mm after; a part 10 g before, 12 g after.',
    );
    expect(found(0.8)).toContain('1.25 times thinner');
    expect(found(1.1, 'dose')).toContain('Your spoon gives 1.10 times more');
    expect(found(1.01)).toContain('As computed');
    expect(weighedText({ ok: false, problem: { lowKg: 0.008, highKg: 0.015 } }, 0.2, 'us')).toContain(
      '0.28 oz to 0.53 oz can be',
    );
  });
});
