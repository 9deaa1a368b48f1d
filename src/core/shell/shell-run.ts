import { cassonAt40, CHOCOLATE_MATTER, stiffened, type Rheology } from '../matter/chocolate';
import { trayHeat } from '../matter/mold-material';
import { WORKING_RULES } from '../matter/working-rules';
import { mean } from '../quantity/mean';
import type { Place } from '../record/choices';
import type { Rest } from '../record/sets';
import { handsOnS, isTurned, tippedOut } from '../record/method';
import { insideOf, liesOnSide, standsFull, stiffnessAt, type CoatChoice, type Inside } from './coat-choice';
import { ComingToRest } from './coming-to-rest';
import { evenFilm } from './even-film';
import { LyingFilm } from './lying-film';
import { airAt, placeC, type Surroundings } from './place-air';
import { STEP } from './shell-steps';
import { around, standingSkin, startingFilm, thickestM } from './shell-surroundings';
import { stiffen } from './stiffen';
import { fromCells, wallCells, type WallCells } from './wall-cells';
import { WallFilm, type Held } from './wall-film';
import { WallHeat, type WallAir } from './wall-heat';
import type {
  Melt,
  ShellCoat,
  ShellCoatResult,
  ShellInput,
  ShellMoment,
  ShellPhase,
  ShellVariation,
} from './shell-types';

/** Share of a cavity's hands-on time in which the chocolate is kept even; the rest goes into dosing it. Working rule. */
const SPREAD_SHARE = 0.25;
/** Turned more often than so many times in one stay it could not come out any more even. */
const MOST_TURNS = 120;
/** One run of a shell; see `simulateShell`. */
export class ShellRun {
  seconds = 0;
  private readonly cells: WallCells;
  private readonly heat: WallHeat;
  private film: WallFilm;
  private readonly belowM: Float64Array;
  private readonly belowPerArea: Float64Array;
  private readonly filmPerArea: Float64Array;
  private readonly volumesBefore: Float64Array;
  private flow: Rheology = { yieldPa: 0, viscosityPas: 1 };
  private yieldFactor = 1;
  private dt = STEP.firstS;
  private steps = 0;
  private rest = new ComingToRest();
  private lying: LyingFilm | undefined;
  private now = { coat: 0, phase: 'dwell' as ShellPhase, place: 'room' as Place };
  private pouredM3 = 0;
  private drippedM3 = 0;
  private broughtJ = 0;

  constructor(
    private readonly input: ShellInput,
    private readonly variation: ShellVariation,
    private readonly watch: ((moment: ShellMoment) => void) | undefined,
    cellCount: number,
  ) {
    const { cavity, material, moldWallM } = input;
    this.cells = wallCells(cavity.profile, cellCount);
    const startsC = (input.moldC ?? placeC(input.kitchen, 'room')) + variation.placeK;
    this.heat = new WallHeat(this.cells, material, moldWallM, trayHeat(material), startsC);
    this.film = new WallFilm(this.cells, CHOCOLATE_MATTER.dark.meltedDensity);
    const array = (): Float64Array => new Float64Array(cellCount);
    this.belowM = array();
    this.belowPerArea = array();
    this.filmPerArea = array();
    this.volumesBefore = array();
    this.broughtJ = this.held();
  }

  /** Makes one coat and lets it set. */
  coat(coat: ShellCoat, index: number): ShellCoatResult {
    const { choice, handlingSeconds } = coat;
    const { kind, fluidity } = choice.chocolate;
    const { stiffness, workingK, drain } = this.variation;
    const workingC = choice.workingC + workingK;
    const { arcM } = this.input.cavity.profile;
    const beforeM = fromCells(this.cells, this.belowM, arcM);
    const startedAt = this.seconds;
    this.now = { coat: index, phase: 'dwell', place: 'room' };
    this.flow = stiffened(cassonAt40(fluidity), stiffnessAt(stiffness, choice.chocolate));
    this.film = new WallFilm(this.cells, CHOCOLATE_MATTER[kind].meltedDensity);
    this.rest = new ComingToRest();
    this.lying = liesOnSide(this.input.cavity, choice)
      ? new LyingFilm(this.input.cavity.spanM / 2, CHOCOLATE_MATTER[kind].meltedDensity)
      : undefined;
    const overflowM3 = this.place(choice, this.dwell(choice, workingC));
    if (tippedOut(choice.method) && !this.input.press) this.drain(choice, choice.drainSeconds * drain);
    else this.spread(choice);
    const drainedM3 = this.film.drippedM3;
    const wallC = mean(this.heat.wallC);
    this.setDown(coat, Math.max(0, handlingSeconds - (this.seconds - startedAt)));
    const feetM3 = this.film.drippedM3 - drainedM3 + overflowM3;
    this.drippedM3 += this.film.drippedM3;
    this.keepFilm(this.film.thicknessM, this.filmPerArea);
    // Where a narrow waist fills up, a layer on the wall is no thicker than the cavity is deep.
    const thinnestAround = this.lying?.thinnestShare();
    const thicknessM = fromCells(this.cells, this.belowM, arcM).map((t, i) =>
      Math.max(0, Math.min(t, this.input.cavity.depthM) - beforeM[i]),
    );
    return { thicknessM, feetM3, wallC, stillAfterSeconds: this.rest.stillAfterSeconds, thinnestAround };
  }

  balances(): { readonly massError: number; readonly heatError: number } {
    let lying = 0;
    for (let i = 0; i < this.cells.count; i++) lying += this.belowPerArea[i] * this.cells.areaM2[i];
    const moved = Math.abs(this.heat.heatOut) + Math.abs(this.held());
    return {
      massError: Math.abs(this.pouredM3 - lying - this.drippedM3) / Math.max(this.pouredM3, 1e-12),
      heatError: Math.abs(this.broughtJ - this.held() - this.heat.heatOut) / moved,
    };
  }

  /** Stands full: the skin that sets at the wall, and what the wall is warmed to. Gives what is tipped out. */
  private dwell(choice: CoatChoice, workingC: number): Melt {
    if (!standsFull(this.input, choice) || choice.dwellSeconds <= 0) return { celsius: workingC, set: 0 };
    const dwellSeconds = choice.dwellSeconds * this.variation.dwell;
    const before = this.held();
    const wallC = mean(this.heat.wallC);
    const skin = standingSkin(this.input, this.variation, choice, {
      workingC,
      dwellSeconds,
      setThicknessM: mean(this.belowM),
      wallC,
    });
    this.moment();
    for (let i = 0; i < this.cells.count; i++) this.heat.wallC[i] += skin.wallC - wallC;
    this.seconds += dwellSeconds;
    // The bulk that is tipped out keeps its own heat account; here only what stays and what the wall has taken up enters.
    this.broughtJ += this.held() - before;
    if (skin.thicknessM > 0) {
      this.heat.pour(choice.chocolate, skin.skinC, skin.skinSet);
      this.pour(new Float64Array(this.cells.count).fill(Math.min(skin.thicknessM, this.input.cavity.depthM)));
      this.keepFilm(this.film.thicknessM, this.filmPerArea);
    }
    return { celsius: skin.meltC, set: skin.meltSet };
  }

  /** Lays the film a coat starts from. Gives what of a dose finds no room and runs over, m³. */
  private place(choice: CoatChoice, melt: Melt): number {
    this.heat.pour(choice.chocolate, melt.celsius, melt.set);
    this.pour(startingFilm(this.input, choice, this.variation.dose, this.cells, this.belowM));
    if (this.input.press || tippedOut(choice.method)) return 0;
    return Math.max(0, choice.doseM3 * this.variation.dose - this.film.volumeM3.reduce((sum, v) => sum + v, 0));
  }

  private pour(thicknessM: Float64Array): void {
    const most = thickestM(this.input.cavity);
    const before = this.held();
    this.film.lay(
      thicknessM.map((h, i) => Math.max(0, Math.min(h, most - this.belowM[i]))),
      this.belowM,
    );
    this.countVolumes();
    for (const v of this.film.volumeM3) this.pouredM3 += v;
    this.broughtJ += this.held() - before;
    this.dt = STEP.firstS;
  }

  private drain(choice: CoatChoice, seconds: number): void {
    this.now = { ...this.now, phase: 'drain' };
    const tapped = Math.min(choice.tappingSeconds, seconds);
    this.yieldFactor = WORKING_RULES.tappingYieldFactor;
    this.run(tapped, 'rocked', 'dome', 'room');
    this.yieldFactor = 1;
    this.run(seconds - tapped, 'rocked', 'dome', 'room');
  }

  /** Kept even by the spoon or brush while it cools, or pressed. */
  private spread(choice: CoatChoice): void {
    this.now = { ...this.now, phase: 'spread' };
    this.run(this.input.press ? 0 : SPREAD_SHARE * handsOnS(choice.method), 'upright', 'open', 'room', false);
  }

  /** Set down as it is to set: in the room for the rest of the handling, then in its places. */
  private setDown({ choice, sets }: ShellCoat, restSeconds: number): void {
    // What is poured over a former runs off it, however it is drawn.
    const held = this.input.cavity.outward ? 'upsideDown' : choice.wayUp;
    this.rest.setDown(this.seconds);
    const inside = insideOf(this.input.cavity, choice);
    const stage = (phase: ShellPhase, { place, seconds, upright }: Rest): void => {
      this.now = { ...this.now, phase, place };
      if (isTurned(choice.method)) this.turn(seconds, choice.turnSeconds, place);
      else if (upright && held !== 'upright') this.run(seconds, 'upright', 'open', place, !this.input.press);
      else this.run(seconds, held, inside, place, !this.input.press);
    };
    // What thickens upright is not turned over in between.
    stage('rest', { place: 'room', seconds: restSeconds, ...(sets[0]?.upright ? { upright: true } : {}) });
    for (const set of sets) stage('set', set);
  }

  /** A closed vessel on its way to being set: what has run to the lowest place since the last turn runs back with the next, while it still flows. */
  private turn(seconds: number, turnSeconds: number, place: Place): void {
    const every = Math.max(turnSeconds, seconds / MOST_TURNS);
    let left = seconds;
    do {
      const stay = this.rest.flows || left === seconds ? Math.min(every, left) : left;
      this.run(stay, this.lying ? 'onSide' : 'upright', 'dome', place);
      left -= stay;
      if (this.rest.flows && left > 0) this.evenOut();
    } while (left > 1e-9);
  }

  /** Spreads what still flows evenly over the wall, with its heat. */
  private evenOut(): void {
    const before = this.held();
    this.lying?.turned();
    evenFilm(this.film, this.cells, this.heat.filmC, this.heat.filmSet, this.belowM);
    this.countVolumes();
    this.broughtJ += this.held() - before;
  }

  private run(seconds: number, held: Held, inside: Inside, place: Place, flowing = true): void {
    const wayUp = held === 'upright' ? held : 'upsideDown';
    const surroundings = around(this.input, this.variation, { wayUp, inside }, place);
    let left = seconds;
    // With a flow the film's stiffness is that of the middle of the step before.
    let lag = 0;
    this.steps = 0;
    this.shape(this.airIn(surroundings));
    this.stiffen();
    while (left > 1e-9) {
      const pull = flowing && this.steps < STEP.most ? this.film.pull(held) : 0;
      this.rest.before(pull, this.seconds - lag);
      this.dt = this.rest.longestStep(pull, this.dt);
      // A last sliver is taken along rather than made a step of its own.
      const dt = left < 1.2 * this.dt ? left : this.dt;
      const share = this.rest.flows ? this.strang(dt, held, surroundings) : this.still(dt, surroundings);
      left -= dt;
      this.seconds += dt;
      if (this.rest.flows) this.lying?.ran(dt, this.film);
      this.rest.after(this.seconds);
      lag = this.rest.flows ? dt / 2 : 0;
      this.dt = Math.min(
        STEP.longestS,
        Math.max(STEP.shortestS, dt * Math.min(STEP.growth, Math.max(STEP.leastGrowth, share))),
      );
      this.moment();
    }
  }

  /** Heat alone; gives by how much the next step may be longer. */
  private still(dt: number, surroundings: Surroundings): number {
    this.heat.meet(this.airIn(surroundings));
    const moved = this.heat.step(dt);
    this.stiffen();
    return STEP.stillChangeK / Math.max(1e-9, moved);
  }

  /** Heat, flow, heat; gives by how much the next step may be longer. */
  private strang(dt: number, held: Held, surroundings: Surroundings): number {
    const first = this.heat.step(dt / 2);
    this.stiffen();
    const moved = this.flowFor(dt, held);
    this.shape(this.airIn(surroundings));
    const second = this.heat.step(dt / 2);
    return Math.min(
      (STEP.changeShare * this.patience()) / Math.max(1e-9, moved),
      STEP.changeK / Math.max(1e-9, first + second),
    );
  }

  /** Grows once a stretch has taken many steps. */
  private patience(): number {
    return Math.max(1, ++this.steps / STEP.many);
  }

  private flowFor(dt: number, held: Held): number {
    this.volumesBefore.set(this.film.volumeM3);
    const moved = this.film.step(dt, held);
    if (!(moved >= 0)) {
      if (dt < STEP.shortestS) this.steps = STEP.most;
      return this.steps < STEP.most ? Math.max(this.flowFor(dt / 2, held), this.flowFor(dt / 2, held)) : 0;
    }
    const { perKelvin, perSet } = this.heat.filmHeat;
    const kelvins = this.film.carry(this.heat.filmC, this.volumesBefore, dt);
    const sets = this.film.carry(this.heat.filmSet, this.volumesBefore, dt);
    this.broughtJ -= perKelvin * kelvins + perSet * sets;
    this.countVolumes();
    return moved;
  }

  private airIn(surroundings: Surroundings): WallAir {
    return airAt(surroundings, mean(this.heat.wallC), mean(this.heat.filmC));
  }

  private shape(air: WallAir): void {
    this.heat.shape(air, this.film.thicknessM, this.belowM, this.filmPerArea, this.belowPerArea);
  }

  /** Casson values of each place's temperature and set fraction. */
  private stiffen(): void {
    stiffen(
      this.film,
      { ...this.flow, yieldPa: this.flow.yieldPa * this.yieldFactor },
      this.heat.filmC,
      this.heat.filmSet,
    );
  }

  /** Counts the film as set, with its heat, and leaves none. */
  private keepFilm(filmM: Float64Array, filmPerArea: Float64Array): void {
    const { belowC, belowSet, filmC, filmSet } = this.heat;
    const before = this.held();
    for (let i = 0; i < this.cells.count; i++) {
      const all = filmPerArea[i] + this.belowPerArea[i];
      const share = all > 0 ? filmPerArea[i] / all : 0;
      belowC[i] += share * (filmC[i] - belowC[i]);
      belowSet[i] += share * (filmSet[i] - belowSet[i]);
      this.belowM[i] += filmM[i];
      this.belowPerArea[i] = all;
    }
    this.heat.keep(mean(filmM));
    filmM.fill(0);
    filmPerArea.fill(0);
    this.film.volumeM3.fill(0);
    // Chocolates of two kinds count as one between them: what that makes of their heat neither came nor went.
    this.broughtJ += this.held() - before;
  }

  private countVolumes(): void {
    for (let i = 0; i < this.cells.count; i++) this.filmPerArea[i] = this.film.volumeM3[i] / this.cells.areaM2[i];
  }

  private held(): number {
    return this.heat.heatHeld(this.filmPerArea, this.belowPerArea);
  }

  private moment(): void {
    if (!this.watch) return;
    const { belowM, cells, seconds, now } = this;
    this.watch({
      ...now,
      seconds,
      cells,
      belowM,
      filmM: this.film.thicknessM,
      filmC: this.heat.filmC,
      filmSet: this.heat.filmSet,
      flows: this.rest.flows,
    });
  }
}
