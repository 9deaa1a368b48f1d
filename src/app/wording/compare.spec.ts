import { compareWays, WAYS, type Way } from '../../core/plan/ways';
import { demoCastings } from '../../data/demo';
import { verdictText, wayName } from './compare';

const [bombs] = demoCastings(new Date('2026-10-12T08:00:00Z'));
const said = (ways: readonly [Way, Way], system: 'metric' | 'us' = 'metric', casting = bombs): string => {
  const { sides, verdict } = compareWays(casting, ways);
  return verdictText(verdict, sides, [wayName(ways[0], system), wayName(ways[1], system)], system);
};

describe('verdict on two ways', () => {
  it('says which breaks less, with both figures and the reason', () => {
    expect(said(['oneThick', 'twoThin'])).toMatch(/^As two thin coats it breaks less often \(.* % against .* %\): its rim comes out at .* mm against .* mm, as the other way some of it drips off the rim before it holds\.$/);
    const thick = structuredClone(bombs);
    thick.parts[0].coats = [{ ...thick.parts[0].coats[0], method: 'spoon', doseM3: 12e-6 }];
    expect(said(['upright', 'upsideDown'], 'metric', thick)).toMatch(/^Set upside down it breaks less often .* as the other way the chocolate runs to the base before it holds\.$/);
  });

  it('minds the damp where the freezer is quicker', () => {
    expect(said(['fridge', 'freezer'])).toMatch(/^In the freezer it is through sooner .* Mind the damp/);
  });

  it('is plain where there is nothing to choose', () => {
    expect(said(['fridge', 'fridge'])).toMatch(/^No difference that you would notice/);
  });

  it('names every way in either system', () => {
    for (const system of ['metric', 'us'] as const) expect(new Set(WAYS.map((way) => wayName(way, system))).size).toBe(WAYS.length);
    expect(wayName('cooler', 'us')).toBe('worked 5 °F cooler');
  });
});
