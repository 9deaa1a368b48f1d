import { WARM_ROOM_C, type Question } from '../../core/clinic/questions';
import type { UnitSystem } from '../../core/quantity/units';
import { text } from './format';

/** What is asked, and how either answer is told when it speaks for a cause or against it. */
export const QUESTION_TEXTS: Readonly<
  Record<
    Question,
    { readonly asks: string | ((system: UnitSystem) => string); readonly yes: string; readonly no: string }
  >
> = {
  oneCoat: { asks: 'Was the shell made in one coat?', yes: 'one coat', no: 'more than one coat' },
  upright: {
    asks: 'Did the coats set with the opening up?',
    yes: 'set with the opening up',
    no: 'set upside down',
  },
  brushed: { asks: 'Was it brushed on?', yes: 'brushed on', no: 'not brushed' },
  real: {
    asks: 'Is it real chocolate, with cocoa butter, not a coating?',
    yes: 'real chocolate',
    no: 'a coating, which wants no temper',
  },
  freezer: { asks: 'Did it come straight from the freezer?', yes: 'set in the freezer', no: 'no freezer' },
  onlyRoom: { asks: 'Did it set in the room, without the fridge?', yes: 'set in the room', no: 'set in the cold' },
  warmRoom: {
    asks: (system) => `Was the room warmer than ${text(WARM_ROOM_C, 'temperature', system)}?`,
    yes: 'a warm room',
    no: 'the room was not warm',
  },
  dampAir: {
    asks: 'Was the air damp: a rainy day, or steam in the kitchen?',
    yes: 'the fridge is below the dew point of the room',
    no: 'the air is dry enough',
  },
  hard: {
    asks: 'Was the back hard and cold to the touch before it came out?',
    yes: 'hard and cold before it came out',
    no: 'not hard when it came out',
  },
  pulledRim: {
    asks: 'Was it lifted by its rim, or one side pulled first?',
    yes: 'pulled at its rim',
    no: 'pushed from its base',
  },
  testSet: {
    asks: 'Did a smear on paper set firm and matt within five minutes?',
    yes: 'the smear set',
    no: 'no smear set firm',
  },
  moldDamp: {
    asks: 'Could there have been water in the mold: not wiped, or cold from the fridge?',
    yes: 'the mold may have been damp',
    no: 'the mold was dry',
  },
  buffed: { asks: 'Was the mold polished with a soft cloth first?', yes: 'polished mold', no: 'mold not polished' },
  pouredWarm: {
    asks: 'Was the chocolate warmer than its working temperature, or very runny?',
    yes: 'worked too warm',
    no: 'not worked too warm',
  },
  overheated: {
    asks: 'Did it get too hot at any time: forgotten, steaming, a burnt smell?',
    yes: 'it got too hot',
    no: 'it never got too hot',
  },
  thick: { asks: 'Was it thick and slow to run?', yes: 'thick in the bowl', no: 'it ran well' },
  thickThoughWarm: {
    asks: 'Was it thick from the start, though as warm as it should be?',
    yes: 'thick though warm',
    no: 'not thick while warm',
  },
  water: { asks: 'Could water or steam have come in?', yes: 'water came in', no: 'no water' },
  muchSeed: {
    asks: 'Was a lot of seed stirred in, or were bits of it left?',
    yes: 'much seed',
    no: 'no seed was left',
  },
  tapped: { asks: 'Was the mold tapped after it was filled?', yes: 'tapped', no: 'not tapped' },
  pouredFast: { asks: 'Was it poured in fast, from high up?', yes: 'poured fast', no: 'poured slowly' },
  drainedLong: { asks: 'Did it hang upside down to drain for long?', yes: 'drained long', no: 'not drained long' },
  points: { asks: 'Has the cavity ridges, folds or points there?', yes: 'points in the mold', no: 'a smooth cavity' },
  turnedSoon: {
    asks: 'Was it turned over while it still ran?',
    yes: 'turned while it ran',
    no: 'it had thickened first',
  },
  scraped: { asks: 'Was the rim scraped flat before it set?', yes: 'rim scraped', no: 'rim not scraped' },
  painted: { asks: 'Was the mold painted or dusted first?', yes: 'a painted mold', no: 'nothing painted' },
  paintWet: {
    asks: 'Was the paint thick, or still wet, when the chocolate went in?',
    yes: 'paint still wet',
    no: 'the paint had set',
  },
  paintFrozen: {
    asks: 'Were the painted details in the freezer?',
    yes: 'paint in the freezer',
    no: 'not in the freezer',
  },
  bareHands: { asks: 'Was it touched without gloves?', yes: 'bare hands', no: 'gloves' },
  longCold: { asks: 'Was it in the cold for more than an hour?', yes: 'long in the cold', no: 'not long in the cold' },
  covered: {
    asks: 'Was it covered while it came back to room temperature?',
    yes: 'covered while it warmed',
    no: 'not covered while it warmed',
  },
  levelled: { asks: 'Were both rims levelled before they were joined?', yes: 'rims levelled', no: 'rims not levelled' },
  plateHot: {
    asks: 'Did the rim melt within a few seconds on the plate?',
    yes: 'the plate was hot enough',
    no: 'the plate was too cool',
  },
  lopsided: { asks: 'Did one side melt back further than the other?', yes: 'melted unevenly', no: 'melted evenly' },
  rimClean: { asks: 'Was the rim free of filling?', yes: 'clean rim', no: 'filling on the rim' },
  rubbed: { asks: 'Was the seam pressed hard, or rubbed again and again?', yes: 'pressed or rubbed', no: 'not rubbed' },
  warmFilling: { asks: 'Did the filling go in warm?', yes: 'warm filling', no: 'the filling was cool' },
  full: { asks: 'Does the filling come up to the rim?', yes: 'filled to the rim', no: 'room was left' },
  liquid: {
    asks: 'Is the filling runny or wet, as fresh fruit is?',
    yes: 'a wet filling',
    no: 'the filling is not wet',
  },
  coldAfter: {
    asks: 'Did it go back into the cold once it was closed?',
    yes: 'cold after closing',
    no: 'no cold after',
  },
  milkHot: {
    asks: 'Was the drink hot, with small bubbles at the edge of the pan?',
    yes: 'the drink was hot',
    no: 'the drink was not hot',
  },
  thickWall: { asks: 'Is its wall thick all round?', yes: 'a thick wall', no: 'not a thick wall' },
};
