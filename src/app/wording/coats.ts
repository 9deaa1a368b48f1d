import type { CoatAnswer } from '../../core/coat/coat-answers';
import type { Coat } from '../../core/record/casting';
import type { Mold } from '../../core/record/mold';
import { liesOnSide, type CoatChoice } from '../../core/shell/coat-choice';
import type { UnitSystem } from '../../core/quantity/units';
import { fillsLevel, isClamped, isTurned, type CoatNumber, type Method } from '../../core/record/method';
import type { CoatArea } from '../../core/record/choices';
import { restsOf, placeOf, uprightFirst } from '../../core/record/sets';
import { spoons, text } from './format';
import { METHOD_NAMES, PLACE_NAMES, WAY_UP_NAMES } from './names';

const ORDINALS = ['First', 'Second', 'Third', 'Fourth'];

/** What one of a part's coats is called: a coat, a layer of a fill, or the top that is clamped. */
export function coatName(method: Method, index: number): string {
  return isClamped(method) ? 'Clamped' : `${fillsLevel(method) ? 'Layer' : 'Coat'} ${index + 1}`;
}

/** The same of one among a part's coats; one that is not there yet is called a coat. */
export function coatNameIn(coats: readonly Pick<Coat, 'method'>[] | undefined, index: number): string {
  return coatName(coats?.[index]?.method ?? 'dump', index);
}

/** What a number of a coat is called on its field. */
export function coatNumberName(number: CoatNumber, method: Method, ofOne = false): string {
  if (number !== 'doseM3') return COAT_NUMBER_WORDS[number].field;
  if (ofOne) return isTurned(method) ? 'Dose' : 'In each cavity';
  return isTurned(method) ? 'Dose per coat' : COAT_NUMBER_WORDS[number].field;
}

/** Each number of a coat: as its field says it, and as a change of it is told for undo. */
export const COAT_NUMBER_WORDS: Readonly<Record<CoatNumber, { readonly field: string; readonly change: string }>> = {
  doseM3: { field: 'In each cavity, per coat', change: 'dose' },
  dwellSeconds: { field: 'Stands', change: 'dwell' },
  drainSeconds: { field: 'Tipped out', change: 'drain time' },
  tappingSeconds: { field: 'Tapped', change: 'tapping' },
  turnSeconds: { field: 'Turned every', change: 'turning' },
};

/** How a coat lies while it sets: as it is set down, or turned; in a long vessel on its side. */
export function liesText(coat: Pick<CoatChoice, 'method' | 'wayUp'>, cavity: Parameters<typeof liesOnSide>[0]): string {
  if (!isTurned(coat.method)) return WAY_UP_NAMES[coat.wayUp];
  return liesOnSide(cavity, coat) ? 'turned, on its side' : 'turned';
}

/** How a part is made, by its mold and the method of a coat. */
export function madeText({ composition }: Pick<Mold, 'composition'>, method: Method): string {
  if (composition.kind === 'press') return 'pressed to the gap';
  return composition.kind === 'former' && method === 'dump' ? 'poured over' : METHOD_NAMES[method];
}

/** How all coats of a part are made, in their order: of two clamped halves how they end. */
export function allMadeText(mold: Pick<Mold, 'composition'>, coats: readonly Pick<Coat, 'method'>[]): string {
  const last = coats[coats.length - 1].method;
  if (fillsLevel(last)) return madeText(mold, last);
  return [...new Set(coats.map(({ method }) => madeText(mold, method)))].join(', then ');
}

/** What a coat is called where amounts are weighed out, among so many. */
export function weighedName(method: Method, index: number, count: number): string {
  if (isClamped(method)) return 'Top-up';
  const what = fillsLevel(method) ? (count === 1 ? 'fill' : 'layer') : 'coat';
  return count === 1 ? `The ${what}` : `${ORDINALS[index]} ${what}`;
}

type Worked = Pick<
  CoatChoice,
  'method' | 'doseM3' | 'dwellSeconds' | 'drainSeconds' | 'tappingSeconds' | 'turnSeconds' | 'volumeShare'
>;

/** A coat's choices in words. */
interface Handled {
  readonly dose: string;
  readonly goes: string;
  readonly stands: string;
  readonly out: string;
  readonly place: string;
  readonly every: string;
  readonly share: string;
  readonly toBrim: boolean;
}

const HANDS: Readonly<Record<Method, (said: Handled) => string>> = {
  spoon: ({ dose, goes }) => `${dose}${goes}`,
  brush: ({ dose, goes }) => `${dose}${goes}`,
  dump: ({ stands, out }) => `stand ${stands}, ${out}`,
  chillDump: ({ stands, place, out }) => `fill to the brim, stand ${stands} in the ${place}, ${out}`,
  turn: ({ dose, every }) => `${dose}, close it, and turn it every ${every} until it runs no more`,
  spreadUp: ({ dose }) => `${dose}, spread up the pleats and a little over the edge`,
  paint: ({ dose, goes }) => `${dose}${goes}, brushed thin on the dry side`,
  solid: ({ toBrim, share }) =>
    toBrim
      ? 'fill to the brim, drop it a few times from 10 cm so that bubbles come up, scrape level'
      : `fill ${share} of the cavity, drop it a few times from 10 cm so that bubbles come up`,
  clamp: ({ share }) => `top up ${share}, close on the marks with the other half, clamp`,
};

/** Where a coat is laid, after its dose. */
const AREA_TEXTS: Readonly<Record<CoatArea, string>> = {
  all: '',
  sides: ', on the sides alone, up from the middle',
  rim: ', round the rim alone',
  thin: ', where light shines through',
};

/** What the hands do for a coat, in the words of a recipe. */
export function handsText(coat: Worked & Partial<Pick<Coat, 'standsIn' | 'where'>>, system: UnitSystem): string {
  const time = (seconds: number): string => text(seconds, 'duration', system);
  const { number, unit } = spoons(coat.doseM3);
  return HANDS[coat.method]({
    dose: `${number} ${unit} in each cavity`,
    goes: AREA_TEXTS[coat.where ?? 'all'],
    stands: time(coat.dwellSeconds),
    out: `tip out ${time(coat.drainSeconds)}, tapping ${time(coat.tappingSeconds)} of it`,
    place: PLACE_NAMES[coat.standsIn ?? 'fridge'],
    every: time(coat.turnSeconds),
    share: text(coat.volumeShare, 'share', system),
    toBrim: coat.volumeShare > 0.995,
  });
}

/** What the hands do for a pressed shell: what the gap holds goes in first. */
export function pressText({ spooned, mass }: Pick<CoatAnswer, 'spooned' | 'mass'>, system: UnitSystem): string {
  const { number, unit } = spoons(spooned.value);
  return `${number} ${unit} (${text(mass.value, 'mass', system)}) in each cavity, then press the insert in until chocolate reaches the rim all round`;
}

/** How a coat is set down: "Set upside down, 20 min in the room, then in the fridge", upright before it where it thickens so. */
export function settingText(
  coat: Pick<Coat, 'method' | 'sets' | 'wayUp' | 'uprightSeconds'>,
  system: UnitSystem,
): string {
  const upright = uprightFirst(coat);
  const first =
    upright > 0 ? `Leave it upright for ${text(upright, 'duration', system)} to thicken, then turn it over. ` : '';
  const set = isTurned(coat.method) ? 'Turn it until it holds' : `Set ${WAY_UP_NAMES[coat.wayUp]}`;
  return `${first}${set}${placesText(coat, system)}`;
}

/** Where it stays on once it has set: ", then 5 min in the room". */
export function staysOnText({ then }: Pick<Coat, 'then'>, system: UnitSystem): string {
  return then
    .map(({ place, seconds }) => `, then ${text(seconds, 'duration', system)} in the ${PLACE_NAMES[place]}`)
    .join('');
}

/** Where a coat rests and then sets, to go on from how it lies: ", 20 min in the room, then in the fridge". */
function placesText(coat: Pick<Coat, 'sets'>, system: UnitSystem): string {
  const rests = restsOf(coat).map(
    ({ place, seconds }) => `, ${text(seconds, 'duration', system)} in the ${PLACE_NAMES[place]}, then`,
  );
  return `${rests.join('')} in the ${PLACE_NAMES[placeOf(coat)]}`;
}
