import { RUN_SCHEMA_VERSION, type Run } from '../core/run/run-record';
import { demoCastings } from '../data/demo';

/** When the made run was planned to begin, s since 1970 UTC: Fri 16 Oct 2026, 16:00 UTC. */
export const BEGINS_S = Date.UTC(2026, 9, 16, 16) / 1000;

type Task = Run['tasks'][number];

/** The tasks of the made run, one after another, and when the last of them ends. */
function madeTasks(castingId: string, meltId: string): { readonly tasks: readonly Task[]; readonly endS: number } {
  let clock = BEGINS_S;
  const tasks: Task[] = [];
  const task = (kind: Task['kind'], seconds: number, own: Partial<Task> = {}, afterS = 0): void => {
    clock += afterS;
    const startS = clock;
    if (own.handsOn !== false) clock += seconds;
    const { coat = '', round = '' } = own;
    tasks.push({
      key: `${castingId}/${kind}/0/${coat}//${round}///0`,
      kind,
      handsOn: true,
      seconds,
      startS,
      person: 0,
      mayWaitS: 300,
      castingId,
      part: 0,
      amounts: [],
      reason: { key: 'first' },
      ...own,
    });
  };
  const amounts = [{ count: 12, eachKg: 0.002 }];
  task('melt', 600, { bowl: 0, meltIds: [meltId] });
  task('coat', 120, { coat: 0, round: 0, count: 12, meltIds: [meltId], amounts });
  task('coat', 120, { coat: 0, round: 1, count: 12, meltIds: [meltId], amounts });
  task('coat', 120, { coat: 1, round: 0, count: 12, meltIds: [meltId], amounts }, 480);
  task('coat', 120, { coat: 1, round: 1, count: 12, meltIds: [meltId], amounts });
  task('unmold', 180, { round: 0, count: 12 }, 780);
  task('unmold', 180, { round: 1, count: 12 });
  task('finish', 900, { round: 1, handsOn: false });
  return { tasks, endS: clock };
}

/** What is melted for it. */
function madeBowl(castingId: string, meltId: string, workingC: number): Run['bowls'][number] {
  return {
    uses: [{ castingId, meltId, usedKg: 0.096, tipsOut: false }],
    name: 'Pebble',
    colour: '#8a5a3c',
    workingC,
    way: 'microwave',
    kg: 0.12,
    usedKg: 0.096,
    leftKg: 0,
    apartKg: 0.12,
    seconds: 600,
    meltedS: 600,
    mix: [{ component: 'pebble', name: 'Pebble', share: 1 }],
  };
}

/** A bowl for two coats of small bites, filled and turned out, with two rounds in two molds: ten minutes of melting, ten of setting for each coat. */
export function madeRun(change: Partial<Run> = {}): Run {
  const [, bites] = demoCastings(new Date('2026-10-12T08:00:00Z'));
  const [{ id: meltId, workingC }] = bites.melts;
  const { tasks, endS } = madeTasks(bites.id, meltId);
  const [melt, first, other, second, otherSecond, out, otherOut, dry] = tasks.keys();
  const sets = [{ kind: 'chill', place: 'fridge', seconds: 600 }] as const;
  const twice = [
    { kind: 'chill', place: 'room', seconds: 300 },
    { kind: 'chill', place: 'fridge', seconds: 600 },
  ] as const;
  return {
    schemaVersion: RUN_SCHEMA_VERSION,
    id: 'made-run',
    name: 'Pebble bites',
    createdAt: '2026-10-16T16:00:00.000Z',
    of: { kind: 'casting', id: bites.id },
    zone: 'Europe/Berlin',
    dueS: BEGINS_S + 7200,
    people: 1,
    castings: [bites],
    sets: [],
    names: { [bites.id]: { parts: [{ name: 'Shell', coats: 2, preps: [] }] } },
    tasks,
    lags: [
      { from: melt, to: first, least: 0 },
      { from: melt, to: other, least: 0 },
      { from: first, to: second, least: 600, most: 900 },
      { from: other, to: otherSecond, least: 600, most: 900 },
      { from: second, to: out, least: 900 },
      { from: otherSecond, to: otherOut, least: 900 },
      { from: otherOut, to: dry, least: 0, most: 0 },
    ],
    waits: [
      { from: first, to: second, steps: sets },
      { from: other, to: otherSecond, steps: sets },
      { from: second, to: out, steps: twice },
      { from: otherSecond, to: otherOut, steps: twice },
    ],
    bowls: [madeBowl(bites.id, meltId, workingC)],
    there: [{ from: BEGINS_S, to: endS }],
    ...change,
  };
}
