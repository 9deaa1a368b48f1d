import { wafersText } from './pantry';

// Common practice, no source: a wafer of coating weighs 0.95 g, and tints are counted in them: 227 g of one, 2 of another, 3 of a third.
describe('wafers of coating', () => {
  it.each([
    [0.0019, ', about 2 wafers'],
    [0.0029, ', about 3 wafers'],
    [0.001, ', about a wafer'],
    [0.0002, ''],
    [0.227, ''],
  ])('%f kg%s', (kg, said) => {
    expect(wafersText(kg)).toBe(said);
  });
});
