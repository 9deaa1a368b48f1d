import type { RuleKey } from '../../core/quantity/keys';
import { PRACTICE, WORKING_RULE, type RuleWording } from './rule-wording';

/** Where figures of painted, sprayed and dusted molds come from. */
export const PAINTING_RULES = {
  'prep.covers': {
    title: 'Covers',
    how: 'The wall of a cavity, times the share of the pattern; spots by their number and width.',
    source: 'Geometry.',
    sure: 'As the pattern.',
  },
  'prep.mass': {
    title: 'Stays in a cavity',
    how: 'What is covered, times how thick it lies, times its density.',
    source: 'Balance of mass; densities from memory.',
    sure: 'As the hand that lays it: 15 % either way.',
  },
  'prep.takes': {
    title: 'Is used up for a cavity',
    how: 'What stays in it, and what goes beside: as much again when it is sprayed.',
    source: WORKING_RULE,
    sure: 'As the hand that lays it.',
  },
  'prep.hands': {
    title: 'Hands on, a cavity',
    how: 'Taking it up, and then by the spot or by what is covered.',
    source: WORKING_RULE,
    sure: 'Within half.',
  },
  'prep.sets': {
    title: 'Set to the touch',
    how: 'A thin film and the wall behind it give their heat to the air of the place; it sets as the chill has it.',
    source: 'Enthalpy balance, one cell for film and wall each.',
    sure: 'As the air of the place: a fifth either way.',
  },
  'prep.rests': {
    title: 'Rests before it is cast on',
    how: 'Sprayed colour rests 4 to 8 h, up to 24 h, at 18 to 22 °C.',
    source: PRACTICE,
    sure: 'The longer end is the safer one.',
  },
  'prep.dry': {
    title: 'Waits for nothing',
    how: 'Dust is dry when it is brushed in.',
    source: PRACTICE,
    sure: '',
  },
} satisfies Partial<Record<RuleKey, RuleWording>>;
