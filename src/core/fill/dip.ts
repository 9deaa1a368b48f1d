import { drainedThicknessM } from '../flow/drained-film';
import { CHOCOLATE_MATTER, nearestClass, rheologyAt } from '../matter/chocolate';
import { answer, term, type Answer } from '../quantity/answer';
import type { Filling } from '../record/filling';
import type { CoatChocolate } from '../shell/coat-choice';
import { jointSetsSeconds } from '../shell/film-sets';
import type { PlaceKitchen } from '../shell/place-air';
import { pieceKg, pieceWidthM } from './packing';

/** Pieces of a filling that are dipped in a melt before they go in, SI, °C. */
export interface DipInput {
  readonly filling: Filling;
  readonly chocolate: CoatChocolate;
  readonly workingC: number;
  readonly kitchen: PlaceKitchen;
}

/** What dipping one piece comes to. */
export interface DipAnswer {
  /** Of the film round it. */
  readonly thickness: Answer;
  /** Chocolate on one piece. */
  readonly mass: Answer;
  /** In the room until the film is set to the touch, s. */
  readonly sets: Answer;
  /** Hands-on for one piece. */
  readonly hands: Answer;
  /** The filling as it goes in: heavier and larger by its film. */
  readonly dipped: Filling;
  /** Share of that weight that is chocolate, 0 to 1. */
  readonly chocolateShare: number;
}

/** Held over the bowl so long before it is set down, s, and dipped, tapped off and set down by hand. Common practice, no source. */
const DRAINS_S = 8;
const HANDS_S = 10;
/** A film is no thicker than this share of the piece: more of it runs off. Working rule. */
const MOST_OF_PIECE = 0.25;

/**
 * Dipping, for a filling in pieces; undefined for any other. The film is what drains off a piece, a ball as large as it, in some seconds: the
 * closed form of the Casson film over half its girth.
 */
export function dipStation({ filling, chocolate, workingC, kitchen }: DipInput): DipAnswer | undefined {
  const widthM = pieceWidthM(filling);
  if (widthM === undefined) return undefined;
  const density = CHOCOLATE_MATTER[chocolate.kind].meltedDensity;
  const flow = rheologyAt(chocolate.fluidity, workingC);
  const drained = drainedThicknessM([{ seconds: DRAINS_S, flow }], density, (Math.PI / 2) * widthM, 1);
  const thicknessM = Math.min(MOST_OF_PIECE * widthM, drained);
  const grows = ((widthM + 2 * thicknessM) / widthM) ** 3;
  const bareKg = pieceKg(filling);
  const filmKg = (Math.PI / 6) * widthM ** 3 * (grows - 1) * density;
  const seconds = jointSetsSeconds(
    { of: chocolate, thickM: thicknessM, laidC: workingC, kitchen, rests: [], place: 'room' },
    { shell: chocolate, thickM: widthM / 6 },
  );
  const terms = [
    term('pieceSize', widthM, 'length'),
    term('fluidity', nearestClass(chocolate.fluidity)),
    term('workingTemperature', workingC, 'temperature'),
  ];
  return {
    thickness: answer(thicknessM, 'length', 'dip.thickness', terms),
    mass: answer(filmKg, 'mass', 'dip.mass', [
      term('pieceSize', widthM, 'length'),
      term('painted', thicknessM, 'length'),
      term('meltedDensity', density, 'density'),
    ]),
    sets: answer(seconds, 'duration', 'dip.sets', [term('painted', thicknessM, 'length'), term('place', 'room')]),
    hands: answer(HANDS_S, 'duration', 'dip.hands', []),
    dipped: {
      ...filling,
      pieceKg: bareKg + filmKg,
      bulkDensity: (filling.bulkDensity * (bareKg + filmKg)) / bareKg / grows,
    },
    chocolateShare: filmKg / (bareKg + filmKg),
  };
}
