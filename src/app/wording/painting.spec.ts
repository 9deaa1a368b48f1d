import { demoCastings } from '../../data/demo';
import { addPrep } from '../../core/edit/prep';
import type { Casting } from '../../core/record/casting';
import { copyOf } from '../../core/record/copy';
import { PREP_KINDS } from '../../core/record/prep';
import { planned } from '../../testing/planned';
import { weighOutTables } from '../workspace/weigh-out/weigh-out-table';
import { prepStep, PREP_WORDS } from './painting';
import { noteWording } from './problems';
import { sheetContent } from '../sheet/sheet-content';

const bonbons = (): Casting =>
  copyOf(demoCastings(new Date('2026-10-12T08:00:00Z')).find(({ id }) => id === 'demo-bonbons')) as Casting;

describe('a painted mold on the sheet', () => {
  it('says what goes in, how much in all, where it waits and for how long', () => {
    const casting = bonbons();
    for (const kind of PREP_KINDS) addPrep(casting.parts[0], kind, kind, PREP_WORDS[kind].colour);
    const plan = planned(casting);
    const [detail, brushed, sprayed, dust] = plan.parts[0].preps.map((prep) => prepStep(casting, prep, 26, 'metric'));
    expect(detail).toMatch(/^Quarry 64, 12 spots, 0\.05\d* g a cavity; 1\.4 g in all\..*ball-ended.*in the fridge\.$/);
    expect(brushed).toMatch(/colour in .* cocoa butter\..*in the fridge\.$/);
    // Common practice, no source: sprayed colour rests 4 to 8 h at 18 to 22 °C.
    expect(sprayed).toMatch(/rests 4 to 8 h at 18 to 22 °C\. Then 4 h in the room\.$/);
    expect(dust).toMatch(/pour gently\.$/);
    const steps = sheetContent(plan, [], '', 'metric').parts[0].steps.map(({ what }) => what);
    expect(steps.slice(0, 4)).toEqual(['Paint:', 'Brush in:', 'Spray:', 'Dust:']);
    const rows = weighOutTables(plan, 'metric')[0].rows.map(({ name }) => name);
    expect(rows).toContain('Painted in first');
  });

  it('moves the start to before it has rested, and waits for what is painted in the order of the work', () => {
    const casting = bonbons();
    const before = planned(casting);
    addPrep(casting.parts[0], 'sprayed', 's', 'Red');
    const plan = planned(casting);
    const rounds = plan.batch.rounds.value;
    expect(plan.batch.total.value - before.batch.total.value).toBeGreaterThan(rounds * 4 * 3600 * 0.999);
    expect(plan.start.value).toBeLessThan(before.start.value - rounds * 4 * 3600 * 0.999);
    expect(plan.batch.timeline.oneRound.slice(0, 2)).toMatchObject([
      { kind: 'prep', handsOn: true, step: 0 },
      { kind: 'chill', place: 'room', seconds: 4 * 3600, step: 0 },
    ]);
  });

  it.each([
    ['paintCracks', { place: 'freezer' as const }, 19.5, 'the filled mold may go to the freezer'],
    ['paintNeverSets', { place: 'room' as const }, 30, 'does not set in the room'],
    ['paintRests', { place: 'room' as const, seconds: 3600 }, 19.5, 'wants 4 h'],
    ['paintWarm', { place: 'room' as const }, 16, 'rests at 16'],
  ] as const)('is told of where %s', (key, set, roomC, says) => {
    const casting = bonbons();
    casting.kitchen.roomC = roomC;
    addPrep(casting.parts[0], 'sprayed', 's', 'Red');
    casting.parts[0].prep[0].sets = [set];
    const problem = planned(casting).problems.find((one) => one.key === key);
    expect(problem).toBeDefined();
    const { head, body } = noteWording(problem as NonNullable<typeof problem>, 'metric');
    expect(`${head} ${body}`).toContain(says);
  });
});
