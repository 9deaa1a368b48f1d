import { demoCastings } from '../../data/demo';
import { planned } from '../../testing/planned';
import { toolsFor } from './tools';

const castings = demoCastings(new Date('2026-10-12T08:00:00Z'));
const tools = (id: string): string => {
  const casting = castings.find((one) => one.id === id);
  if (!casting) throw new Error(id);
  return toolsFor(planned(casting)).join('; ');
};

// Common practice, no source.
describe('what is laid out first', () => {
  it('is what the methods, the molds and the closing of a casting ask for, and no more', () => {
    expect(tools('demo-bombs')).toMatch(
      /^A dry bowl and a spatula; Thermometer; Ladle.*parchment.*A plate or pan to warm/,
    );
    expect(tools('demo-bombs')).not.toMatch(/brush|Clamps|liners|Piping|buff/);
    expect(tools('demo-pears')).toMatch(/^2 dry bowls.*brush.*Ladle.*Offset spatula.*Piping bag/);
    expect(tools('demo-bonbons')).toMatch(/buff.*Piping bag/);
    expect(tools('demo-oat-cups')).toMatch(/carry the liners/);
    expect(tools('demo-owls')).toMatch(/Clamps for every mold, and a towel/);
    expect(tools('demo-tiles')).not.toMatch(/rack|Ladle/);
  });
});
