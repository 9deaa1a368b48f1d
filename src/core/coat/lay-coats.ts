import { CHOCOLATE_MATTER, holdThicknessM, stiffened, type Rheology, type SettingChocolate } from '../matter/chocolate';
import { settingLaw } from '../heat/setting';
import { settingRheology } from '../flow/setting-rheology';
import { WORKING_RULES } from '../matter/working-rules';
import { mean } from '../quantity/mean';
import { isTurned, tippedOut } from '../record/method';
import type { Cavity } from '../cavity/cavity';
import { drainLengths } from './drain-length';
import {
  liesOnSide,
  meltDepthM,
  standsFull,
  stiffnessAt,
  type CoatChoice,
  type CoatPlaceInput,
} from '../shell/coat-choice';
import { dwellSkin, type DwellSkin } from '../shell/dwell-skin';
import {
  filmHolding,
  pressedFilm,
  readings,
  rimReading,
  shellVolume,
  spreadFilm,
  type LaidShell,
} from '../shell/laid-film';
import type { SimulatedCoat, Simulated } from '../shell/simulated';
import { afterDrain, dumpedFilm, settledFilm, type Wall } from './film';

/** How far from nominal one evaluation is: factors on stiffness and dose, kelvin on the working temperature. */
export interface Variation {
  /** Which of the simulation's corrections goes with it. */
  readonly end: 'nominalM' | 'thinM' | 'thickM';
  readonly stiffness: number;
  readonly dose: number;
  readonly kelvin: number;
}

export const NOMINAL: Variation = { end: 'nominalM', stiffness: 1, dose: 1, kelvin: 0 };
const { fluiditySpread, doseSpread, kitchenSpreadK } = WORKING_RULES;
export const THINNEST: Variation = {
  end: 'thinM',
  stiffness: 1 / fluiditySpread,
  dose: 1 / doseSpread,
  kelvin: kitchenSpreadK,
};
export const THICKEST: Variation = {
  end: 'thickM',
  stiffness: fluiditySpread,
  dose: doseSpread,
  kelvin: -kitchenSpreadK,
};

/** One coat as it lies on the wall. */
export interface LaidCoat {
  readonly id: string;
  /** Thickness of this coat at each point of the profile, m. */
  readonly thicknessM: Float64Array;
  readonly volumeM3: number;
  readonly skin: DwellSkin;
  /** Thickness a vertical wall holds without running, m. */
  readonly holdM: number;
  /** Mean thickness right after it was placed, m, before it ran. */
  readonly placedM: number;
}

/** How near a dose is met while a thickness is searched for: a micrometre of rim. */
const NEAR_IN_SEARCH = 2e-4;

/** Kept as long as its cavity is: every plan of it asks again. */
const walls = new WeakMap<Cavity, Wall>();

function wallOf(cavity: Cavity): Wall {
  const kept = walls.get(cavity);
  if (kept) return kept;
  const { profile } = cavity;
  const wall = { cavity, towardRim: drainLengths(profile), towardPole: drainLengths(profile, true) };
  walls.set(cavity, wall);
  return wall;
}

/** Lays coats one on another by the closed form, corrected by what a simulation found; remembers what does not change between evaluations. */
export class CoatLayer {
  private readonly wall: Wall;
  /** Mean thickness set under each coat when the coats were last laid. */
  private readonly belowM: number[] = [];

  /** @param simulated corrections of coats made alike; none for the closed form alone */
  constructor(
    private readonly place: CoatPlaceInput,
    private readonly simulated: Simulated['byCount'] = {},
  ) {
    this.wall = wallOf(place.cavity);
  }

  /**
   * All coats in order, each on the ones before.
   * @param near how near a dose is met, as a share of it; to the last where it is left out
   * @param known thickness of each coat at each point, m, for the ones above it to lie on; as it comes out here where it is left out
   */
  lay(
    coats: readonly CoatChoice[],
    variation: Variation = NOMINAL,
    near?: number,
    known?: readonly Float64Array[],
  ): LaidCoat[] {
    const { cavity } = this.place;
    let below: LaidShell = { thicknessM: new Float64Array(cavity.profile.arcM.length), volumeM3: 0 };
    return coats.map((coat, index) => {
      const { film, skin, holdM, placedM } = this.film(coat, index, coats, variation, below.thicknessM);
      const correction = this.correction(index, coats.length);
      const more = correction?.[variation.end];
      const laidM = film.map((h, i) => Math.max(0, h + (more?.[i] ?? 0)));
      const wanted = this.volumeOf(coat, variation, correction);
      const total =
        wanted === undefined ? this.layered(below.thicknessM, laidM) : filmHolding(cavity, laidM, below, wanted, near);
      const volumeM3 = Math.max(0, total.volumeM3 - below.volumeM3);
      const wallC = correction?.wallC ?? skin.wallC;
      const laid = {
        id: coat.id,
        thicknessM: total.thicknessM.map((t, i) => t - below.thicknessM[i]),
        volumeM3,
        skin: { ...skin, wallC },
        holdM,
        placedM,
      };
      below = known ? this.layered(below.thicknessM, known[index]) : total;
      return laid;
    });
  }

  /**
   * Thickness at the rim in all, m: the reading that `lay` leads to, found at only the points it is read from where
   * every place drains by itself. For searches, which ask often and for nothing else.
   */
  rimM(coats: readonly CoatChoice[]): number {
    const { cavity } = this.place;
    const local =
      !this.place.press &&
      coats.every((coat, index) => tippedOut(coat.method) && this.staysDown(coat) && index < this.belowM.length);
    if (!local) return this.rimAsLaidM(coats, NEAR_IN_SEARCH);
    const { points, shares } = rimReading(cavity.profile);
    const totals = points.map(() => 0);
    coats.forEach((coat, index) => {
      const skin = this.skin(coat, this.wallC(coats, index), this.belowM[index]);
      const { flow, density } = laid(coat, NOMINAL, skin);
      const film = dumpedFilm(this.wall, flow, density, coat.drainSeconds, coat.tappingSeconds, true, points);
      const more = this.correction(index, coats.length)?.nominalM;
      points.forEach(
        (point, k) =>
          (totals[k] = Math.min(
            totals[k] + Math.max(0, film[k] + skin.thicknessM + (more?.[point] ?? 0)),
            cavity.depthM,
          )),
      );
    });
    return totals.reduce((sum, total, k) => sum + shares[k] * total, 0);
  }

  /** The same by laying the coats, each on the ones before as they are now. */
  rimAsLaidM(coats: readonly CoatChoice[], near?: number): number {
    const { profile } = this.place.cavity;
    return this.lay(coats, NOMINAL, near).reduce((sum, { thicknessM }) => sum + readings(profile, thicknessM).rimM, 0);
  }

  /** Thickness of a dosed coat that a vertical wall holds, m; such a coat goes on as it is worked. */
  heldM({ chocolate, workingC }: CoatChoice): number {
    const { flow, density } = laid({ chocolate }, NOMINAL, { meltC: workingC, meltSet: 0 });
    return holdThicknessM(flow, density, Math.PI / 2);
  }

  /** What a coat is known to hold, m³: of a dose all but what drips off, of a press what its gap holds; undefined where it follows from the thickness. */
  private volumeOf(coat: CoatChoice, { dose }: Variation, correction: SimulatedCoat | undefined): number | undefined {
    const { press } = this.place;
    if (press) return press.by === 'water' ? press.m3 : undefined;
    return tippedOut(coat.method) ? undefined : coat.doseM3 * dose * (1 - (correction?.feetShare ?? 0));
  }

  /** A film on what has set, at the most as thick as the cavity is deep. */
  private layered(belowM: Float64Array, filmM: Float64Array): LaidShell {
    const { cavity } = this.place;
    const thicknessM = filmM.map((h, i) => Math.min(belowM[i] + h, cavity.depthM));
    return { thicknessM, volumeM3: shellVolume(cavity, thicknessM) };
  }

  /** The correction of a coat among so many. */
  private correction(index: number, count: number): SimulatedCoat | undefined {
    return this.simulated[count]?.coats[index];
  }

  private film(
    coat: CoatChoice,
    index: number,
    coats: readonly CoatChoice[],
    variation: Variation,
    below: Float64Array,
  ) {
    const wallC = this.wallC(coats, index);
    this.belowM[index] = mean(below);
    // The spread lies in how the chocolate flows; the skin is taken at its nominal temperature and base.
    const skin = this.skin(coat, wallC, this.belowM[index]);
    const { flow, density } = laid(coat, variation, skin);
    const holdM = holdThicknessM(flow, density, Math.PI / 2);
    if (this.place.press) {
      const film = pressedFilm(this.place.cavity, this.place.press);
      return { film, skin, holdM, placedM: mean(film) };
    }
    if (!tippedOut(coat.method)) {
      const spread = spreadFilm(
        this.place.cavity,
        coat.doseM3 * variation.dose,
        coat.where,
        index === 0 ? undefined : below,
      );
      const film = settledFilm(this.wall, spread, flow, density, ...settling(coat, this.place.cavity));
      return { film, skin, holdM, placedM: Math.max(...spread) };
    }
    const down = this.staysDown(coat);
    const dumped = dumpedFilm(this.wall, flow, density, coat.drainSeconds, coat.tappingSeconds, down);
    const film = (
      down
        ? dumped
        : settledFilm(this.wall, dumped, afterDrain(flow), density, WORKING_RULES.afterDrainSeconds, 'upright')
    ).map((h) => h + skin.thicknessM);
    return { film, skin, holdM, placedM: mean(film) };
  }

  /** Set down as it was tipped out; what is poured over a former runs off it however it is drawn. */
  private staysDown(coat: CoatChoice): boolean {
    return coat.wayUp === 'upsideDown' || this.place.cavity.outward;
  }

  /** Temperature of wall and earlier coats when a coat is poured, °C. */
  private wallC(coats: readonly CoatChoice[], index: number): number {
    return index === 0 ? (this.place.moldC ?? this.place.roomC) : againC(coats[index - 1].chocolate, this.place.roomC);
  }

  /** The skin under a coat, none where nothing stands full; it hardly depends on how the coats before it are tuned. */
  private skin(coat: CoatChoice, wallC: number, setThicknessM: number): DwellSkin {
    const { kind, fatShare, unseeded } = coat.chocolate;
    const { material, moldWallM: wallM, roomC } = this.place;
    const air = coat.stands ?? { airC: roomC, draught: 1 };
    return dwellSkin({
      kind,
      fatShare,
      unseeded,
      workingC: coat.workingC,
      meltDepthM: meltDepthM(this.place.cavity),
      dwellSeconds: standsFull(this.place, coat) ? coat.dwellSeconds : 0,
      material,
      wallM,
      setThicknessM,
      wallC,
      ...air,
    });
  }
}

/**
 * How long a dosed coat runs before it holds, s, and toward which end: off a former, however it is drawn; in a closed vessel not at all where
 * it is turned often enough, or runs round it, on its side.
 */
function settling(coat: CoatChoice, cavity: Cavity): [number, CoatChoice['wayUp']] {
  const { method, turnSeconds, wayUp } = coat;
  if (isTurned(method)) {
    const runs = turnSeconds > WORKING_RULES.turnedOftenSeconds && !liesOnSide(cavity, coat);
    return [runs ? WORKING_RULES.turnedSettleSeconds : 0, 'upright'];
  }
  return cavity.outward ? [WORKING_RULES.formerSettleSeconds, 'upsideDown'] : [WORKING_RULES.settleSeconds, wayUp];
}

/** What has set further than this in a cavity that stood full is no melt any more: set fraction. */
const MOST_MELT_SET = 0.5;

/** The chocolate of a coat as it is laid on: as it is poured, or as it has become where the cavity stood full. */
function laid(
  coat: Pick<CoatChoice, 'chocolate'>,
  { stiffness, kelvin }: Variation,
  { meltC, meltSet }: Pick<DwellSkin, 'meltC' | 'meltSet'>,
): { readonly flow: Rheology; readonly density: number } {
  const { kind, fluidity } = coat.chocolate;
  return {
    flow: stiffened(
      settingRheology(fluidity, meltC + kelvin, Math.min(meltSet, MOST_MELT_SET)),
      stiffnessAt(stiffness, coat.chocolate),
    ),
    density: CHOCOLATE_MATTER[kind].meltedDensity,
  };
}

/** Temperature of mold and coat when the next coat goes on, °C: just set enough, and never warmer than the room. */
function againC(chocolate: SettingChocolate, roomC: number): number {
  const { setFromC, setToC } = settingLaw(chocolate);
  return Math.min(roomC, setFromC - WORKING_RULES.touchSet * (setFromC - setToC));
}
