import { byHalving } from '../quantity/root';
import { cassonAt40, stiffened } from '../matter/chocolate';
import { WORKING_RULES } from '../matter/working-rules';
import type { Casting } from '../record/casting';
import { tippedOut } from '../record/method';
import { copyOf } from '../record/copy';
import { partOf } from '../record/references';
import { makingOf, type Made, type Making } from '../plan/making';
import { keepCoatsAsMade } from '../edit/remedy';
import { simulateMaking } from '../plan/simulate';
import type { PartDraft } from '../plan/plan-types';
import type { Weighed } from '../edit/weighed';

/** What a weighed shell says of the chocolate or of the hand. */
export interface WeighedShell extends Weighed {
  readonly before: { readonly massKg: number; readonly rimM: number };
  readonly after: { readonly massKg: number; readonly rimM: number };
}

/** Nothing that a chocolate can be makes a shell of this weight; `lowKg` to `highKg` is what can. */
export interface NotWeighed {
  readonly lowKg: number;
  readonly highKg: number;
}

export type WeighedOutcome =
  { readonly ok: true; readonly found: WeighedShell } | { readonly ok: false; readonly problem: NotWeighed };

/** Widest factor either way that is believed. Working rule. */
const MOST = 3;
/** How well one shell is weighed, and is like the others: a share of its weight. Working rule. */
const WEIGHED_SHARE = 0.05;
const ROUNDS = 9;

/**
 * What the weight of one finished shell says: by which factor the chocolate runs stiffer than told, or by which more or less is spooned in.
 *
 * The factor that would give just this weight is found by bisection on the simulation; between it and what was told before stands the
 * likeliest one, on a logarithmic scale: a prior of the class's spread (a factor 1.4), a likelihood of five hundredths of the weight.
 * @param shellKg weight of one part with all its coats, kg
 */
export function weighedShell(
  casting: Casting,
  plan: Pick<PartDraft, 'part' | 'coatsMade'>,
  shellKg: number,
): WeighedOutcome {
  const counted = copyOf(casting);
  const part = partOf(counted, plan.part.id);
  keepCoatsAsMade(part, plan.coatsMade);
  const making = makingOf(counted, part);
  const by = making.coats.every(({ choice }) => tippedOut(choice.method)) ? 'stiffness' : 'dose';
  const made = (factor: number): Made => simulateMaking(scaled(making, by, factor)).made;
  const mass = (factor: number): number => made(factor).coat.mass.value;
  const [lowKg, highKg] = [mass(1 / MOST), mass(MOST)];
  if (shellKg < lowKg || shellKg > highKg) return { ok: false, problem: { lowKg, highKg } };
  const exact = byHalving((log) => mass(Math.exp(log)) < shellKg, -Math.log(MOST), Math.log(MOST), ROUNDS);
  const { share, within } = believed(mass, exact, priorOf(making, by));
  const factor = Math.exp(exact * share);
  const state = ({ coat }: Made): WeighedShell['before'] => ({ massKg: coat.mass.value, rimM: coat.total.rim.value });
  return { ok: true, found: { by, factor, within, before: state(made(1)), after: state(made(factor)) } };
}

/** How surely it was known before, as the logarithm of a factor either way. */
function priorOf({ coats }: Making, by: WeighedShell['by']): number {
  if (by === 'dose') return Math.log(WORKING_RULES.doseSpread);
  return Math.log(
    Math.max(...coats.map(({ choice }) => choice.chocolate.fluidityWithin ?? WORKING_RULES.fluiditySpread)),
  );
}

/** How far to go toward the factor that fits exactly, 0 to 1, and how surely it is known there: all the way and for sure where the weight tells it well. */
function believed(
  mass: (factor: number) => number,
  exact: number,
  prior: number,
): { readonly share: number; readonly within: number } {
  const step = 0.1;
  const slope = Math.log(mass(Math.exp(exact + step)) / mass(Math.exp(exact - step))) / (2 * step);
  const told = WEIGHED_SHARE / Math.max(1e-3, slope);
  return { share: prior ** 2 / (prior ** 2 + told ** 2), within: Math.exp((prior * told) / Math.hypot(prior, told)) };
}

function scaled(making: Making, by: WeighedShell['by'], factor: number): Making {
  const coats = making.coats.map((coat) => {
    const { choice } = coat;
    const { chocolate } = choice;
    if (by === 'dose')
      return {
        ...coat,
        choice: { ...choice, doseM3: tippedOut(choice.method) ? choice.doseM3 : choice.doseM3 * factor },
      };
    return {
      ...coat,
      choice: { ...choice, chocolate: { ...chocolate, fluidity: stiffened(cassonAt40(chocolate.fluidity), factor) } },
    };
  });
  return { ...making, coats, wantedRimM: undefined };
}
