import type { Problem } from '../../core/plan/plan-types';
import type { NoteWording } from './note-wording';
import type { Said } from './said';

/** What is said of painted molds, of joints and of what is filled through an opening. */
export const WORK_NOTES = {
  jointSoft: ({ place }) => ({
    mark: 'soft',
    head: `The joint does not set in the ${place}.`,
    body: 'A piece that is lifted by a soft joint comes apart.',
    action: 'Set it in the fridge',
  }),
  jointShort: ({ time }) => ({
    mark: 'too soon',
    head: `The joint is left for ${time('own')} and takes ${time('needed')}.`,
    body: 'Let it be until it is firm to the touch all round.',
    action: 'Leave it as long as it takes',
  }),
  tooWideForOpening: ({ values, length }) => ({
    mark: 'too wide',
    head: `${values['name']} does not pass the opening.`,
    body: `One is about ${length('wide')} across and the opening ${length('opening')}. Take smaller ones, or a wider opening.`,
    action: '',
  }),
  paintNeverSets: ({ values, place }) => ({
    mark: 'soft',
    head: `${values['name']} does not set in the ${place}.`,
    body: 'What is cast on it would drag it along.',
    action: 'Set it in the fridge',
  }),
  paintRests: ({ values, number, time }) => ({
    mark: 'too soon',
    head: `${values['name']} waits ${time('own')} and wants ${time('needed')}.`,
    body: number('rests')
      ? 'Sprayed colour that has not rested comes off with the hand and not with the piece.'
      : 'What is cast on it would drag it along.',
    action: 'Let it wait as long as it wants',
  }),
  paintWarm: ({ values, warmth }) => ({
    mark: 'rest',
    head: `${values['name']} rests at ${warmth('restsC')}.`,
    body: `Sprayed colour wants ${warmth('restFromC')} to ${warmth('restToC')} while it rests: colder it may lift, warmer it stays soft.`,
    action: '',
  }),
  paintCracks: ({ values }) => ({
    mark: 'cracks',
    head: `${values['name']} cracks in the freezer by itself.`,
    body: 'Thin paint cannot follow so sharp a chill. Set it in the fridge; the filled mold may go to the freezer.',
    action: 'Set it in the fridge',
  }),
} satisfies Partial<Record<Problem['key'], (said: Said) => NoteWording>>;
