import { chillNominal, type PlaceChill } from '../chill/chill';
import type { ChillInput } from '../chill/chill-input';
import type { StayUntil } from '../chill/set-coats';
import type { Learned } from '../record/kitchen';
import { PLACES, type Place } from '../record/choices';
import type { SetReading } from './set-evidence';

/** How far either way the air of a place is put to see what it does, as the logarithm of a factor. */
const STEP = 0.1;
const NOTHING_KNOWN = { within: 1, readings: 0 } as const;

/** The same kitchen where the air of a place takes so many times as much heat as is known of it. */
function aired(input: ChillInput, place: Place, times: number): ChillInput {
  const { learned = {} } = input.kitchen;
  const known = learned[place] ?? { ...NOTHING_KNOWN, factor: 1 };
  const other: Learned = { ...learned, [place]: { ...known, factor: known.factor * times } };
  return { ...input, kitchen: { ...input.kitchen, learned: other } };
}

/** Seconds in its place until a coat is ready for what it stays for; nominal. */
export const readySeconds = (input: ChillInput, coat: number, until: StayUntil): number =>
  chillNominal(input).coats[coat].chosen[until satisfies keyof PlaceChill].value;

/**
 * By how many per cent a coat is ready later for one per cent more of each parameter: of the air in each place that it or a coat before it has stood in, by two runs
 * of the simulation each.
 */
export function alongOf(input: ChillInput, coat: number, until: StayUntil): SetReading['along'] {
  const stood = new Set(
    input.coats.slice(0, coat + 1).flatMap(({ place, rests }) => [place, ...rests.map((rest) => rest.place)]),
  );
  const handled = input.coats.some(({ handlingSeconds }) => handlingSeconds > 0);
  const times = PLACES.map((place): readonly [Place, number] => {
    if (!stood.has(place) && !(place === 'room' && handled)) return [place, 0];
    const [more, less] = [STEP, -STEP].map((step) => readySeconds(aired(input, place, Math.exp(step)), coat, until));
    return [place, Number.isFinite(more) && Number.isFinite(less) && less > 0 ? Math.log(more / less) / (2 * STEP) : 0];
  });
  const { room = 0, fridge = 0, freezer = 0 }: Partial<Record<Place, number>> = Object.fromEntries(times);
  return { room, fridge, freezer, goesOn: 1 };
}
