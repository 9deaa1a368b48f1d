import { demoCastings } from '../../data/demo';
import { planned, plannedInFull } from '../../testing/planned';
import { chillCasting } from '../chill/chill';
import type { Learned } from '../record/kitchen';

const lesson = (factor: number, within = 1.05) => ({ factor, within, readings: 7 });
const [bombs] = demoCastings(new Date('2026-10-12T08:00:00Z'));
const knowing = (learned: Learned) => ({ ...bombs, kitchen: { ...bombs.kitchen, learned } });
const stays = (learned: Learned) =>
  plannedInFull(knowing(learned)).chill.coats.map(({ chosen, until }) => chosen[until]);

describe('a plan in a kitchen that was learned', () => {
  const [plain] = stays({});
  const { place } = plannedInFull(bombs).chill.coats[0].chosen;

  it('waits the longer the less heat the air takes, without a jump, and not otherwise in a place where nothing is', () => {
    const input = planned(bombs).chillInput;
    const touch = (factor: number, where: 'fridge' | 'freezer' | 'room' = place): number =>
      chillCasting({ ...input, kitchen: { ...input.kitchen, learned: { [where]: lesson(factor) } } }).coats[0].chosen
        .touch.value;
    expect(touch(1)).toBeCloseTo(chillCasting(input).coats[0].chosen.touch.value, 6);
    let before = touch(0.5);
    for (let k = 1; k <= 200; k++) {
      const now = touch(0.5 * 4 ** (k / 200));
      expect(now).toBeLessThan(before);
      expect(before / now).toBeLessThan(1.02);
      before = now;
    }
    const other = place === 'freezer' ? 'fridge' : 'freezer';
    expect(touch(2, other)).toBe(touch(1, other));
  });

  it('is as sure as the air is known', () => {
    const width = ({ low = 0, high = 0 }: { readonly low?: number; readonly high?: number }): number => high - low;
    const sure = stays({ [place]: lesson(1, 1.02) })[0];
    expect(width(sure)).toBeLessThan(width(plain));
    expect(sure.value).toBeCloseTo(plain.value, 6);
    expect(sure.terms.find(({ name }) => name === 'readings')?.value).toBe(7);
  });

  it('waits for so much longer as one goes on later', () => {
    expect(stays({ goesOn: lesson(1.25) })[0].value / plain.value).toBeCloseTo(1.25, 6);
  });

  it('counts with hands that are so much slower, whatever waits', () => {
    const [usual, slow] = [{}, { hands: { coat: lesson(2), unmold: lesson(2) } }].map(
      (learned) => planned(knowing(learned)).batch,
    );
    const at = (kind: string, { timeline }: typeof usual): number =>
      timeline.oneRound.reduce((sum, one) => (one.kind === kind && one.handsOn ? sum + one.seconds : sum), 0);
    expect(at('coat', slow) / at('coat', usual)).toBeCloseTo(2, 6);
    expect(at('unmold', slow) / at('unmold', usual)).toBeCloseTo(2, 6);
    expect(at('melt', slow)).toBe(at('melt', usual));
    expect(slow.handsOn.terms.find(({ name }) => name === 'handsUsually')?.value).toBeCloseTo(usual.handsOn.value, 6);
    expect(slow.waiting.value).toBe(usual.waiting.value);
  });
});
