import type { Bowl } from '../../core/occasion/bowls';
import { demoCastings } from '../../data/demo';
import { amountsText, bowlText, fromToText, noTimetableText, taskText, unfitText, type Told } from './occasion';
import { supplyName } from './supplies';

const bowl = (name: string, change: Partial<Bowl> = {}): Bowl => ({
  uses: [],
  name,
  colour: '#ffffff',
  workingC: 29,
  way: 'microwave',
  kg: 0.3,
  usedKg: 0.1,
  leftKg: 0,
  apartKg: 0.3,
  seconds: 600,
  meltedS: 600,
  mix: [],
  ...change,
});
const bowls = [
  bowl('Linen'),
  bowl('Rose', {
    leftKg: 0.12,
    from: { bowl: 0, kg: 0.29, added: [{ component: 'red', name: 'Red', kg: 0.01 }] },
  }),
];
const set = { id: 's', name: 'Gift', count: 6, wrap: 'box' as const, contents: [] };
const told: Told = { castings: [], names: {}, bowls, sets: [set], system: 'metric' };
const zone = 'Europe/Berlin';

describe('what an occasion says', () => {
  it('names the day on which something ends, where that is another', () => {
    const at = (moment: string): number => Date.parse(moment) / 1000;
    const evening = at('2026-10-24T22:00:00+02:00');
    expect(fromToText({ from: evening, to: at('2026-10-24T23:59:00+02:00') }, zone)).toBe('22:00 to 23:59');
    // Over the night in which the clocks are put back.
    expect(fromToText({ from: evening, to: at('2026-10-25T11:00:00+01:00') }, zone)).toBe('22:00 to Sun 11:00');
  });

  it('says at once that what is held does not go with the rest, and how much earlier or later somebody would have to be there', () => {
    const at = (local: string): number => Date.parse(`${local}Z`) / 1000;
    expect(unfitText({}, 'UTC')).toMatch(/another is being looked for\.$/);
    const earlier = unfitText({ wider: { stay: 1, fromS: at('2026-10-17T13:43:20') } }, 'UTC');
    // Nobody begins to the second.
    expect(earlier).toContain('if you began on Sat 17 Oct at 13:40.');
    expect(unfitText({ wider: { stay: 0, toS: at('2026-10-16T21:30:00') } }, 'UTC')).toContain(
      'if you stayed on Fri 16 Oct until 21:30.',
    );
  });

  it('of a bowl that is made of another, and of what that other has to leave', () => {
    expect(bowlText(bowls[0], 0, bowls, 'metric')).toBe('leave 290 g for Rose');
    expect(bowlText(bowls[1], 1, bowls, 'metric')).toBe('made of 290 g Linen and 10 g Red; 120 g left at the end');
    expect(bowlText(bowl('Plain', { leftKg: 0.2 }), 0, [bowl('Plain')], 'metric')).toBe('');
    const task = { castingId: undefined, kind: 'melt' as const, handsOn: true, seconds: 300, bowl: 1 };
    expect(taskText(task, told)).toBe('Make Rose of what is left of Linen');
    expect(taskText({ ...task, again: true }, told)).toBe('Melt Rose again');
  });

  it('of what is packed, and what is counted in pieces', () => {
    expect(taskText({ castingId: undefined, kind: 'pack', handsOn: true, seconds: 60, setId: 's' }, told)).toBe(
      'Pack 6 × Gift',
    );
    expect(supplyName({ kind: 'stick', stick: { thickM: 0.004, insideM: 0.025 } }, 'metric')).toBe(
      'Sticks, 4.0 mm thick, 25 mm of each inside',
    );
    expect(supplyName({ kind: 'gloves' }, 'metric')).toBe('Pairs of gloves');
  });

  it('of what goes into which piece, and into each box', () => {
    const [bombs] = demoCastings(new Date('2026-10-12T08:00:00Z'));
    const [powder, marshmallows] = bombs.fill;
    const sweet = { layerId: powder.id, fillingId: marshmallows.fillingId };
    const variant = { id: 'v', name: 'Sweet ones', pieces: 6, melts: [], fillings: [sweet], without: [] };
    const casting = { ...bombs, variants: [variant] };
    const contents = [
      { castingId: bombs.id, pieces: 2 },
      { castingId: bombs.id, variantId: 'v', pieces: 1 },
    ];
    const boxes = { ...told, castings: [casting], sets: [{ ...set, contents }] };
    const task = { key: '', startS: 0, person: 0, mayWaitS: 0, reason: { key: 'stay' as const }, amounts: [] };
    const doing = { ...task, handsOn: true, seconds: 60, count: 18 };
    expect(amountsText({ ...doing, castingId: bombs.id, kind: 'fill' }, boxes)).toBe(
      'as chosen: Cider-spice powder, Small marshmallows; Sweet ones: Small marshmallows',
    );
    expect(amountsText({ ...doing, castingId: undefined, kind: 'pack', setId: 's' }, boxes)).toBe(
      `each 2 ${bombs.name}, as chosen (Cider-spice powder, Small marshmallows), 1 ${bombs.name}, Sweet ones (Small marshmallows)`,
    );
    const kept = (eachKg: number, name: string | undefined) => ({
      count: 1,
      eachKg,
      pouredKg: 0.04,
      names: [name],
    });
    const amounts = [kept(0.0091, undefined), kept(0.0123, 'Sweet ones')];
    expect(amountsText({ ...doing, castingId: bombs.id, kind: 'coat', amounts }, boxes)).toBe(
      '9.1 g as chosen, 12 g Sweet ones, that stay in each',
    );
    const poured = [{ count: 6, eachKg: 0.0091, pouredKg: 0.0438 }];
    expect(amountsText({ ...doing, castingId: bombs.id, kind: 'coat', amounts: poured }, boxes)).toBe(
      '6 × 44 g poured, 9.1 g stays',
    );
    // All alike need not be told apart.
    expect(amountsText({ ...doing, castingId: bombs.id, kind: 'fill' }, { ...boxes, castings: [bombs] })).toBe('');
  });

  it('of what is impossible, with what would help', () => {
    const task = { castingId: undefined, kind: 'pack' as const, handsOn: true, seconds: 60, setId: 's' };
    const at = (hours: number): number => Date.parse('2026-10-17T00:00:00Z') / 1000 + hours * 3600;
    const held = { key: 'held' as const, task, earliestS: at(12), latestS: at(14) };
    expect(noTimetableText(held, told, zone)).toContain(
      '“Pack 6 × Gift” cannot be held there: it can start between Sat 17 Oct, 14:00 and Sat 17 Oct, 16:00.',
    );
    expect(noTimetableText({ ...held, earliestS: at(-600) }, told, zone)).toContain('no later than Sat 17 Oct, 16:00');
    expect(noTimetableText({ ...held, beside: { ...task, kind: 'break' } }, told, zone)).toContain(
      'cannot both be held where they are: with the second there, the first can start between Sat 17 Oct, 14:00 and',
    );
    const help = { stretch: { takesS: 7200, startS: at(14) }, mold: { name: 'Halves', takesS: 5400 } };
    expect(noTimetableText({ key: 'notFound', help }, told, zone)).toBe(
      'No timetable was found that keeps to all of it. At one stretch, with nothing held, it would take 2 h: start it on Sat 17 Oct, 16:00. With one more “Halves” it would take 90 min. Make a stay longer, add one, or let go of what is held.',
    );
  });
});
