import { coatOneMoldSeconds } from '../core/batch/timeline';
import { cavityOf } from '../core/cavity/cavity';
import { CHOCOLATE_MATTER } from '../core/matter/chocolate';
import { planSchool, type SchoolPlan } from '../core/melt/schools';
import { rimOfGoal } from '../core/study/aim-search';
import { demoCastings } from '../data/demo';
import type { CastingPlan } from '../core/plan/plan-types';
import type { Casting } from '../core/record/casting';
import { planned } from './planned';
import { bowlful, type AmountRow } from './practice-amounts';

function castingOf(id: string): Casting {
  const casting = demoCastings(new Date('2026-10-12T08:00:00Z')).find((one) => one.id === id);
  if (!casting) throw new Error(`no casting ${id}`);
  return casting;
}
const plan = (id: string): CastingPlan => planned(castingOf(id));
const gently = (): SchoolPlan => planSchool(bowlful(0.113, 0.8), 'keepTemper');

/** A cap that is flush on the shipped bite, three quarters full, g. */
function capOnBite(): number {
  const bites = castingOf('demo-bites');
  bites.fill[0].amount = { by: 'share', share: 0.75 };
  bites.closure = { kind: 'cap', meltId: 'melt-1', sets: [{ place: 'fridge' }] };
  return 1000 * (planned(bites).close?.mass.value ?? NaN);
}

/** The rim that is aimed at for a ball of two halves of 38 mm, mm. */
function smashRim(): number {
  const { chocolates, moldRecord } = plan('demo-bombs');
  const cavity = cavityOf({ kind: 'hemisphere', diameterM: 0.038 });
  return 1000 * rimOfGoal({ by: 'smash', blow: 'spoon' }, { cavity, chocolates, moldRecord }).aimM;
}

/** Kelvin that it falls by when it is poured into a cool bowl. */
function pouredOver(): number {
  const bowl = { material: 'glass', kg: 0.6, diameterM: 0.2 } as const;
  const { steps } = planSchool({ ...bowlful(0.45, 0.8), bowl, coolBowl: true }, 'seeding');
  const at = steps.findIndex(({ key }) => key === 'pour');
  return steps[at - 1].afterC - steps[at].afterC;
}

/** Amounts and times of melting gently, capping, closing and the job as a whole. Common practice, no source. */
export const JOB_AMOUNTS: readonly AmountRow[] = [
  {
    what: 'gently, 113 g at 80 %, lumps left',
    low: 63,
    high: 90,
    unit: 's',
    engine: () => gently().steps.reduce((sum, step) => sum + (step.key === 'burst' ? step.burst.seconds : 0), 0),
    note: 'dark, 800 W, plastic bowl; three of 30 s, or 30 s and ever shorter ones',
  },
  {
    what: 'gently, the hottest spot',
    low: 32,
    high: 34,
    unit: '°C',
    engine: () => gently().hottestC,
    note: 'dark',
  },
  {
    what: 'poured into a cool bowl it falls by',
    low: 5,
    high: 5,
    unit: 'K',
    engine: pouredOver,
    note: '450 g from 45 °C, into 600 g of glass',
  },
  {
    what: 'a tube of coating in hot water',
    low: 3,
    high: 5,
    unit: 'min',
    engine: () => {
      const { meltedDensity: density, fatShare } = CHOCOLATE_MATTER.compound;
      const bands = CHOCOLATE_MATTER.compound;
      const tube = { ...bowlful(0.06, 0.8), kind: 'compound' as const, way: 'tube' as const, bands, density, fatShare };
      return planSchool({ ...tube, workingC: 36 }, 'meltOnly').seconds / 60;
    },
    note: '60 g',
  },
  {
    what: 'cap on a bite three quarters full',
    low: 2.4,
    high: 2.4,
    unit: 'g',
    engine: capOnBite,
    note: 'flush, in the shipped bite; three quarters by eye come nearer to the rim than by volume',
  },
  {
    what: 'pressed shell',
    low: 17,
    high: 17,
    unit: 'g',
    engine: () => 1000 * plan('demo-acorns').coat.mass.value,
    note: 'the shipped acorn, 3 mm all round',
  },
  {
    what: 'balls of 38 mm to be smashed',
    low: 1.2,
    high: 2.3,
    unit: 'mm',
    engine: smashRim,
    note: 'both coats, at the rim',
  },
  {
    what: 'more than is needed, against breakages',
    low: 20,
    high: 20,
    unit: '%',
    engine: () => {
      const { parts, spares } = plan('demo-bombs').batch.byPart[0];
      return (100 * spares.value) / (parts.value - spares.value);
    },
    note: '36 halves whose rim is well above what it needs; people’s margin is a round one',
  },
  {
    what: 'a tray of 24 bonbons, ladled full and tipped',
    low: 60,
    high: 90,
    unit: 's',
    engine: () => coatOneMoldSeconds({ method: 'dump', drainSeconds: 20, dwellSeconds: 10, asTray: true }, 24),
    note: 'scraped, without what it stands for longer',
  },
];
