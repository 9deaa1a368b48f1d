import { meltHands } from './melt-hands';

const of = (more: object): string =>
  meltHands({ way: 'microwave', school: 'seeding', kind: 'dark', totalKg: 0.3, ...more }).join(' ');

// Common practice, no source.
describe('what the hands look after while they melt', () => {
  it('is what the way of melting asks for', () => {
    expect(of({})).toMatch(/Chop bars.*Last clots: 2 to 3 s.*By eye.*Scorched.*Seized.*never for molding/);
    expect(of({})).not.toMatch(/Double boiler|bag|Tubes|half in first|held back/);
    expect(of({ way: 'doubleBoiler' })).toMatch(/5 cm of water or a quarter of the pot/);
    expect(of({ way: 'bag', school: 'meltOnly' })).toMatch(/push lumps up from the tip.*warm pan/);
    expect(of({ way: 'bag' })).not.toContain('Chop bars');
    expect(of({ way: 'tube', school: 'meltOnly' })).toMatch(/80 °C and off the boil, 3 to 5 min/);
  });

  it('is half first where it is much, and lumps held back where it is coating', () => {
    expect(of({ totalKg: 0.9 })).toContain('half in first');
    expect(of({ kind: 'compound', school: 'meltOnly' })).toContain('takes up heat that is too much');
  });
});
