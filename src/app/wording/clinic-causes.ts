import type { Cause } from '../../core/clinic/causes';

/** What each cause is called, what to do with the pieces that have it, and what to change the next time. */
export const CAUSE_TEXTS: Readonly<
  Record<Cause, { readonly name: string; readonly now: string; readonly next: string }>
> = {
  thinRim: {
    name: 'The rim is too thin',
    now: 'Lay it back into its cavity, patch the inside with a little chocolate, chill, and take it out again.',
    next: 'One more coat, on the sides and up to the rim; let it set upside down once it has thickened.',
  },
  notSetThrough: {
    name: 'It had not set through',
    now: 'Put what is still in the mold back into the cold for five minutes, then try again.',
    next: 'Wait until the back is hard and cold all over, also where it is thickest.',
  },
  pulledUnevenly: {
    name: 'One side was pulled first',
    now: 'Melt a patch on from the inside, or melt the piece down and cast it again.',
    next: 'Loosen the rim all round, then push from the middle of the base, where it is strongest.',
  },
  brittleCold: {
    name: 'Brittle from the freezer',
    now: 'Let the others stand for a few minutes before they are taken out.',
    next: 'Set it in the fridge, or let it come up for some minutes after the freezer.',
  },
  outOfTemper: {
    name: 'The chocolate was out of temper',
    now: 'Good to eat. Melt it again and temper it anew, or keep it cold and serve it soon.',
    next: 'Test a smear on paper before casting; warm a little, stir in seed and test again where it stays soft.',
  },
  dampMold: {
    name: 'Water in the mold',
    now: 'A dull spot can be dusted or drizzled over. Dry the mold before the next round.',
    next: 'Wash, dry and polish; a mold that was chilled is wiped just before it is filled.',
  },
  unbuffedMold: {
    name: 'The mold was not polished',
    now: 'Dust or drizzle hides it.',
    next: 'Polish each cavity with soft cotton; what is in the cavity prints on the face.',
  },
  warmRoom: {
    name: 'The room was too warm',
    now: 'Move the pieces to a cooler room or, covered, to the fridge.',
    next: 'Work where it is cooler, or in the morning; a coating stands more warmth than real chocolate.',
  },
  overheated: {
    name: 'The chocolate got too hot',
    now: 'What merely streaks can be melted gently at low power and cast again; what tastes burnt is lost.',
    next: 'Shorter bursts at less power, stirred each time; stop while small lumps are left.',
  },
  aboveCeiling: {
    name: 'The coating was above what its packet allows',
    now: 'Break it up, melt it gently and cast it again.',
    next: 'Stay below the temperature on the packet: makers differ.',
  },
  cooledSlowly: {
    name: 'It cooled too slowly',
    now: 'Good to eat. Melt it again and cast anew where its looks matter.',
    next: 'Set it in the fridge, with air around each mold, as soon as it no longer runs.',
  },
  paintNotSet: {
    name: 'The painted layer had not set',
    now: 'Paint over it on the outside.',
    next: 'Thin layers, each set before the next and all set before the chocolate goes in.',
  },
  warmHands: {
    name: 'Warm hands',
    now: 'A soft brush takes light prints away; dust hides the others.',
    next: 'Wear thin gloves, touch little, and put pieces down often.',
  },
  fullToRim: {
    name: 'Filled too high',
    now: 'Take out what stands above the edge, wipe the rim, close it again.',
    next: 'Leave room below the rim, for what closes it and for what swells.',
  },
  pouredTooWarm: {
    name: 'The chocolate was too warm and ran off',
    now: 'Lay more on from the inside where light comes through.',
    next: 'Let it cool until it coats the spoon; at its working temperature it stays on the wall.',
  },
  drainedLong: {
    name: 'It drained too long',
    now: 'Add a coat before it is taken out.',
    next: 'Turn it up again as soon as drops come slowly.',
  },
  brushedBald: {
    name: 'Bald spots under the brush',
    now: 'Hold it to the light while it is in the mold, and brush once more where light comes through.',
    next: 'Brush from the middle outward, two coats, the second across the first.',
  },
  moldPoints: {
    name: 'Points and ridges of the mold',
    now: 'Fill the spot up from the inside.',
    next: 'Work the first coat into folds and points with a brush, then coat as usual.',
  },
  notTapped: {
    name: 'Air was left in it',
    now: 'Pits can be filled with a little chocolate and smoothed.',
    next: 'Tap the mold on the table until no more bubbles come up.',
  },
  tooCool: {
    name: 'The chocolate was too cool and thick',
    now: 'Warm the bowl by seconds, stirring, until it runs again.',
    next: 'Keep the bowl warm while it is worked from, and warm it before it drags.',
  },
  pouredFast: {
    name: 'It was poured in too fast',
    now: 'Fill pits with a little chocolate and smooth them.',
    next: 'A thin stream, from low, into one side of the cavity.',
  },
  turnedTooSoon: {
    name: 'Turned over while it still ran',
    now: 'Trim the ledge with a warm knife.',
    next: 'Let it thicken upright first, and turn it when it no longer drips.',
  },
  notScraped: {
    name: 'The rim was not scraped',
    now: 'Trim it with a warm knife, or melt it flat on a warm plate.',
    next: 'Draw a scraper over the mold before the rim has set hard.',
  },
  belowDewPoint: {
    name: 'It came out below the dew point',
    now: 'Do not wipe it: let it dry in moving air, and pack it only then.',
    next: 'Let it come up under a cover, or before it is taken out of its mold.',
  },
  uncovered: {
    name: 'It warmed up uncovered',
    now: 'Do not wipe it: let it dry in moving air.',
    next: 'Put it into a closed box while it is cold, and open it when it is as warm as the room.',
  },
  longInCold: {
    name: 'Too long in the cold',
    now: 'Leave it covered until it is as warm as the room.',
    next: 'Take it out as soon as it lets go.',
  },
  unlevelRims: {
    name: 'The rims were not level',
    now: 'Dab the gap with chocolate that has cooled a little: hot chocolate opens it further.',
    next: 'Level both rims on the warm plate before filling, and melt them once more to join.',
  },
  plateTooCool: {
    name: 'The plate was too cool, or too short',
    now: 'Pipe a line of chocolate round the gap and wipe it.',
    next: 'Heat the plate again every few pieces: a rim melts within seconds.',
  },
  meltedUnevenly: {
    name: 'One side melted further back',
    now: 'Turn the halves until they meet best, and pipe a line round the gap.',
    next: 'Straight down, no pressing, and off as soon as it is wet all round.',
  },
  fillingOnRim: {
    name: 'Filling lay on the rim',
    now: 'Open it, wipe the rim, melt it again and close it.',
    next: 'Fill away from the edge, and wipe the rim before it is joined.',
  },
  rubbed: {
    name: 'Pressed or rubbed too much',
    now: 'Let it rest, then patch the crack with cool chocolate.',
    next: 'Once round with the finger, and leave it.',
  },
  warmFilling: {
    name: 'The filling was too warm',
    now: 'Let the others cool before they are closed.',
    next: 'Wait until the filling is as cool as the room; overnight for what was cooked.',
  },
  liquidFilling: {
    name: 'The filling is too wet',
    now: 'Eat these first, and keep them cold: what is fresh keeps for a day.',
    next: 'A thicker filling, a thicker shell, or fruit that is dried or dipped.',
  },
  coldAfterClosing: {
    name: 'It went back into the cold once closed',
    now: 'Leave the others in the room.',
    next: 'Let the seam set in the room: what is inside shrinks and swells more than the shell.',
  },
  water: {
    name: 'Water came into the bowl',
    now: 'Lost for casting. Stir it into a ganache, a sauce or a drink.',
    next: 'Dry bowl, spoon and hands; no lid and no steam.',
  },
  overSeeded: {
    name: 'Too much seed',
    now: 'Warm it by seconds until it runs; fish out what does not melt.',
    next: 'Less seed, chopped finer, and take out what is left once it is in temper.',
  },
  wantsThinning: {
    name: 'This chocolate is thick by itself',
    now: 'Stir in a little cocoa butter, or the fat that goes with a coating; never water or milk.',
    next: 'A more fluid chocolate, or one coat where two were planned.',
  },
  paintFrozen: {
    name: 'The paint was frozen',
    now: 'Paint it on the outside.',
    next: 'Set painted details in the fridge; the filled mold may go into the freezer.',
  },
  tooThickToOpen: {
    name: 'Its wall is too thick to open',
    now: 'Pour slowly onto its top, stir, and break it with a spoon.',
    next: 'Fewer or thinner coats; it need only be as strong as the way it travels.',
  },
  milkTooCool: {
    name: 'The drink was too cool',
    now: 'Warm the mug for some seconds and stir.',
    next: 'Serve it on a drink that steams, with small bubbles at the edge; not boiling. Mind hot drinks near children.',
  },
};
