import { METHODS } from '../../core/record/method';
import { COAT_AREAS } from '../../core/record/choices';
import { allMadeText, coatName, handsText, madeText, settingText, staysOnText, weighedName } from './coats';

const coat = {
  doseM3: 7.4e-6,
  dwellSeconds: 90,
  drainSeconds: 20,
  tappingSeconds: 10,
  turnSeconds: 20,
  volumeShare: 1,
  standsIn: 'freezer',
} as const;

describe('what the hands do', () => {
  it('is told for every method, each in its own words', () => {
    const all = METHODS.map((method) => handsText({ ...coat, method }, 'metric'));
    expect(new Set(all).size).toBe(METHODS.length - 1);
    expect(handsText({ ...coat, method: 'chillDump' }, 'metric')).toBe(
      'fill to the brim, stand 1.5 min in the freezer, tip out 20 s, tapping 10 s of it',
    );
    expect(handsText({ ...coat, method: 'turn' }, 'metric')).toContain('turn it every 20 s until it runs no more');
    expect(handsText({ ...coat, method: 'solid', volumeShare: 0.5 }, 'us')).toContain('fill 50 % of the cavity');
    expect(handsText({ ...coat, method: 'solid' }, 'us')).toContain('fill to the brim');
  });

  it('names coats, layers and the top, and where they go', () => {
    expect([coatName('dump', 0), coatName('solid', 1), coatName('clamp', 1)]).toEqual(['Coat 1', 'Layer 2', 'Clamped']);
    expect([
      weighedName('spoon', 0, 1),
      weighedName('solid', 0, 1),
      weighedName('solid', 1, 2),
      weighedName('clamp', 1, 2),
    ]).toEqual(['The coat', 'The fill', 'Second layer', 'Top-up']);
    expect([
      madeText({ composition: { kind: 'press', gap: { by: 'width', gapM: 0.003 } } }, 'spoon'),
      madeText({ composition: { kind: 'former' } }, 'dump'),
      madeText({ composition: { kind: 'halves' } }, 'clamp'),
    ]).toEqual(['pressed to the gap', 'poured over', 'two halves, clamped']);
    const set = {
      method: 'dump' as const,
      sets: [{ place: 'fridge' as const }],
      wayUp: 'upsideDown' as const,
      uprightSeconds: 0,
    };
    expect(settingText(set, 'metric')).toBe('Set upside down in the fridge');
    expect(settingText({ ...set, sets: [{ place: 'room', seconds: 1200 }, { place: 'fridge' }] }, 'metric')).toBe(
      'Set upside down, 20 min in the room, then in the fridge',
    );
    const thickens = { ...set, uprightSeconds: 120 };
    expect(settingText(thickens, 'metric')).toBe(
      'Leave it upright for 2 min to thicken, then turn it over. Set upside down in the fridge',
    );
    // What sets upright is not turned over, whatever was chosen for when it is.
    expect(settingText({ ...thickens, wayUp: 'upright' }, 'metric')).toBe('Set upright in the fridge');
    // A closed vessel is not set down before it holds.
    expect(settingText({ ...set, method: 'turn', wayUp: 'upright' }, 'metric')).toBe(
      'Turn it until it holds in the fridge',
    );
    expect(staysOnText({ then: [{ place: 'room', seconds: 300 }] }, 'metric')).toBe(', then 5 min in the room');
    expect(staysOnText({ then: [] }, 'metric')).toBe('');
  });

  it('names every way that coats were made, in their order, and says where one goes', () => {
    const mold = { composition: { kind: 'halves' } } as const;
    expect(allMadeText(mold, [{ method: 'dump' }, { method: 'dump' }])).toBe('fill and dump');
    expect(allMadeText(mold, [{ method: 'dump' }, { method: 'brush' }])).toBe('fill and dump, then brush');
    expect(allMadeText(mold, [{ method: 'solid' }, { method: 'clamp' }])).toBe('two halves, clamped');
    const areas = COAT_AREAS.map((where) => handsText({ ...coat, method: 'brush', where }, 'metric'));
    expect(new Set(areas).size).toBe(COAT_AREAS.length);
  });
});
