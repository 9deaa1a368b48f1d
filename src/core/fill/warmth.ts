import {
  CHOCOLATE_CONDUCTIVITY,
  CHOCOLATE_MATTER,
  CHOCOLATE_SPECIFIC_HEAT,
  SET_DENSITY_FACTOR,
  type ChocolateKind,
} from '../matter/chocolate';
import { FILLING_MATTER } from '../matter/filling';
import { answer, term, type Answer } from '../quantity/answer';
import type { Filling } from '../record/filling';

/** Share of its fat that has to stay set where a filling touches a shell. Working rule. */
const STAYS_SET = 0.5;

/**
 * How warm a filling may be when it goes into a shell, °C: where the two touch, the shell must stay half set.
 * Two bodies that touch take the mean of their temperatures weighted by their effusivities (Carslaw & Jaeger).
 * @param shellC the shell's own temperature, °C
 * @returns undefined for what is not cooked or melted
 */
export function warmestC(
  { kind, bulkDensity }: Pick<Filling, 'kind' | 'bulkDensity'>,
  shell: ChocolateKind,
  shellC: number,
): number | undefined {
  const { warm } = FILLING_MATTER[kind];
  if (!warm) return undefined;
  const { setFromC, setToC, meltedDensity } = CHOCOLATE_MATTER[shell];
  const touchC = setFromC - STAYS_SET * (setFromC - setToC);
  const effusivity = (k: number, rho: number, c: number): number => Math.sqrt(k * rho * c);
  const own = effusivity(CHOCOLATE_CONDUCTIVITY, SET_DENSITY_FACTOR * meltedDensity, CHOCOLATE_SPECIFIC_HEAT);
  const its = effusivity(warm.conductivity, bulkDensity, warm.specificHeat);
  return touchC + (own / its) * (touchC - Math.min(shellC, touchC));
}

/** The same for all that goes into a shell: the least of them; undefined where nothing is cooked or melted. */
export function warmestOf(fillings: readonly Filling[], shell: ChocolateKind, shellC: number): Answer | undefined {
  const all = fillings.flatMap((filling) => {
    const c = warmestC(filling, shell, shellC);
    return c === undefined
      ? []
      : [
          answer(c, 'temperature', 'fill.warmest', [
            term('filling', filling.name),
            term('chocolateKind', shell),
            term('room', shellC, 'temperature'),
          ]),
        ];
  });
  return all.length === 0 ? undefined : all.reduce((least, one) => (one.value < least.value ? one : least));
}
