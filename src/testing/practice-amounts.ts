import { cavityOf } from '../core/cavity/cavity';
import { coatStation } from '../core/coat/coat';
import { deliveredW } from '../core/melt/microwave';
import type { Bowl } from '../core/melt/bowl';
import { keepWorkable, meltStation } from '../core/melt/melt';
import { planSchool, type SchoolInput, type SchoolPlan } from '../core/melt/schools';
import { stuckKg } from '../core/melt/vessel';
import { warmestC } from '../core/fill/warmth';
import { WORKING_RULES } from '../core/matter/working-rules';
import type { School } from '../core/record/school';
import { CHOCOLATE_MATTER, type Fluidity } from '../core/matter/chocolate';
import type { CoatChoice } from '../core/shell/coat-choice';
import { AS_PLANNED, simulateShell } from '../core/shell/shell';
import { filmVolume, readings } from '../core/shell/laid-film';
import { usualCoat } from './coat-choice';
import { PRACTICE_KITCHEN } from './practice';

const TSP_M3 = 4.92892e-6;

/** An amount people give, and how the engine comes to its own. Common practice, no source. */
export interface AmountRow {
  readonly what: string;
  readonly low: number;
  readonly high: number;
  readonly unit: 'tsp' | 'mm' | 'coats' | 'tbsp' | 's' | 'min' | 'g' | '%' | '°C' | 'K';
  /** The engine's answer in the same unit. */
  readonly engine: () => number;
  readonly note: string;
}

/** An amount with the engine's beside it; inside when within a fifth of the span, or half a degree. */
export interface AmountAnswer {
  readonly engine: number;
  readonly unit: string;
  readonly low: number;
  readonly high: number;
  readonly inside: boolean;
}

const half = (mm: number) => cavityOf({ kind: 'hemisphere', diameterM: mm / 1000 });
const choice = (change: Partial<CoatChoice>, fluidity: Fluidity = 'medium'): CoatChoice =>
  usualCoat({ chocolate: { kind: 'dark', fluidity, fatShare: CHOCOLATE_MATTER.dark.fatShare }, ...change });
const shellOf = (mm: number, coat: CoatChoice) => {
  const cavity = half(mm);
  const { thicknessM } = simulateShell(
    {
      cavity,
      material: 'silicone',
      moldWallM: 0.0025,
      roomC: PRACTICE_KITCHEN.roomC,
      kitchen: PRACTICE_KITCHEN,
      coats: [{ choice: coat, handlingSeconds: 60, sets: [{ place: 'fridge', seconds: 480 }] }],
    },
    AS_PLANNED,
  ).coats[0];
  return { cavity, thicknessM };
};
/** Teaspoons that make a coat of the thickness one needs at the rim, spread evenly, in so many coats. */
const spoonful = (mm: number, coats: number) => (): number => {
  const cavity = half(mm);
  const { neededRim } = coatStation({
    cavity,
    material: 'silicone',
    moldWallM: 0.0025,
    roomC: 20,
    coats: [choice({})],
  });
  return filmVolume(cavity, new Float64Array(cavity.profile.arcM.length).fill(neededRim.value / coats)) / TSP_M3;
};
const coatsNeeded = (fluidity: Fluidity) => (): number => {
  const { neededRim, total } = coatStation({
    cavity: half(64),
    material: 'silicone',
    moldWallM: 0.0025,
    roomC: 20,
    coats: [choice({}, fluidity)],
  });
  return Math.ceil(neededRim.value / total.rim.value);
};

const BOWL: Bowl = { material: 'plastic', kg: 0.14, diameterM: 0.18 };
/** Dark chocolate in a plastic bowl in an 800 W microwave. */
export const bowlful = (kg: number, power: number): SchoolInput => {
  const matter = CHOCOLATE_MATTER.dark;
  return {
    kind: 'dark',
    fatShare: matter.fatShare,
    bands: matter,
    density: matter.meltedDensity,
    kg,
    way: 'microwave',
    bowl: BOWL,
    coolBowl: false,
    jacket: 'none',
    workingC: 31.5,
    roomC: PRACTICE_KITCHEN.roomC,
    fullW: (amount) => deliveredW(800, amount, 1),
    power,
  };
};
const melted = (kg: number, power: number, school: School): SchoolPlan => planSchool(bowlful(kg, power), school);
const workable = (kg: number) =>
  keepWorkable(
    meltStation({ ...bowlful(kg, 0.8), meltId: 'm', totalKg: kg, school: 'seeding', calibrated: false }),
    [],
  );
const burstSeconds = (kg: number, power: number) => (): number =>
  melted(kg, power, 'meltOnly').steps.reduce((sum, step) => sum + (step.key === 'burst' ? step.burst.seconds : 0), 0);

export const METHOD_AMOUNTS: readonly AmountRow[] = [
  {
    what: 'half of 64 mm, one spooned coat',
    low: 1.5,
    high: 1.5,
    unit: 'tsp',
    engine: spoonful(64, 1),
    note: 'evenly at the thickness its rim needs; people who use less for one coat crack shells',
  },
  {
    what: 'half of 76 mm, one spooned coat',
    low: 3,
    high: 3,
    unit: 'tsp',
    engine: spoonful(76, 1),
    note: 'evenly at the thickness its rim needs',
  },
  {
    what: 'half of 38 mm, each of two coats',
    low: 0.25,
    high: 0.5,
    unit: 'tsp',
    engine: spoonful(38, 2),
    note: 'half of what its rim needs',
  },
  {
    what: 'coats of a chocolate that runs thick',
    low: 1,
    high: 1,
    unit: 'coats',
    engine: coatsNeeded('veryThick'),
    note: 'until the rim of a 64 mm half is thick enough, fill and dump',
  },
  {
    what: 'coats of a chocolate that runs thin',
    low: 2,
    high: 2,
    unit: 'coats',
    engine: coatsNeeded('fluid'),
    note: 'until the rim of a 64 mm half is thick enough, fill and dump',
  },
  {
    what: 'fill and dump a 64 mm half, what stays',
    low: 1,
    high: 2,
    unit: 'tsp',
    engine: () => {
      const { cavity, thicknessM } = shellOf(64, choice({}));
      return filmVolume(cavity, thicknessM) / TSP_M3;
    },
    note: 'simulated; about a spooned coat',
  },
  {
    what: 'fill and dump a 64 mm half, poured in',
    low: 1,
    high: 2,
    unit: 'tbsp',
    engine: () => (WORKING_RULES.dumpPourShare * half(64).volumeM3) / (3 * TSP_M3),
    note: 'half a cavity, as the weigh-out pours it',
  },
  {
    what: 'small paper liner, spread up',
    low: 1,
    high: 1,
    unit: 'tsp',
    engine: () => {
      const cavity = cavityOf({
        kind: 'liner',
        diameterM: 0.038,
        baseDiameterM: 0.026,
        depthM: 0.018,
        pleatFactor: 1.3,
      });
      const { neededRim } = coatStation({
        cavity,
        material: 'paper',
        moldWallM: 0.0002,
        roomC: PRACTICE_KITCHEN.roomC,
        coats: [choice({ method: 'spreadUp' })],
      });
      return filmVolume(cavity, new Float64Array(cavity.profile.arcM.length).fill(neededRim.value)) / TSP_M3;
    },
    note: 'evenly at the thickness its rim needs, 38 mm across; people make a cup thicker than it needs',
  },
  {
    what: 'bursts for 113 g at 80 %',
    low: 90,
    high: 90,
    unit: 's',
    engine: burstSeconds(0.113, 0.8),
    note: 'dark, 800 W, plastic bowl',
  },
  {
    what: 'bursts for 227 g at full power',
    low: 75,
    high: 80,
    unit: 's',
    engine: burstSeconds(0.227, 1),
    note: 'dark, 800 W, plastic bowl',
  },
  {
    what: 'seed stirred in',
    low: 25,
    high: 33,
    unit: '%',
    engine: () => (100 * melted(0.45, 0.8, 'seeding').seedKg) / 0.45,
    note: 'dark, from 45 °C down to 32 °C',
  },
  {
    what: 'a bowl of 1 kg stays workable',
    low: 10,
    high: 15,
    unit: 'min',
    engine: () => workable(1).window.value / 60,
    note: 'dark, 31.5 °C, worked half down, stirred, in the open',
  },
  {
    what: 'warmed again for',
    low: 5,
    high: 10,
    unit: 's',
    engine: () => workable(0.3).reheat.value,
    note: 'dark, 300 g, at half power',
  },
  {
    what: 'sticks to a small bowl that is scraped',
    low: 3,
    high: 6,
    unit: 'g',
    engine: () => 1000 * stuckKg('microwave', BOWL, 0.113, CHOCOLATE_MATTER.dark.meltedDensity),
    note: '113 g, bowl and tools',
  },
  {
    what: 'ganache goes into dark no warmer than',
    low: 27,
    high: 30,
    unit: '°C',
    engine: () => warmestC({ kind: 'ganache' }, 'dark') ?? NaN,
    note: 'a degree below where set chocolate softens',
  },
  {
    what: 'rim of a spooned coat, upright under upside down',
    low: -1,
    high: -0.01,
    unit: 'mm',
    engine: () => {
      const rim = (wayUp: CoatChoice['wayUp']): number => {
        const { cavity, thicknessM } = shellOf(76, choice({ method: 'spoon', doseM3: 3 * TSP_M3, wayUp }));
        return readings(cavity.profile, thicknessM).rimM;
      };
      return (rim('upright') - rim('upsideDown')) * 1e3;
    },
    note: 'simulated; upright thins the rim',
  },
];

/** The engine's answer to one amount. */
export function amountAnswer({ low, high, unit, engine }: AmountRow): AmountAnswer {
  const value = engine();
  const slack = unit === '°C' ? 0.5 : 0.2 * Math.max(Math.abs(low), Math.abs(high));
  return { engine: value, unit, low, high, inside: value >= low - slack && value <= high + slack };
}
