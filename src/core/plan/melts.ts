import type { Timeline } from '../batch/timeline';
import { CHOCOLATE_MATTER, type ChocolateKind } from '../matter/chocolate';
import { bowlHeat, bowlLossWK } from '../melt/bowl';
import { meltable } from '../melt/heat-held';
import type { MeltInput, MeltResult } from '../melt/melt';
import { calibrateMicrowave, deliveredW, type Calibration } from '../melt/microwave';
import { stuckKg } from '../melt/vessel';
import type { BowlStretch } from '../melt/working-window';
import type { Casting, Melt } from '../record/casting';
import { isFor, SCHOOLS, schoolRow, type School } from '../record/school';
import type { Kitchen } from '../record/kitchen';
import { bowlOf, chocolateOf, meltOf } from '../record/references';

/** What the Melt station is computed from: one melt of a casting, and how much of it the batch wants. */
export function meltInput(casting: Casting, meltId: string, totalKg: number): MeltInput {
  const melt = meltOf(casting, meltId);
  const { kind, fatShare, meltToC, seedToC, workFromC, workToC, ceilingC } = chocolateOf(casting, melt);
  const { roomC, microwaveW, microwaveTest } = casting.kitchen;
  const factor = microwaveTest ? kitchenCalibration(casting.kitchen, microwaveTest).factor : 1;
  const { material, kg, diameterM } = bowlOf(casting, melt);
  return {
    meltId,
    totalKg,
    kind,
    fatShare,
    bands: { meltToC, seedToC, workFromC, workToC, ceilingC },
    density: CHOCOLATE_MATTER[kind].meltedDensity,
    way: melt.way,
    bowl: { material, kg, diameterM },
    coolBowl: melt.coolBowl && inBowl(melt.way),
    jacket: melt.jacket,
    workingC: melt.workingC,
    roomC,
    fullW: (amount) => deliveredW(microwaveW, amount, factor),
    power: melt.power,
    school: schoolOf(melt),
    calibrated: microwaveTest !== undefined,
  };
}

/** What sticks to bowl and tools of so many kg of a casting's melt that are worked, kg. */
export function stuckOf(casting: Casting, meltId: string, kg: number): number {
  const melt = meltOf(casting, meltId);
  return stuckKg(melt.way, bowlOf(casting, melt), kg, CHOCOLATE_MATTER[chocolateOf(casting, melt).kind].meltedDensity);
}

/** Whether chocolate melted this way lies in a bowl, where seed can be stirred in. */
export function inBowl(way: MeltInput['way']): boolean {
  return way === 'microwave' || way === 'doubleBoiler';
}

/** The school that a melt is made by: nothing is stirred into a closed bag or tube. */
export function schoolOf({ way, school }: Pick<Melt, 'way' | 'school'>): School {
  return inBowl(way) || schoolRow(school).seed === 'none' ? school : 'meltOnly';
}

/** Schools that a way of melting allows for a kind of chocolate: nothing is stirred into a closed bag or tube. */
export function schoolsFor(way: MeltInput['way'], kind: ChocolateKind): readonly School[] {
  return SCHOOLS.filter((school) => isFor(kind, school) && (inBowl(way) || schoolRow(school).seed === 'none'));
}

/** A kitchen's microwave by the weight that was melted in its first bowl: dark chocolate, from the room's temperature. */
export function kitchenCalibration(
  { bowls, microwaveW, roomC }: Kitchen,
  test: NonNullable<Kitchen['microwaveTest']>,
): Calibration {
  const { fatShare, meltedDensity, workFromC } = CHOCOLATE_MATTER.dark;
  const [bowl] = bowls;
  const m3 = test.kg / meltedDensity;
  const pot = {
    chocolate: meltable('dark', fatShare, workFromC),
    kg: test.kg,
    bowlHeat: bowlHeat(bowl, m3),
    lossWK: bowlLossWK(bowl, m3, 'none'),
    aroundC: roomC,
  };
  return calibrateMicrowave(pot, microwaveW, test, roomC);
}

/** The job as one melt's bowl sees it, from when it is ready to when it is worked from for the last time. */
export function stretchesFor({ wholeJob }: Timeline, meltId: string): BowlStretch[] {
  const ready = wholeJob.findIndex(({ kind, meltIds }) => kind === 'melt' && meltIds?.includes(meltId));
  const all = wholeJob
    .slice(ready + 1)
    .map(({ kind, seconds, meltIds }) => ({ seconds, inUse: kind !== 'melt' && (meltIds?.includes(meltId) ?? false) }));
  return all.slice(0, all.map(({ inUse }) => inUse).lastIndexOf(true) + 1);
}

/** One melt of a plan by its id, or the first. */
export function madeOf(
  plan: { readonly melts: readonly MeltResult[] } | undefined,
  meltId: string | undefined,
): MeltResult | undefined {
  return plan?.melts.find(({ input }) => input.meltId === meltId) ?? plan?.melts[0];
}
