import { CASSON_AT_40 } from '../matter/chocolate';
import { thinned, thinnerKg, thinnerShare } from '../matter/thinning';
import { COCOA_BUTTER_COLOUR } from '../matter/cocoa-butter';
import { caramelised, cocoaButterColour, ganache, usualGanache, type PreparationPlace } from './preparations';

const place: PreparationPlace = {
  bowl: { material: 'plastic', kg: 0.14, diameterM: 0.18 },
  roomC: 20,
  fridgeC: 5,
  microwaveW: 800,
  microwaveFactor: 1,
};

describe('ganache', () => {
  // Common practice, no source: near 1:1 by weight for dark, a little more chocolate than cream for white.
  it('is near one to one for dark, with a little more chocolate for white, and firmer where it is rolled', () => {
    const parts = (kind: 'dark' | 'milk' | 'white', use: 'molded' | 'rolled' | 'poured' = 'molded'): number => {
      const { chocolate, cream } = ganache(0.3, kind, 0.38, place, usualGanache(kind, use));
      expect(chocolate.value + cream.value).toBeCloseTo(0.3, 12);
      return chocolate.value / cream.value;
    };
    expect(parts('dark')).toBeCloseTo(1, 9);
    expect(parts('white')).toBeGreaterThan(1.1);
    expect(parts('white')).toBeLessThan(1.5);
    expect(parts('dark', 'rolled')).toBeGreaterThan(parts('dark'));
    expect(parts('dark', 'poured')).toBeLessThan(parts('dark'));
  });

  it('melts its chocolate, and is cool sooner in the fridge and in small', () => {
    const { mixed, inRoom, inFridge } = ganache(0.3, 'dark', 0.4, place, 1);
    expect(mixed.value).toBeGreaterThan(38);
    expect(mixed.value).toBeLessThan(60);
    expect(inFridge.value).toBeLessThan(inRoom.value);
    expect(ganache(0.1, 'dark', 0.4, place, 1).inRoom.value).toBeLessThan(inRoom.value);
  });

  it('is never cool enough in a room that is as warm as that', () => {
    expect(ganache(0.3, 'dark', 0.4, { ...place, roomC: 24 }, 1).inRoom.value).toBe(Infinity);
  });
});

describe('coloured cocoa butter', () => {
  // Common practice, no source: ten parts to a hundred, melted at 45, used at about 29 °C, rested 4 to 8 h and up to 24 h at 18 to 22 °C.
  it('is ten parts colour to a hundred', () => {
    const { colour, cocoaButter } = cocoaButterColour(0.11);
    expect([colour.value, cocoaButter.value]).toEqual([expect.closeTo(0.01, 12), expect.closeTo(0.1, 12)]);
    expect(COCOA_BUTTER_COLOUR).toEqual({
      meltC: 45,
      useC: 29,
      restFromS: 14_400,
      restToS: 28_800,
      restMostS: 86_400,
      restFromC: 18,
      restToC: 22,
    });
  });
});

describe('caramelised coating', () => {
  it('takes a long series of short bursts, longer for more, and never scorches', () => {
    const [small, large] = [0.15, 0.4].map((kg) => caramelised(kg, 0.32, place));
    expect(small.reached && large.reached).toBe(true);
    expect(small.count.value).toBeGreaterThan(10);
    expect(large.count.value).toBeGreaterThan(small.count.value);
    for (const { seconds, afterC } of [...small.bursts, ...large.bursts]) {
      expect(seconds).toBeLessThanOrEqual(30);
      expect(afterC).toBeLessThanOrEqual(125);
    }
    expect(small.bursts.filter(({ afterC }) => afterC >= 112).length).toBeGreaterThanOrEqual(6);
  });

  // Common practice, no source: 227 g (8 oz) take 19 to 24 bursts of mostly 30 s at half power. Microwaves differ: within half as many.
  it('comes near to what people count at half power', () => {
    const { count, reached } = caramelised(0.227, 0.32, place);
    expect(reached).toBe(true);
    expect(count.value).toBeGreaterThan(19 / 1.5);
    expect(count.value).toBeLessThan(24 * 1.5);
  });

  it('cools longer the more there is, and the warmer the room', () => {
    expect(caramelised(0.4, 0.32, place).cools.value).toBeGreaterThan(caramelised(0.2, 0.32, place).cools.value);
    expect(caramelised(0.4, 0.32, { ...place, roomC: 26 }).cools.value).toBeGreaterThan(
      caramelised(0.4, 0.32, place).cools.value,
    );
  });

  it('says so where it cannot be done', () => {
    expect(caramelised(0.01, 0.32, { ...place, microwaveW: 3000 }).reached).toBe(false);
    expect(caramelised(20, 0.32, place).reached).toBe(false);
  });
});

describe('thinning', () => {
  it('counts the fat from the chocolate’s weight, within the total', () => {
    expect(thinnerKg(1.04, 0.04)).toBeCloseTo(0.04, 12);
    expect(thinnerKg(1.04, 0.04) / (1.04 - thinnerKg(1.04, 0.04))).toBeCloseTo(0.04, 12);
  });

  it('finds the fat that brings one class to the next, and thins by just that', () => {
    const share = thinnerShare(CASSON_AT_40.medium, CASSON_AT_40.fluid);
    expect(thinned('medium', share).viscosityPas).toBeCloseTo(CASSON_AT_40.fluid.viscosityPas, 9);
    expect(thinned('medium', share).yieldPa).toBeLessThan(CASSON_AT_40.medium.yieldPa);
    // A sliver: some hundredths. Working rule.
    expect(share).toBeGreaterThan(0.01);
    expect(share).toBeLessThan(0.06);
    expect(thinnerShare(CASSON_AT_40.fluid, CASSON_AT_40.medium)).toBe(0);
  });
});
