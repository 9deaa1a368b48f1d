import { TestBed } from '@angular/core/testing';
import { Bench, until, withDemo } from '../../../testing/bench';
import { readCasting } from '../../../core/record/read-casting';
import { Pantry } from '../../state/pantry';
import { FillStation } from './fill-station';

const { casting } = withDemo();

const whole = (): void => expect(readCasting(structuredClone(casting()))).toMatchObject({ ok: true });

describe('Fill station', () => {
  it('understands spoons, grams and pieces, each as it was meant', async () => {
    const bench = await Bench.of(FillStation);
    await bench.type('In each piece', '2 tbsp');
    expect(casting().fill[0].amount).toMatchObject({ by: 'volume', m3: expect.closeTo(29.57e-6, 8) });
    await bench.type('In each piece', '12,5 g');
    expect(casting().fill[0].amount).toEqual({ by: 'mass', kg: 0.0125 });
  });

  it('adds, orders, changes and removes layers', async () => {
    const bench = await Bench.of(FillStation);
    const had = casting().fill.length;
    await bench.press('Add a layer');
    expect(casting().fill).toHaveLength(had + 1);
    const ids = casting().fill.map((layer) => layer.id);
    await bench.press(/one layer lower/, had - 1);
    expect(casting().fill.map((layer) => layer.id)).toEqual([...ids.slice(0, had - 1), ids[had], ids[had - 1]]);
    const other = casting().fillings.find((filling) => filling.id !== casting().fill[0].fillingId);
    await bench.choose('Layer 1, at the bottom', other?.id ?? '');
    expect(casting().fill[0].fillingId).toBe(other?.id);
    for (let k = 0; k <= had; k++) await bench.press(/^Remove/, 0);
    expect(casting().fill).toEqual([]);
    expect(bench.text).toContain('Hollow so far');
  });

  it('fills to the line, and says what does not fit', async () => {
    const bench = await Bench.of(FillStation);
    await bench.choose('By', 'line');
    await bench.type('Below the rim', '4 mm');
    expect(casting().fill[0].amount).toEqual({ by: 'line', belowRimM: 0.004 });
    await bench.choose('By', 'share');
    await bench.type('Of the room inside', '30 %');
    expect(casting().fill[0].amount).toEqual({ by: 'share', share: 0.3 });
    await bench.choose('By', 'amount');
    await bench.type('In each piece', '1 cup');
    expect(bench.text).toContain('does not fit');
    expect(bench.text).toContain('It does not close');
  });

  it('names the allergens of shell and filling, and the cautions of what is inside', async () => {
    const bench = await Bench.of(FillStation);
    expect(bench.text).toMatch(/Contains .*milk/i);
    expect(bench.text).toContain('Hot drinks burn');
    expect(bench.text).toContain('Follow your local rules');
  });
});

describe('Fill station', () => {
  it('takes a filling from the pantry as a copy, with what it is mixed of, and keeps it when the pantry loses it', async () => {
    const bench = await Bench.of(FillStation);
    casting();
    await bench.choose('Layer 1, at the bottom', 'nut-butter');
    expect(
      casting()
        .fillings.find(({ id }) => id === 'nut-butter')
        ?.recipe.map(({ name }) => name),
    ).toEqual(['Hazelnut butter', 'Coconut oil', 'Icing sugar']);
    const pantry = TestBed.inject(Pantry);
    const entry = pantry.byId().get('nut-butter');
    if (entry) pantry.remove(entry);
    whole();
    await bench.settle();
    expect(bench.text).toContain('Hazelnut butter filling');
    expect(bench.text).toMatch(/Contains .*nuts/);
    expect(bench.text).toContain('weeks');
  });

  it('fills every half, or heaps into the other, and says how warm it may be and how long it keeps', async () => {
    const bench = await Bench.of(FillStation);
    await bench.press('every one');
    expect(casting().parts[0].filled).toBe('all');
    await bench.press('one of them');
    await bench.press('heaped');
    expect(casting().parts[0].heaped).toBe(true);
    expect(bench.text).toContain('Room for a heap on it');
    await bench.choose('Layer 1, at the bottom', 'ganache');
    expect(bench.text).toMatch(/Goes in no warmer than2\d(\.\d)? °C/);
    expect(bench.text).toContain('keeps some days');
  });

  it('warns of small things that are not to be eaten, of eggs and of hot sugar', async () => {
    const bench = await Bench.of(FillStation);
    for (const [id, said] of [
      ['charm', 'choking hazard'],
      ['custard', 'Cook egg custard through'],
      ['caramel', 'Hot sugar and cream burn'],
    ]) {
      await bench.choose('Layer 1, at the bottom', id);
      expect(bench.text).toContain(said);
    }
  });

  it('says of what is cooked that more goes in than comes out, so that the parts add up', async () => {
    const bench = await Bench.of(FillStation);
    await bench.choose('Layer 1, at the bottom', 'custard');
    const said = /(\d+) g for the job, of (\d+) g before it boils down: (.*?) Vanilla extract/;
    await until(() => said.test(bench.text));
    const [, left, goesIn, parts] = said.exec(bench.text) ?? [];
    // 8 % boils away.
    expect(Number(left) / Number(goesIn)).toBeCloseTo(0.92, 2);
    const sum = [...parts.matchAll(/([\d.]+) g/g)].reduce((all, [, grams]) => all + Number(grams), 0);
    expect(sum / Number(goesIn)).toBeCloseTo(1, 1);
  });

  it('refuses three kilograms of filling where they cannot be, and keeps what was typed', async () => {
    const bench = await Bench.of(FillStation);
    await bench.type('In each piece', '3.5 kg');
    expect(bench.text).toContain('Out of range');
    expect(bench.field('In each piece').value).toBe('3.5 kg');
    await bench.type('In each piece', '3 kg');
    expect(casting().fill[0].amount).toEqual({ by: 'mass', kg: 3 });
    expect(bench.text).toContain('does not fit');
  });
});
