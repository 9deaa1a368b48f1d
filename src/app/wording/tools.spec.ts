import { demoCastings } from '../../data/demo';
import { SHIPPED_MOLDS } from '../../data/mold-library';
import type { Casting } from '../../core/record/casting';
import { copyOf } from '../../core/record/copy';
import type { Mold } from '../../core/record/mold';
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
    expect(tools('demo-bombs')).not.toMatch(/brush|clamps|sticks|fork|liners|Piping|buff/);
    expect(tools('demo-pears')).toMatch(/^2 dry bowls.*brush.*Ladle.*Offset spatula.*Piping bag/);
    expect(tools('demo-bonbons')).toMatch(/buff.*Piping bag/);
    expect(tools('demo-oat-cups')).toMatch(/carry the liners/);
    expect(tools('demo-owls')).toMatch(/\d+ clamps that open wider than \d+ mm, and a towel/);
    const tiles = castings.find(({ id }) => id === 'demo-tiles') as Casting;
    const sticks = planned({ ...tiles, parts: [{ ...tiles.parts[0], stick: { thickM: 0.004, insideM: 0.02 } }] });
    expect(toolsFor(sticks).join()).toContain(`${sticks.batch.byPart[0].parts.value} sticks`);
    expect(tools('demo-tiles')).not.toMatch(/rack|Ladle/);
  });

  it('asks for cotton where cavities are buffed, which the inside of a vessel cannot be', () => {
    const bottle = copyOf(castings.find(({ id }) => id === 'demo-bonbons')) as Casting;
    bottle.molds = [{ ...(copyOf(SHIPPED_MOLDS.find(({ id }) => id === 'bottle')) as Mold), care: ['buff'] }];
    Object.assign(bottle.parts[0], { moldId: 'bottle', cavityId: 'cavity-1' });
    bottle.closure = null;
    bottle.fill = [];
    expect(toolsFor(planned(bottle)).join()).toContain('Soft cotton');
    bottle.parts[0].coats[0].method = 'turn';
    expect(toolsFor(planned(bottle)).join()).not.toContain('Soft cotton');
  });
});
