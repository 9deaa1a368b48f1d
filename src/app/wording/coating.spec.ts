import { demoCastings } from '../../data/demo';
import { draftPlan } from '../../core/plan/draft';
import type { PartDraft } from '../../core/plan/plan-types';
import { handlingLine, handlingTexts } from './coating';

const parts = new Map<string, readonly PartDraft[]>(
  demoCastings(new Date('2026-10-12T08:00:00Z')).map((casting) => [casting.id, draftPlan(casting).parts]),
);
const of = (id: string, index = 0): PartDraft => {
  const part = parts.get(id)?.[index];
  if (!part) throw new Error(id);
  return part;
};

// Common practice, no source.
describe('what the hands look after while they coat', () => {
  it('is bubbles, bald spots and the edge of a shell; a second coat may loosen the first', () => {
    expect(handlingLine(of('demo-bombs'))).toBe(
      'drop it flat, three or four times, brush where light shines through, wipe the wet edge',
    );
    expect(handlingTexts(of('demo-bombs')).join(' ')).toContain('slips loose');
    expect(handlingTexts(of('demo-bonbons')).join(' ')).not.toContain('slips loose');
  });

  it('is a level back of what is filled, rings for a thin base, narrow places of a figure, and the insert of a pressed shell', () => {
    expect(handlingLine(of('demo-tiles'))).toBe('wipe the wet edge, shake the back level');
    expect(handlingLine(of('demo-pears', 1))).toContain('in rings from the outside in');
    expect(handlingLine(of('demo-owls'))).toMatch(/^brush it into narrow places first/);
    expect(handlingLine(of('demo-owls'))).not.toContain('level');
    expect(handlingTexts(of('demo-acorns'))).toEqual([expect.stringContaining('the insert straight down and firmly')]);
    expect(handlingLine(of('demo-acorns'))).toBe('');
    // A liner lies in the hand.
    expect(handlingLine(of('demo-oat-cups'))).toBe('brush where light shines through, wipe the wet edge');
  });
});
