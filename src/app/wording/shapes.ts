import { cavityOf, type Cavity } from '../../core/cavity/cavity';
import type { ShapeProblem } from '../../core/cavity/check-shape';
import type { CavityShape, FacetedForm, OutlineForm, ShapeKind } from '../../core/cavity/shape';
import type { MoldCare } from '../../core/record/choices';
import type { Composition } from '../../core/record/mold';
import type { UnitSystem } from '../../core/quantity/units';
import { text, written } from './format';

export const SHAPE_NAMES: Readonly<Record<ShapeKind, string>> = {
  hemisphere: 'half sphere',
  cap: 'shallow dome',
  egg: 'half egg',
  cylinder: 'cylinder',
  cup: 'cup or cone',
  liner: 'pleated liner',
  tile: 'flat tile',
  pillow: 'pillow',
  faceted: 'faceted',
  heart: 'heart',
  star: 'star',
  drawn: 'drawn outline',
  turned: 'turned profile',
  measured: 'measured bowl',
  ball: 'ball with opening',
};
export const FORM_NAMES: Readonly<Record<FacetedForm | OutlineForm, string>> = {
  pyramid: 'pyramid',
  gem: 'gem',
  pear: 'pear',
  flat: 'flat floor',
  domed: 'domed',
  faceted: 'faceted',
};
export const COMPOSITION_NAMES: Readonly<Record<Composition['kind'], string>> = {
  single: 'each by itself',
  halves: 'two alike, joined',
  figure: 'two different halves',
  press: 'pressed with an insert',
  former: 'coated outside',
  assembly: 'base and leaves',
};
export const CARE_NAMES: Readonly<Record<MoldCare, string>> = {
  buff: 'buff before use',
  tray: 'carry on a tray',
  flex: 'flex when new',
  dryWell: 'dry inside well',
  coolWater: 'wash in cool water',
  hotWater: 'wash in very hot water, then buff',
};

/** "64 mm" for a round cavity or a star over its tips, "92 × 62 mm" for another. */
export function cavitySizeText(shape: CavityShape, system: UnitSystem): string {
  if (shape.kind === 'star') return text(shape.diameterM, 'length', system);
  const { lengthM, widthM } = cavityOf(shape);
  return sizeText(lengthM, widthM, system);
}

/** A size along and across; one figure where both are alike. */
export function sizeText(lengthM: number, widthM: number, system: UnitSystem): string {
  const across = text(widthM, 'length', system);
  return Math.abs(lengthM - widthM) < 1e-5 ? across : `${written(lengthM, 'length', system).number} × ${across}`;
}

/** How wide a cavity is over its rim; where the body is wider than that, the rim's own width. */
export function acrossText(
  { spanM, rimDiameterM, lengthM, widthM }: Pick<Cavity, 'spanM' | 'rimDiameterM' | 'lengthM' | 'widthM'>,
  system: UnitSystem,
): string {
  return spanM > rimDiameterM + 1e-6 ? text(rimDiameterM, 'length', system) : sizeText(lengthM, widthM, system);
}

/** What is wrong with a shape, and what to do. */
export function shapeProblemText({ key, point }: ShapeProblem): string {
  const which = `Point ${(point ?? 0) + 1}`;
  switch (key) {
    case 'cornerTooRound':
      return 'Rounder than it is wide: at most half its shorter side.';
    case 'capTooDeep':
      return 'Deeper than half a sphere of that width. Make it shallower, or choose a turned profile.';
    case 'openingTooWide':
      return 'The opening is as wide as the ball. Make it narrower.';
    case 'baseTooWide':
      return 'The base is wider than the rim, and nothing would come out. Make it narrower.';
    case 'bowlTooFull':
      return 'No bowl of that width and depth holds so much. Measure depth and width again.';
    case 'bowlTooLean':
      return 'A bowl of that width and depth holds far more. Measure depth and width again.';
    case 'tooFewPoints':
      return 'Two points at least: the lowest and the last.';
    case 'tooManyPoints':
      return 'At most 300 points are kept. Take some out.';
    case 'pointCrosses':
      return `${which}: the line crosses itself on the way there. Move it clear.`;
    case 'pointGoesBack':
      return `${which} lies lower than the one before. Points go up from the lowest to the rim.`;
    case 'pointBehindAxis':
      return `${which} has no distance from the axis, or a negative one. Type 0 or more.`;
    case 'pointTooFar':
      return `${which} is too far out: at most 200 mm from the axis and 400 mm deep.`;
    case 'pointRepeats':
      return `${which} lies on the one before. Move it, or take it out.`;
    case 'rimTooNarrow':
      return `${which} is the rim, and it is all but closed. At least 2.5 mm from the axis.`;
    case 'pointHidden':
      return `${which}: the outline folds back there and hides from its own middle. Move it out, or draw it simpler.`;
    case 'outlineTooSmall':
      return 'It is too small: at least 10 mm long and wide.';
    case 'notDeep':
      return 'It is not deep enough to hold anything: at least 3 mm.';
  }
}
