import { WORKING_RULES } from '../../core/matter/working-rules';
import type { RemedyEffect } from '../../core/study/remedy-effect';
import type { Dimension } from '../../core/quantity/answer';
import type { UnitSystem } from '../../core/quantity/units';
import { text } from './format';
import { PLACE_NAMES } from './names';
import type { Place } from '../../core/record/choices';
import { LIMITS } from '../../core/record/limits';
import type { Problem, PlanDraft } from '../../core/plan/plan-types';
import type { NoteWording } from './note-wording';
import type { Said } from './said';
import { WORK_NOTES } from './work-notes';

/** Why a filling has to stay inside the edge, by what comes on top. */
const ON_TOP = {
  half: ' so that the other half sits flat',
  cap: ' so that the cap has room',
  lid: ' so that the lid sits flat',
  nothing: ', or it runs over',
} as const;

/** What comes of too short a stay, by what it was to go on to. */
const SHORT_OF = {
  touch: 'The next coat may drag this one along.',
  holds: 'It may give way when it is filled.',
  unmold: 'It may bend or tear when it is peeled out.',
} as const;

const NOTES: Readonly<Record<Problem['key'], (said: Said) => NoteWording>> = {
  ...WORK_NOTES,
  rimTooThin: ({ number, length, share }) => ({
    mark: 'thin',
    head: `The rim comes out at ${length('rim')} and wants ${length('needed')}.`,
    body: `About ${share('chance')} of the parts would crack when they are peeled out. ${number('uneven') > 0 ? 'The base has plenty: brush the sides alone, up to the rim.' : 'One more coat mends it.'}`,
    action: number('uneven') > 0 ? 'Brush the sides as one more coat' : 'Make it thicker',
  }),
  poolsInBase: ({ length }) => ({
    mark: 'pools',
    head: `It runs to the base: ${length('base')} there, ${length('rim')} at the rim.`,
    body: 'Scoop out what has gathered while it still runs, and leave the base out of later coats.',
    action: 'Lay later coats on the sides',
  }),
  moldSweats: ({ warmth }) => ({
    mark: 'wet mold',
    head: `An empty mold of ${warmth('moldC')} is wet: the dew point here is ${warmth('dewPointC')}.`,
    body: 'A film of water dulls the face and thickens the chocolate. Wipe it dry just before it is filled, or let it warm.',
    action: 'Let it warm to the room',
  }),
  moldTooWarm: ({ warmth }) => ({
    mark: 'warm mold',
    head: `A mold of ${warmth('moldC')} is as warm as the chocolate, ${warmth('workingC')}.`,
    body: 'It would melt the seed in it, and nothing would set against the wall.',
    action: 'Start it as warm as the room',
  }),
  coatTooHeavy: ({ values, length }) => ({
    mark: 'runs',
    head: `Coat ${values['coat']} is heavier than this chocolate will hold.`,
    body: `An upright wall holds ${length('hold')}; the rest runs to the lowest place. More, thinner coats stay put, and so does cooler chocolate.`,
    action: 'Split it over one more coat',
  }),
  wantedNotReached: ({ values, number, length }) =>
    number('comesOut') < number('wanted')
      ? {
          mark: 'short',
          head: `${values['coats']} coats come to ${length('comesOut')}, short of ${length('wanted')}.`,
          body: 'Work cooler or with a thicker chocolate to build more.',
          action: `Want ${length('comesOut')}`,
        }
      : {
          mark: 'thick',
          head: `It cannot be made as thin as ${length('wanted')} this way.`,
          body: `It comes out at ${length('comesOut')}. Warmer or more fluid chocolate runs thinner.`,
          action: `Want ${length('comesOut')}`,
        },
  aboveCeiling: ({ values, warmth }) => ({
    mark: 'too hot',
    head: `${warmth('workingC')} is above the ceiling of ${values['name']}.`,
    body: `Past ${warmth('ceilingC')} it loses its temper, or thickens if it is compound. The packet wins if it says otherwise.`,
    action: 'Bring it back into its band',
  }),
  belowBand: ({ values, number, warmth }) =>
    number('low')
      ? {
          mark: 'cool',
          head: `${warmth('workingC')} is below the band of ${values['name']}.`,
          body: `By that it runs from ${warmth('workFromC')}. Some packets say never above ${warmth('most')}, as pale spots come of more: then its band is lower, too.`,
          action: 'Its packet says so: lower the band',
        }
      : {
          mark: 'cool',
          head: `${warmth('workingC')} is below the band of ${values['name']}.`,
          body: `From ${warmth('workFromC')} it runs as it should; below that it is thick and sets in the bowl. Held there on purpose, choose that school.`,
          action: 'Bring it into its band',
        },
  tooSmallToMelt: ({ values, mass, warmth }) => ({
    mark: 'scorches',
    head: `${mass('kg')} of ${values['name']} is too little for this microwave.`,
    body: `Even 5 s would pass ${warmth('ceilingC')} in places. Lower the power, or melt it over a very low steam.`,
    action: 'Use the double boiler',
  }),
  steelInMicrowave: () => ({
    mark: 'metal',
    head: 'A steel bowl must not stand in the microwave.',
    body: 'It sparks and does not heat. Choose another bowl, or melt over steam.',
    action: 'Use the double boiler',
  }),
  untempered: ({ values }) => ({
    mark: 'untempered',
    head: `${values['name']} is only melted, not tempered.`,
    body: 'It holds cocoa butter: untempered it sets soft and streaky and sticks in the mold.',
    action: 'Temper it by seeding',
  }),
  temperedCoating: ({ values }) => ({
    mark: 'no seed',
    head: `${values['name']} is not melted by this school.`,
    body: 'Coating holds other fats and needs no temper. Melt it only, or hold a quarter or some lumps back against overheating.',
    action: 'Melt it only',
  }),
  softSet: ({ values, number, share, place }) =>
    number('equilibrium') < WORKING_RULES.unmoldSet
      ? {
          mark: 'will not set',
          head: `The ${place} is too warm: it will not set there.`,
          body: `Only ${share('equilibrium')} of the fat can set at that temperature.`,
          action: values['place'] === 'fridge' ? '' : 'Move it to the fridge',
        }
      : {
          mark: 'soft',
          head: `In the ${place} it sets, but softly.`,
          body: `Only ${share('equilibrium')} of the fat can set at that temperature; it dents and marks.`,
          action: values['place'] === 'fridge' ? '' : 'Move it to the fridge',
        },
  willNotLetGo: ({ place }) => ({
    mark: 'sticks',
    head: `In the ${place} a rigid mold will not let go.`,
    body: 'The chocolate has to set further and get colder to shrink away from the wall.',
    action: 'Move it to the fridge',
  }),
  shortInterval: ({ values, time }) => ({
    mark: 'early',
    head: `Your ${time('own')} for ${values['coat'] === undefined ? 'the cap' : `coat ${values['coat']}`} is short of ${time('needed')}.`,
    body: SHORT_OF[values['until'] as keyof typeof SHORT_OF],
    action: 'Use the computed time',
  }),
  fillTooHigh: ({ values, mass }) => ({
    mark: 'over',
    head: `The filling is ${mass('over')} too much${values['onTop'] === 'nothing' ? '' : ' to close'}.`,
    body: `It has to stay inside the edge${ON_TOP[values['onTop'] as keyof typeof ON_TOP]}.`,
    action: 'Fill what fits',
  }),
  sweats: ({ warmth, time }) => ({
    mark: 'sweats',
    head: `It comes out at ${warmth('surfaceC')}, below the dew point of ${warmth('dewPointC')}.`,
    body: `Damp settles on it and dulls it. Keep it loosely covered for ${time('cover')} before filling, dusting or packing.`,
    action: 'Plan the covered rest',
  }),
  neverWarms: ({ warmth }) => ({
    mark: 'sweats',
    head: 'The room’s air is so damp that it sweats until it is as warm as the room.',
    body: `The dew point is ${warmth('dewPointC')}. Dry the room, or leave the parts covered until they feel as warm as it is.`,
    action: '',
  }),
  restFirst: ({ time, place }) => ({
    mark: 'no rest',
    head: 'Tempered chocolate in a rigid mold likes to rest before the cold.',
    body: `Straight into the ${place} it sets in a hurry, and may dull or stick. About ${time('rest')} in the room let it set quietly; then the cold shrinks it free.`,
    action: `Rest it ${time('rest')} first`,
  }),
  poolsBetweenTurns: ({ number, length, time }) => ({
    mark: 'pools',
    head: number('onSide')
      ? `Turned every ${time('every')}, it pools on one side: ${length('thin')} along the other, of ${length('thick')} on the whole.`
      : `Turned every ${time('every')}, it pools: ${length('thick')} at the base, ${length('thin')} at the rim.`,
    body: 'It sets where it has run to since the last turn. Turn it more often until it runs no more.',
    action: number('every') > LIMITS.turnSeconds.low ? 'Turn it twice as often' : '',
  }),
  noRoomInside: () => ({
    mark: 'no room',
    head: 'A solid piece has no room inside.',
    body: 'Press toppings into its open face before it sets, or coat the wall instead of filling it.',
    action: 'Take the filling out',
  }),
  warmRoom: ({ warmth }) => ({
    mark: 'warm',
    head: `A room of ${warmth('roomC')} is warm for real chocolate.`,
    body: 'Cool it, take coating, or cast less at a time; wear gloves, as it softens in the hand.',
    action: '',
  }),
  dryTopping: ({ values, time }) => ({
    mark: 'short',
    head: `Topping ${values['cavities']} takes ${time('hands')}, and the face stays wet for ${time('wet')}.`,
    body: 'Pour and top a few at a time, or have somebody strew while you pour.',
    action: '',
  }),
  longJob: ({ values, time }) => ({
    mark: 'long',
    head: `${values['rounds']} rounds take ${time('total')}.`,
    body: `With ${values['molds']} molds at hand, more is cast while the fridge works.`,
    action: 'Count on one more mold',
  }),
  notWorkable: ({ values, warmth }) => ({
    mark: 'too short',
    head: `${values['name']} thickens within seconds.`,
    body: `From ${warmth('workingC')} it is a class thicker before it can be worked. Melt more of it at once, or keep the bowl over warm water.`,
    action: '',
  }),
  lidOnItself: ({ values }) => ({
    mark: 'no lid',
    head: `“${values['name']}” cannot be the lid of itself.`,
    body: 'A lid is another part than the one that is filled. Choose another, or add one at the Mold station.',
    action: '',
  }),
  noRoomForCap: ({ number, length }) => ({
    mark: 'no cap',
    head: number('thick') > 0 ? `Only ${length('thick')} is left for the cap.` : 'No room is left for the cap.',
    body: 'Under a millimetre it leaks or cracks when the piece is turned out. Fill less.',
    action: 'Fill lower',
  }),
  capRunsOver: ({ mass }) => ({
    mark: 'over',
    head: `${mass('over')} of each cap runs over the rim.`,
    body: 'It is scraped off, or the edge is trimmed. Fill less, or spoon less on it.',
    action: 'Fill lower',
  }),
  thinCap: ({ length }) => ({
    mark: 'thin cap',
    head: `The cap is only ${length('thick')} thick.`,
    body: 'Under a millimetre it leaks or cracks when the piece is taken out.',
    action: 'Fill up to the rim',
  }),
  longOnPlate: ({ length, time }) => ({
    mark: 'short',
    head: `${time('seconds')} on the plate melt ${length('lost')} of the rim away.`,
    body: 'The half gets short and lopsided. Flat and melted all round is enough.',
    action: 'Take it off sooner',
  }),
  coldPlate: ({ warmth }) => ({
    mark: 'cold',
    head: `A plate of ${warmth('plateC')} does not melt this rim.`,
    body: 'It has to be well above where the chocolate melts.',
    action: 'Warm it more',
  }),
  someFat: () => ({
    mark: 'mixed',
    head: 'A little of another fat is streaked in.',
    body: 'Some do it for a colour. It sets a shade softer there and dulls sooner; more of it would not hold.',
    action: '',
  }),
  mixedFats: () => ({
    mark: 'mixed',
    head: 'Coating and real chocolate do not go into one coat.',
    body: 'Their fats soften each other: it sets soft and dulls. Marble two of a kind.',
    action: '',
  }),
};

/** Which of several parts, and which variant, a problem is about; empty where it goes for all. */
export function aboutText({ parts }: Pick<PlanDraft, 'parts'>, { partId, variant }: Problem): string {
  const part = parts.length > 1 ? parts.find((one) => one.part.id === partId)?.part.name : undefined;
  return [variant, part].filter((name) => name !== undefined).join(', ');
}

/** Words a problem; `system` sets the units. */
export function noteWording({ key, values }: Problem, system: UnitSystem): NoteWording {
  const number = (name: string): number => Number(values[name]);
  const said = (dimension: Dimension) => (name: string) => text(number(name), dimension, system);
  return NOTES[key]({
    values,
    number,
    mass: said('mass'),
    length: said('length'),
    warmth: said('temperature'),
    time: said('duration'),
    share: said('share'),
    place: PLACE_NAMES[values['place'] as Place],
  });
}

/** What the button would change, in brief: "−84 min, +18 g". Empty when nothing worth saying. */
export function effectText(effect: RemedyEffect, system: UnitSystem): string {
  const parts: string[] = [];
  const sign = (value: number): string => (value < 0 ? '−' : '+');
  if (Number.isFinite(effect.seconds) && Math.abs(effect.seconds) >= 60) {
    parts.push(`${sign(effect.seconds)}${text(Math.abs(effect.seconds), 'duration', system)}`);
  }
  if (Math.abs(effect.kg) >= 0.001) parts.push(`${sign(effect.kg)}${text(Math.abs(effect.kg), 'mass', system)}`);
  return parts.join(', ');
}
