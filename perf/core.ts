import { cavityOf } from '../src/core/cavity/cavity';
import { depthCurve } from '../src/core/cavity/depth-curve';
import type { CavityShape } from '../src/core/cavity/shape';
import { chillCasting } from '../src/core/chill/chill';
import type { ChillInput } from '../src/core/chill/chill-input';
import { chocolateLayer, moldLayer } from '../src/core/heat/chocolate-layer';
import { StillAir } from '../src/core/heat/still-air';
import { HeatSlab } from '../src/core/heat/heat-slab';
import { trayHeat } from '../src/core/matter/mold-material';
import { keepWorkable, meltStation } from '../src/core/melt/melt';
import { thinnedReadings } from '../src/core/melt/thermometer';
import { meltInput } from '../src/core/plan/melts';
import { SCHOOLS } from '../src/core/record/school';
import { WORKING_RULES } from '../src/core/matter/working-rules';
import { draftPlan } from '../src/core/plan/draft';
import { chillsOf } from '../src/core/plan/makings';
import { batchAmounts, batchStation } from '../src/core/batch/batch';
import { batchInput } from '../src/core/plan/batch-input';
import { finishPlan } from '../src/core/plan/plan';
import type { CastingPlan } from '../src/core/plan/plan-types';
import { simulatedPlan } from '../src/core/plan/simulated-plan';
import type { Casting } from '../src/core/record/casting';
import { demoCastings } from '../src/data/demo';
import { SHIPPED_MOLDS } from '../src/data/mold-library';
import { explicitSecondsToSet } from './explicit-chill';
import { timed, type Result } from './measure';

/** What the computation takes by itself, with the yardstick beside it. */
export function coreResults(): Result[] {
  return [
    planResult(),
    largePlanResult(),
    timelineResult(),
    geometryResult(),
    meltResult(),
    logResult(),
    chillResult(),
    yardstick('open upward', WORKING_RULES.insideFactor.open),
    yardstick('upside down', WORKING_RULES.insideFactor.dome),
  ];
}

function planResult(): Result {
  const [bombs] = demoCastings(new Date('2026-10-12T08:00:00Z'));
  const chills = chillsOf(draftPlan(bombs));
  const { ms, told } = timed(
    (casting: Casting) => finishPlan(draftPlan(casting), chills),
    400,
    400,
    () => structuredClone(bombs),
  );
  return {
    what: 'Plan of the demo bombs by closed form',
    value: `${ms.toFixed(2)} ms`,
    wanted: 'under 2 ms',
    met: ms < 2,
    against: told,
  };
}

/** A piece of six parts in as many colours, twelve layers in them, five hundred times. */
function largePlanResult(): Result {
  const [bombs] = demoCastings(new Date('2026-10-12T08:00:00Z'));
  const [melt] = bombs.melts;
  const [part] = bombs.parts;
  const large: Casting = {
    ...bombs,
    pieces: 500,
    melts: bombs.chocolates.map(({ id }, i) => ({
      ...melt,
      id: `melt-${i}`,
      source: { kind: 'chocolate', chocolateId: id },
    })),
    parts: Array.from({ length: 6 }, (_, i) => ({
      ...part,
      id: `part-${i}`,
      perPiece: 1,
      coats: part.coats.map((coat) => ({
        ...coat,
        shares: [{ meltId: `melt-${i % bombs.chocolates.length}`, share: 1 }],
      })),
    })),
    fill: Array.from({ length: 12 }, (_, i) => ({
      id: `layer-${i}`,
      partId: `part-${i % 6}`,
      fillingId: bombs.fillings[i % bombs.fillings.length].id,
      amount: { by: 'volume', m3: 8e-6 },
    })),
    closure: { kind: 'pipedSeam', meltId: 'melt-0', lineM: 0.003, sets: [{ place: 'room' }] },
  };
  const chills = chillsOf(draftPlan(large));
  const { ms, told } = timed(
    (casting: Casting) => finishPlan(draftPlan(casting), chills),
    200,
    200,
    () => structuredClone(large),
  );
  const { ms: one } = timed(
    (casting: Casting) => finishPlan(draftPlan(casting), chills.slice(0, 1)),
    200,
    100,
    () => structuredClone(bombs),
  );
  return {
    what: 'Plan of 6 parts, 12 layers and 500 pieces by closed form',
    value: `${ms.toFixed(2)} ms`,
    wanted: 'under 5 ms',
    met: ms < 5,
    against: `${(ms / one).toFixed(1)} times the plan of the demo bombs; ${told}`,
  };
}

/** The slowest of all shipped shapes and a turned profile of 300 points: geometry, depth curve, and one level found by it. */
/** The minutes of a casting by itself, from what its stations gave: what the page shows until an order is found for it. */
function timelineResult(): Result {
  const timings = demoCastings(new Date('2026-10-12T08:00:00Z')).map((casting) => {
    const plan = simulatedPlan(casting);
    const ready = new Map(plan.melts.map((melt) => [melt.input.meltId, melt.ready.value]));
    return timed(
      (of: CastingPlan) => {
        const input = batchInput(of);
        return batchStation(input, batchAmounts(input), ready);
      },
      30,
      10,
      () => simulatedPlan(casting),
    ).ms;
  });
  const slowest = Math.max(...timings);
  return {
    what: 'Timeline of a casting alone, the slowest of the demo’s',
    value: `${slowest.toFixed(2)} ms`,
    wanted: 'under 5 ms',
    met: slowest < 5,
    against: `${timings.length} castings, from ${Math.min(...timings).toFixed(2)} ms; quickest tenth of 30, warm`,
  };
}

function geometryResult(): Result {
  const points = Array.from({ length: 300 }, (_, i) => ({
    radiusM: 0.03 + 0.01 * Math.sin(i / 20),
    heightM: 0.0003 * i,
  }));
  const shapes: readonly { readonly name: string; readonly shape: CavityShape }[] = [
    { name: 'turned, 300 points', shape: { kind: 'turned', points } },
    ...SHIPPED_MOLDS.flatMap((mold) =>
      mold.cavities.map((cavity) => ({ name: cavity.shape.kind, shape: cavity.shape })),
    ),
  ];
  const times = shapes.map(({ name, shape }) => ({
    name,
    ...timed(
      (fresh: CavityShape) => {
        const { profile, volumeM3 } = cavityOf(fresh);
        return depthCurve(profile).levelAt(volumeM3 / 2);
      },
      200,
      100,
      () => ({ ...shape }),
    ),
  }));
  const slowest = times.reduce((most, time) => (time.ms > most.ms ? time : most));
  return {
    what: 'Geometry of a cavity with depth curve and inverse',
    value: `${slowest.ms.toFixed(2)} ms`,
    wanted: 'under 1 ms',
    met: slowest.ms < 1,
    against: `the slowest of ${times.length} shapes (${slowest.name}), ${slowest.told}; 300 points take ${times[0].ms.toFixed(2)} ms`,
  };
}

/** Every school, for amounts from 50 g to 4 kg: bursts, seed, curve, window and reheats; the slowest of them. */
function meltResult(): Result {
  const [bombs] = demoCastings(new Date('2026-10-12T08:00:00Z'));
  const stretches = Array.from({ length: 60 }, (_, i) => ({ seconds: 300, inUse: i % 2 === 0 }));
  const times = [0.05, 0.4, 1, 4].flatMap((kg) =>
    SCHOOLS.map((school) => {
      const input = { ...meltInput(bombs, 'melt-1', kg), school };
      return {
        name: `${kg * 1000} g by ${school}`,
        ...timed(() => keepWorkable(meltStation(input), stretches), 300, 200),
      };
    }),
  );
  const slowest = times.reduce((most, time) => (time.ms > most.ms ? time : most));
  return {
    what: 'Burst plan and temper curve',
    value: `${slowest.ms.toFixed(2)} ms`,
    wanted: 'under 10 ms',
    met: slowest.ms < 10,
    against: `the slowest of ${times.length} (${slowest.name}), ${slowest.told}`,
  };
}

/** A log of 200,000 readings, thinned for drawing, against copying it. */
function logResult(): Result {
  const seconds = Float64Array.from({ length: 200_000 }, (_, i) => i / 4);
  const readings = { seconds, celsius: seconds.map((s) => 31 + Math.sin(s / 900)) };
  const thin = thinnedReadings(readings, 500);
  const { ms, told } = timed(() => thinnedReadings(readings, 500), 30, 10);
  const { ms: copy } = timed(() => [...readings.celsius], 30, 10);
  return {
    what: 'A log of 200,000 readings thinned for drawing',
    value: `${ms.toFixed(1)} ms, to ${thin.seconds.length} points`,
    wanted: 'under 50 ms',
    met: ms < 50,
    against: `${(ms / copy).toFixed(1)} times copying its numbers into a list; ${told}`,
  };
}

function chillResult(): Result {
  const coat: ChillInput['coats'][number] = {
    kind: 'dark',
    fatShare: 0.4,
    workingC: 31.5,
    thicknessM: { value: 0.0013, low: 0.0011, high: 0.0016 },
    wallC: 23,
    wayUp: 'upsideDown',
    inside: 'dome',
    handlingSeconds: 60,
    rests: [],
    place: 'fridge',
  };
  const input: ChillInput = {
    material: 'silicone',
    wallM: 0.0025,
    meanCurvature: 1 / 0.032,
    gaussCurvature: 1 / 0.032 ** 2,
    floorShare: 0,
    kitchen: { roomC: 19.5, fridgeC: 5, freezerC: -18, fridgeFan: false, freezerFan: false },
    coats: [coat, coat, coat, coat],
  };
  const { ms, told } = timed(() => chillCasting(input), 30, 10);
  return {
    what: 'Chill of 4 coats × 3 places × 9 samples',
    value: `${ms.toFixed(1)} ms`,
    wanted: 'under 60 ms',
    met: ms < 60,
    against: told,
  };
}

/** One 1.3 mm coat in the fridge to 70 % set, by the solver as the chill uses it and by the plain explicit scheme on the same cells. */
function yardstick(name: string, insideFactor: number): Result {
  const layers = [
    moldLayer('silicone', 0.0025, 23, 3),
    { ...chocolateLayer({ kind: 'dark', fatShare: 0.4 }), thicknessM: 0.0013, cells: 3, startC: 31.5 },
  ];
  const still = StillAir.of(5).at(15);
  const air = { outsideC: 5, insideC: 5, outsideH: still, insideH: insideFactor * still };
  const implicit = (change: number): number => {
    const slab = new HeatSlab(layers, { mean: 1 / 0.032, gauss: 1 / 0.032 ** 2 });
    slab.addOutsideCapacity(trayHeat('silicone'));
    for (let time = 0, dt = 1, before = 0; ;) {
      const moved = slab.step(dt, air);
      const now = slab.meanSetFraction(3, 6);
      if (now >= 0.7) return time + (dt * (0.7 - before)) / (now - before);
      before = now;
      time += dt;
      dt = Math.min(90, dt * Math.min(1.7, Math.max(0.5, change / moved)));
    }
  };
  const explicit = (): number => explicitSecondsToSet(layers, air, 1 / 0.032, trayHeat('silicone'), 0.7);
  const difference = Math.abs(implicit(0.7) / explicit() - 1) * 100;
  // Both warm: unwarmed, the explicit loop is several times slower, and the ratio would be the compiler's.
  const ratio = timed(explicit, 200, 600).ms / timed(() => implicit(0.7), 400, 1000).ms;
  return {
    what: `Solver against a plain explicit scheme, ${name}`,
    value: `${ratio.toFixed(0)} times quicker, ${difference.toFixed(1)} % apart`,
    wanted: 'within 2 %',
    met: difference < 2,
    against: 'one 1.3 mm coat in the fridge to 70 % set, same cells',
  };
}
