import type { Finding, SeenAt } from '../../core/clinic/findings';
import type { Evidence } from '../../core/clinic/reasoning';
import type { Question } from '../../core/clinic/questions';
import type { UnitSystem } from '../../core/quantity/units';
import { QUESTION_TEXTS } from './clinic-questions';

/** Where things are seen, in the order of the work. */
export const SEEN_AT_NAMES: Readonly<Record<SeenAt, string>> = {
  unmolding: 'Coming out of the mold',
  wall: 'Its wall',
  face: 'On its face',
  closing: 'Closed and filled',
  bowl: 'In the bowl',
  serving: 'Given and served',
};

/** What each finding is called, and how one knows it. */
export const FINDING_TEXTS: Readonly<Record<Finding, { readonly name: string; readonly looks: string }>> = {
  crackedRim: { name: 'Rim cracked', looks: 'Broken out or split at the edge' },
  crackedAcross: { name: 'Cracked across', looks: 'A crack through wall and base' },
  sticks: { name: 'Leaves a film', looks: 'Some of it stays in the mold' },
  willNotLetGo: { name: 'Will not let go', looks: 'Stays in the mold as a whole' },
  dull: { name: 'Dull', looks: 'No shine, or a matt patch' },
  streaks: { name: 'Streaks', looks: 'Pale lines and swirls' },
  bloom: { name: 'Grey bloom', looks: 'A grey veil, at once or days later' },
  spots: { name: 'Spots', looks: 'Round marks, pale or dull' },
  soft: { name: 'Soft, bendy', looks: 'Gives way, does not snap' },
  prints: { name: 'Finger prints', looks: 'Marks of whoever held it' },
  sweat: { name: 'Sweat, sticky', looks: 'Drops or a wet film' },
  colourOff: { name: 'Colour came off', looks: 'Paint ran, smeared or stayed behind' },
  seeThrough: { name: 'Hole, see-through', looks: 'Light comes through it' },
  bubbles: { name: 'Bubbles, pits', looks: 'Small round holes in the face' },
  feet: { name: 'Feet', looks: 'A ledge or drips at the rim' },
  tooThick: { name: 'Too thick', looks: 'More wall than was wanted' },
  tooThin: { name: 'Too thin', looks: 'Less wall than was wanted' },
  seamGap: { name: 'Gap at the seam', looks: 'The halves do not meet all round' },
  crackedClosed: { name: 'Cracked once closed', looks: 'Whole before, split afterwards' },
  leaks: { name: 'Bulges, leaks', looks: 'Filling comes out of the seam' },
  fillingMoved: { name: 'Filling moved', looks: 'Lopsided or sunk in' },
  lumpyBowl: { name: 'Thick or lumpy bowl', looks: 'Paste, grains, or a stiff mass' },
  scorched: { name: 'Tastes scorched', looks: 'Burnt smell, dark grains' },
  brokeCarried: { name: 'Broke on its way', looks: 'In the box, the bag or the hand' },
  willNotOpen: { name: 'Will not open', looks: 'Stays closed in the drink' },
};

/** A share as people say it. */
export function likelyText(share: number): string {
  if (share >= 0.75) return 'very likely';
  if (share >= 0.4) return 'likely';
  if (share >= 0.15) return 'possible';
  return 'less likely';
}

/** The question as it is asked. */
export function questionText(question: Question, system: UnitSystem): string {
  const { asks } = QUESTION_TEXTS[question];
  return typeof asks === 'string' ? asks : asks(system);
}

/** What speaks for a cause or against it, in a few words. */
export function evidenceText(evidence: Evidence): string {
  return 'problem' in evidence ? 'the plan warns of it' : QUESTION_TEXTS[evidence.question][evidence.is ? 'yes' : 'no'];
}
