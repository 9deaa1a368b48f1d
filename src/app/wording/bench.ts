import type { Wrong } from '../../core/run/mark';
import type { BowlMending } from '../../core/run/mending';
import type { RunClock } from '../../core/run/at-hand';
import { coatOf, type Nudge, type NudgeKind } from '../../core/run/nudges';
import type { RunWait } from '../../core/run/run-waits';
import type { Run } from '../../core/run/run-record';
import type { Stretch } from '../../core/batch/stretch';
import type { UnitSystem } from '../../core/quantity/units';
import { text } from './format';
import { METHOD_NAMES, listed } from './names';
import { taskText, whoseText, type Told } from './occasion';
import { timeText } from './times';

/** What one waits for by touch or sight before going on, and what to do where it is not there yet. Common practice, no source. */
interface ReadySign {
  readonly sign: string;
  readonly otherwise: string;
}

const READY_BEFORE: Readonly<Partial<Record<Stretch['kind'], ReadySign>>> = {
  coat: {
    sign: 'Dull all over, and a light touch leaves no print.',
    otherwise: 'Still shiny or soft: two minutes more, then touch it again.',
  },
  unmold: {
    sign: 'The back of the mold is cold, the piece is hard and stands off at its edge.',
    otherwise: 'Where it holds on: back into the cold for five minutes, and no force.',
  },
  fill: {
    sign: 'The wall is dull and holds against a fingertip.',
    otherwise: 'Soft anywhere: leave it where it is for two minutes more.',
  },
  close: {
    sign: 'The filling is level and does not move, the rim is clean and dry.',
    otherwise: 'It still moves: leave it to stand, and wipe the rim meanwhile.',
  },
  finish: {
    sign: 'The seam is dull and does not give.',
    otherwise: 'It gives: two minutes more in the cold.',
  },
  pack: {
    sign: 'Dry to a touch, and as warm as the room.',
    otherwise: 'Damp or cold: leave it uncovered until it is neither.',
  },
};
const TIPPED_READY: ReadySign = {
  sign: 'Scraped at the rim, the wall that has set is as thick as is wanted.',
  otherwise: 'Too thin yet: a minute more, and look again.',
};
const SET_READY: ReadySign = {
  sign: 'Dull, and a light touch leaves no print.',
  otherwise: 'Not yet: two minutes more, then look again.',
};

/** Whether what follows a wait is the tipping out of what stood full. */
function isTippedAfter({ tasks }: Run, { from, to }: RunWait): boolean {
  const [laid, next] = [tasks[from], tasks[to ?? from]];
  return to !== undefined && laid.kind === 'coat' && next.kind === 'coat' && laid.coat === next.coat;
}

/** What tells that a wait is over. */
export function readySign(run: Run, wait: RunWait): ReadySign {
  if (isTippedAfter(run, wait)) return TIPPED_READY;
  return (wait.to === undefined ? READY_BEFORE.pack : READY_BEFORE[run.tasks[wait.to].kind]) ?? SET_READY;
}

const PLACE_TEXTS = { fridge: 'in the fridge', freezer: 'in the freezer', room: 'in the room' } as const;

/** What runs: "Coat 1 sets", "Dries", "Pebble ganache stands". */
export function waitText(run: Run, wait: RunWait, told: Told): string {
  const from = run.tasks[wait.from];
  const [step] = wait.steps;
  const name = taskText(from, told);
  if (isTippedAfter(run, wait)) return `${name} stands full`;
  switch (step?.kind) {
    case 'make':
      return `${name.replace(/^Make /, '')} stands`;
    case 'cover':
      return `${name} rests covered`;
    case 'finish':
      return `${name} dries`;
    default:
      return from.kind === 'wash' ? `${name.replace(/^Wash and dry /, '')} dries` : setting(from, name);
  }
}

/** What sets after something else than a coat was done. */
const SETS_AFTER: Readonly<Partial<Record<Stretch['kind'], string>>> = {
  turn: 'The shell sets',
  stick: 'The sticks set fast',
  fill: 'The filling stands',
  level: 'The rim sets',
  close: 'The seam sets',
  finish: 'What is on it sets',
  unmold: 'It comes to the room',
};

function setting({ kind, round = 0 }: Run['tasks'][number], name: string): string {
  const told = SETS_AFTER[kind];
  return told ? `${told}${round > 0 ? `, round ${round + 1}` : ''}` : `${name} sets`;
}

/** At which of its steps a clock is, from 0. */
export function stepAt({ turnsS }: RunClock, nowS: number): number {
  return turnsS.filter((turnS) => turnS <= nowS).length;
}

/** Where it is at a step, and whereto next: "in the room, from 17:20 in the fridge". */
export function placesText({ wait: { steps }, turnsS }: RunClock, at: number, zone: string): string {
  const place = (i: number): string => (steps[i]?.place ? PLACE_TEXTS[steps[i].place] : '');
  const next = at < steps.length - 1 && place(at + 1) !== place(at) ? place(at + 1) : '';
  return [place(at), next ? `from ${timeText(turnsS[at], zone)} ${next}` : ''].filter((part) => part !== '').join(', ');
}

/** "4 min Coat 1 sets", by the second in the last minute; marked once it is over. */
export function clockTitle(name: string, leftS: number): string {
  if (leftS <= 0) return `● ${name}`;
  return `${leftS < 60 ? countText(leftS) : `${Math.ceil(leftS / 60)} min`} ${name}`;
}

/** "4:32", and "1 h 04" from an hour on; what is over counts on from 0. */
export function countText(seconds: number): string {
  const all = Math.floor(Math.abs(seconds));
  const [h, m, s] = [Math.floor(all / 3600), Math.floor(all / 60) % 60, all % 60];
  const two = (n: number): string => String(n).padStart(2, '0');
  return h > 0 ? `${h} h ${two(m)}` : `${m}:${two(s)}`;
}

/** How a run stands against its plan: "6 min late: ready 18:06 instead of 18:00". */
export function standText(plannedS: number, readyS: number, zone: string, system: UnitSystem): string {
  const late = readyS - plannedS;
  const ready = `ready ${timeText(readyS, zone)}`;
  if (Math.abs(late) < 60) return `as planned: ${ready}`;
  const by = text(Math.abs(late), 'duration', system);
  return `${by} ${late > 0 ? 'late' : 'ahead'}: ${ready} instead of ${timeText(plannedS, zone)}`;
}

/** How a coat is made: "spoon and swirl"; nothing for everything else. */
export function howText(run: Run, task: Run['tasks'][number]): string {
  const coat = task.kind === 'coat' ? coatOf(run, task) : undefined;
  return coat ? METHOD_NAMES[coat.method] : '';
}

const NUDGE_TEXTS: Readonly<Record<NudgeKind, string>> = { knead: 'Knead it', stir: 'Stir it', turn: 'Turn it' };

/** "Stir it in 2:10". */
export const nudgeText = ({ kind, leftS }: Nudge): string => `${NUDGE_TEXTS[kind]} in ${countText(leftS)}`;

/** What is spoken when a wait ends, and what a notification says. */
function callText(run: Run, { wait, rings }: RunClock, told: Told): string {
  const name = waitText(run, wait, told);
  const own = run.tasks[wait.from];
  const whose = own.castingId && run.castings.length > 1 ? `${whoseText(own, told)}: ` : '';
  const then = wait.to === undefined ? '' : ` Next: ${taskText(run.tasks[wait.to], told)}.`;
  return rings === 'latest'
    ? `${whose}${name}: it must not wait any longer.${then}`
    : `${whose}${name}: time is up.${then}`;
}

/** What can be not as it should be, as it is chosen. */
export const WRONG_NAMES: Readonly<Record<Wrong, string>> = {
  tooThick: 'The bowl is too thick',
  seized: 'It has seized: grainy, like paste',
  outOfTemper: 'Out of temper',
  ranOut: 'The bowl runs out',
  sticks: 'It sticks in the mold',
  broke: 'A piece broke',
  spilled: 'Spilled',
  shelfFull: 'No room in the cold',
  calledAway: 'I am called away',
};

/** Of which it is asked which bowl it is. */
export const OF_A_BOWL: ReadonlySet<Wrong> = new Set(['tooThick', 'seized', 'outOfTemper', 'ranOut', 'spilled']);

/** What to do when something of a bowl is wrong: amounts from what is left in it. Common practice, no source. */
export function bowlAdvice(what: Wrong, mending: BowlMending, run: Run, system: UnitSystem): readonly string[] {
  const { now, moreKg, moreS, anewKg, anewS, seedKg } = mending;
  const { name, workingC } = run.bowls[now.bowl];
  const mass = (kg: number): string => text(kg, 'mass', system);
  const time = (s: number): string => text(s, 'duration', system);
  const celsius = (c: number): string => text(c, 'temperature', system);
  const enough = `${mass(now.leftKg)} of ${name} are left, ${mass(now.wantedKg)} are wanted.`;
  const more =
    moreKg > 0 ? [`Melt ${mass(moreKg)} more, about ${time(moreS)}; the clocks of the molds run on meanwhile.`] : [];
  switch (what) {
    case 'tooThick':
      return [
        now.warmS > 0 && Number.isFinite(now.warmS)
          ? `Warm it back to ${celsius(workingC)}: about ${time(now.warmS)} in all, in bursts, stirred after each.`
          : `It should be thin enough at ${celsius(now.c)}: measure it. At ${celsius(workingC)} and still thick, it is not the warmth: look for water, or stir in a little cocoa butter.`,
        'Do not go above the working temperature, or it has to be tempered again.',
        enough,
        ...more,
      ];
    case 'seized':
      return [
        'Water has got in: it cannot be cast any more. Keep it for ganache or drinks.',
        `Wipe bowl and spatula dry, or take others, and melt ${mass(anewKg)} of ${name} anew: about ${time(anewS)}.`,
      ];
    case 'outOfTemper':
      return [
        `Stir in ${mass(seedKg)} of finely chopped ${name} that is in temper, bring it to ${celsius(workingC)}, and test again.`,
        'Streaked or soft at the test still: warm it until all has melted, and seed it from the beginning.',
        enough,
      ];
    case 'ranOut':
    case 'spilled':
      return [
        ...(what === 'spilled' ? ['What was on the table or the floor is not cast. Weigh the bowl and note it.'] : []),
        enough,
        ...(more.length > 0 ? more : ['It is enough for what is still to be cast.']),
      ];
    default:
      return [];
  }
}

const PLAIN_ADVICE: Readonly<Partial<Record<Wrong, readonly string[]>>> = {
  sticks: [
    'Put it back: five minutes in the freezer, or ten in the fridge, and try again.',
    'Let go all round the rim first; press where the wall is thickest. Never pull at the rim.',
    'It still holds: it was out of temper, or not set. Leave it in the mold until it comes by itself.',
  ],
  broke: [
    'Cold hands, warmed knife or plate: a clean crack can be glued with what is in the bowl, from inside.',
    'A rim that chipped: level it on the warm plate, or turn it to the back.',
    'Too small to mend: back into the bowl, at its own temperature. Note how many broke.',
  ],
  shelfFull: [
    'Stand molds on each other with a board between, never on the chocolate.',
    'What is already set to the touch may come out and wait in a cool room.',
    'The freezer takes about half as long as the fridge: look sooner.',
  ],
};

/** What to do, where it is not a matter of a bowl. */
export function plainAdvice(what: Wrong, clocks: readonly RunClock[], run: Run, told: Told): readonly string[] {
  const first = clocks.find(({ wait }) => wait.steps.some(({ place }) => place === 'fridge' || place === 'freezer'));
  const frees =
    what === 'shelfFull' && first
      ? [`The next to come out: ${waitText(run, first.wait, told)}, at ${timeText(first.dueS, run.zone)}.`]
      : [];
  return [...(PLAIN_ADVICE[what] ?? []), ...frees];
}

/** What an absence does to the waits that run. */
export function awayAdvice(missed: readonly RunClock[], run: Run, told: Told): readonly string[] {
  const what = missed.map(
    ({ wait, latestS }) => `${waitText(run, wait, told)} (at the latest ${timeText(latestS ?? 0, run.zone)})`,
  );
  return [
    missed.length === 0
      ? 'Nothing that runs is too late by then.'
      : `Too late by then: ${listed(what)}. Take it out before you go, and leave it in the room.`,
    'Cover the bowls. Hot plate and oven off.',
  ];
}

/** The same of several that end at once, as when a computer has slept: the first, and how many more. */
export function callsText(run: Run, [first, ...others]: readonly RunClock[], told: Told): string {
  const more = others.length === 1 ? ' One more clock is over.' : ` ${others.length} more clocks are over.`;
  return `${callText(run, first, told)}${others.length > 0 ? more : ''}`;
}

/** That what is left was put into another order: "Behind the plan, so the order has changed: next Fill. Ready 17:52 instead of 18:06." */
export function orderText(
  { readyS, insteadS }: { readonly readyS: number; readonly insteadS: number },
  next: Run['tasks'][number] | undefined,
  run: Run,
  told: Told,
): string {
  const whose = next && run.castings.length > 1 ? ` of ${whoseText(next, told)}` : '';
  const then = next ? `: next ${taskText(next, told)}${whose}` : '';
  return `Behind the plan, so the order has changed${then}. Ready ${timeText(readyS, run.zone)} instead of ${timeText(insteadS, run.zone)}.`;
}
