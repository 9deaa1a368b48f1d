import type { RuleKey } from '../../core/quantity/keys';
import { BATCH_RULES } from './batch-rules';
import { EXACT, WORKING_RULE, type RuleWording } from './rule-wording';
import { MELT_RULES } from './melt-rules';
import { PAINTING_RULES } from './painting-rules';
import { PIECE_RULES } from './piece-rules';

/** Words for every rule that the computation names. */
export const RULES: Readonly<Record<RuleKey, RuleWording>> = {
  ...MELT_RULES,
  ...PAINTING_RULES,
  ...PIECE_RULES,
  ...BATCH_RULES,
  'mold.volume': {
    title: 'Volume of a cavity',
    how: 'The area of its rim, scaled by how wide it is at each height, summed from the lowest point to the rim. For half a sphere that is two thirds of π times the radius cubed.',
    source: 'Handbook mensuration; turned profiles by Pappus and Guldin.',
    sure: EXACT,
  },
  'mold.measured': {
    title: 'Volume of a cavity, measured',
    how: 'The water it holds, weighed and divided by the density of water at its temperature; or its widths and depth by the prismoidal rule. Shape and wall are those of the bowl that holds as much at that width and depth.',
    source: 'Water density: Kell 1975.',
    sure: 'The range is two standard uncertainties: scatter of the readings, step of the scale, judgement of the level.',
  },
  'mold.wallArea': {
    title: 'Wall area of a cavity',
    how: 'The strips between each stretch of its outline and of its height, without the opening; pleats count in full.',
    source: 'Handbook mensuration; turned profiles by Pappus and Guldin.',
    sure: EXACT,
  },
  'mold.depth': {
    title: 'Depth of a cavity',
    how: 'From its lowest point to the rim, with the opening up.',
    source: 'As given.',
    sure: EXACT,
  },
  'mold.rimLength': {
    title: 'Length of the rim',
    how: 'Once around its opening; pleats count in full.',
    source: 'Handbook mensuration.',
    sure: EXACT,
  },
  'mold.solid': {
    title: 'Chocolate to fill it solid',
    how: 'Volume of the cavity times the density of melted chocolate.',
    source: 'Density from memory.',
    sure: 'Within about 2 %.',
  },
  'mold.perRound': {
    title: 'Parts in one round',
    how: 'Cavities in a mold times the molds at hand.',
    source: 'Counting.',
    sure: 'Exact.',
  },
  'coat.dumped': {
    title: 'Thickness of a tipped-out coat',
    how: 'Melted chocolate runs down the wall until its own stiffness (Casson yield) slows it. What is left after the time tipped out follows from stiffness, drain time and the curve of the wall; tapping loosens it while it lasts; once set down it runs on for a while. The skin that set against the cool wall while the cavity stood full lies beneath.',
    source:
      'Casson flow (ICA method 46); draining on a dome after Takagi & Huppert 2010 and Lee et al. 2016; skin by heat conduction with setting. Stiffness by class, from memory.',
    sure: 'The first answer, a closed form; the simulation follows in a moment and lies within this range. The range is what a class of chocolate may differ by: a factor 1.4 either way.',
  },
  'coat.spread': {
    title: 'Thickness of a spooned or brushed coat',
    how: 'The dose is spread evenly over the wall, then runs for some seconds before it holds: toward the base when it stands upright, toward the rim upside down. Nothing is lost.',
    source: 'Volume under a curved layer (Steiner); Casson flow (ICA method 46).',
    sure: 'As even as the hand that spreads it. The range allows 15 % on the dose and a factor 1.4 on how the chocolate runs.',
  },
  'coat.dumpedSimulated': {
    title: 'Thickness of a coat',
    how: 'Simulated, minute by minute: the film runs down the wall while the hand rocks and taps the mold, cools against it, stiffens as it sets, and runs on after it is set down until it holds; under it lies the skin from standing, and every earlier coat.',
    source:
      'Thin film of Casson (ICA method 46) with heat and setting in film, shell and mold; checked against a general solver of differential equations within 1 %.',
    sure: 'The likely range comes from fifteen runs: fluidity, seconds by hand, temperatures and air, each to either end. Weigh one shell to know.',
  },
  'coat.spreadSimulated': {
    title: 'Thickness of a coat',
    how: 'Simulated, minute by minute: the dose is kept even while you work it, then runs down the wall until it has cooled and stiffened enough to hold.',
    source:
      'Thin film of Casson (ICA method 46) with heat and setting in film, shell and mold; checked against a general solver of differential equations within 1 %.',
    sure: 'The likely range comes from fifteen runs: fluidity, dose, temperatures and air, each to either end. Weigh one shell to know.',
  },
  'coat.turned': {
    title: 'Thickness in a turned vessel',
    how: 'The dose spread evenly over the wall, where it is turned at least every 75 s; turned more seldom, what a minute lets run to the lowest place.',
    source: 'Volume under a curved layer (Steiner); Casson flow (ICA method 46).',
    sure: 'The first answer, a closed form; the simulation follows in a moment. The range allows 15 % on the dose and a factor 1.4 on how it runs.',
  },
  'coat.turnedSimulated': {
    title: 'Thickness in a turned vessel',
    how: 'Simulated, minute by minute: between two turns the chocolate runs to the lowest place, in a long vessel, which lies on its side, round it and not along it; each turn brings it back over the wall, for as long as it still flows. What has run since the last turn before it holds is what stays uneven.',
    source:
      'Thin film of Casson (ICA method 46) with heat and setting; that a turn undoes the one before is a working rule.',
    sure: 'The likely range comes from fifteen runs. Turned every which way it comes out as even as told; always the same way, less.',
  },
  'coat.filled': {
    title: 'Depth of a fill',
    how: 'The level at which the cavity holds its share of the volume, less the level it started from.',
    source: 'Depth against volume of the cavity, exact for its shape.',
    sure: 'Filled by eye: within 5 %.',
  },
  'coat.fillMass': {
    title: 'Chocolate of a fill',
    how: 'Its share of the cavity’s volume, times the density of melted chocolate.',
    source: 'Volume of the cavity; density from memory.',
    sure: 'Filled by eye: within 5 %.',
  },
  'coat.rest': {
    title: 'Time until it holds',
    how: 'After the mold is set down the film runs on, until it has cooled and set so far that its own stiffness holds it.',
    source: 'Simulation of the film with heat and setting.',
    sure: 'Follows how the chocolate runs and how cool the mold is. Until then, keep it level and leave it alone.',
  },
  'coat.flash': {
    title: 'Squeezed or scraped off',
    how: 'What is filled in beyond the brim: two clamped halves squeeze it out as flash, an open one is scraped level. It goes back to the pot.',
    source: 'Sum.',
    sure: 'As the eye that fills it.',
  },
  'coat.feet': {
    title: 'What drips off the rim',
    how: 'What runs over the rim after the mold is set down, before the film holds: it sets as feet, and is scraped off.',
    source: 'Simulation of the film with heat and setting.',
    sure: 'Follows how the chocolate runs. Where it is much, let the coat thicken before it is turned over.',
  },
  'coat.thinnestAround': {
    title: 'Thinnest line of a coat',
    how: 'A long vessel lies on its side between two turns: what runs down from its uppermost line is missing there until a turn brings it back to the top, for as long as it still flows.',
    source:
      'Thin film of Casson (ICA method 46) round a lying cylinder, as stiff as the simulation finds it from moment to moment.',
    sure: 'Told of half turns. Rolled a third further each time, the thin lines of two coats do not meet.',
  },
  'coat.total': {
    title: 'Thickness of the shell',
    how: 'All coats at that place, added, and rounded only then.',
    source: 'Sum of the coats.',
    sure: 'The coats err in the same direction, so their ranges add.',
  },
  'coat.mass': {
    title: 'Chocolate that stays in one cavity',
    how: 'Thickness summed over the curved wall, times the density of melted chocolate.',
    source: 'Volume under a curved layer (Steiner); density from memory.',
    sure: 'Follows the thickness; weigh one shell to know.',
  },
  'coat.massInAll': {
    title: 'Chocolate in one part',
    how: 'All coats of one cavity, added.',
    source: 'Sum of the coats.',
    sure: 'Follows the thickness; weigh one shell to know.',
  },
  'coat.drain': {
    title: 'Time to tip out',
    how: 'The time that leaves the wanted thickness at the rim.',
    source: 'Closed form of the draining film, solved for time.',
    sure: 'Follows how the chocolate runs; weigh one shell to know.',
  },
  'coat.pressed': {
    title: 'Thickness of a pressed shell',
    how: 'What the insert leaves: its gap all over, or the volume the gap holds spread evenly over the wall.',
    source: 'As given; volume under a curved layer (Steiner).',
    sure: 'As good as the insert sits. Under the line leaves holes; a little over is harmless.',
  },
  'coat.dwell': {
    title: 'Time to stand',
    how: 'The time that leaves the wanted thickness at the rim: the longer it stands, the thicker the skin that sets against the wall, ever more slowly.',
    source: 'Skin by heat conduction with setting, solved for time.',
    sure: 'Follows how cool the mold is; weigh one shell to know.',
  },
  'coat.hold': {
    title: 'Hold thickness',
    how: 'A film thinner than this stays where it is put on an upright wall: its yield stress carries its weight. Cooler chocolate is stiffer, so it holds a thicker film.',
    source:
      'Yield stress over density and gravity; yield stress by class from memory, 3 % more a degree cooler (working rule).',
    sure: 'A factor 1.4 either way.',
  },
  'coat.overEdges': {
    title: 'Over edges that stand inward',
    how: 'A notch, or the corners between the tips of a star, stand into the mold. Chocolate that lies evenly on the wall has more way round such an edge, and is thinner there: light shines through it first, and it cracks there first.',
    source:
      'Volume of a layer laid round a cylinder (Steiner’s formula for parallel surfaces); the edge as round as 1 mm, a working rule.',
    sure: 'A sharper edge is thinner still.',
  },
  'coat.neededRim': {
    title: 'Rim a shell needs',
    how: '1.5 mm for a 64 mm shell, growing with the square root of its widest part; compound gets by with 15 % less, and what is peeled out of a liner or off a leaf with half.',
    source: WORKING_RULE,
    sure: 'A first guess; your own breakages will tell.',
  },
  'coat.breakChance': {
    title: 'Chance of breaking at unmolding',
    how: 'Compares the rim with what a shell of this size needs: 6 % break at just enough, 9 % at nine tenths of it, half of them at six tenths, 2 % at 1.6 times.',
    source: WORKING_RULE,
    sure: 'A first guess; your own breakages will tell.',
  },
  'coat.coatsNeeded': {
    title: 'Coats needed',
    how: 'The fewest coats that can reach the wanted thickness at the rim with a practicable time to tip out, or a dose the wall will hold.',
    source: 'Closed form of the coats.',
    sure: 'Follows how the chocolate runs.',
  },
  'chill.holds': {
    title: 'Minutes until the shell holds for filling',
    how: 'As for the next coat, until half of the fat has set: it keeps its shape and carries what is filled in, long before it could be turned out.',
    source:
      'Heat conduction with setting by the enthalpy method, checked against Neumann’s solution; air by natural convection (Churchill and Chu) and radiation; thermal values from memory, setting calibrated on common practice.',
    sure: 'The range adds thickness, place ±1 K, air exchange ±20 % and working temperature ±1 K.',
  },
  'chill.cap': {
    title: 'Minutes until the capped piece can be turned out',
    how: 'Mold, shell, filling and cap as one stack that cools from both sides, through its rests and its place, until three quarters of the fat in the shell and in the cap have set, and a rigid mold lets go.',
    source:
      'Heat conduction with setting by the enthalpy method, checked against Neumann’s solution; air by natural convection (Churchill and Chu) and radiation; thermal values from memory, setting calibrated on common practice.',
    sure: 'The range adds place ±1 K and air exchange ±20 %.',
  },
  'coat.narrow': {
    title: 'Chocolate in narrow places',
    how: 'What heel, handle or neck hold beside the shape, filled solid with the first coat.',
    source: 'Mensuration, of what was measured.',
    sure: 'As the measuring.',
  },
  'coat.mixed': {
    title: 'Stirred into the coat',
    how: 'Its share of the coat’s weight; bits take up their own room in the coat, and so much less chocolate goes in.',
    source: 'Sum; the density of a bit from its bulk.',
    sure: 'As the coat.',
  },
  'chill.touch': {
    title: 'Minutes until the next coat can go on',
    how: 'Heat leaves through the mold wall and the open side; the chocolate gives up its heat of setting on the way: its seed grows at once as it cools, the rest follows slowly, the more slowly the warmer it is, and nothing melts back. The next coat can go on when six tenths of the fat has set.',
    source:
      'Heat conduction with setting by the enthalpy method, checked against Neumann’s solution; air by natural convection (Churchill and Chu) and radiation; thermal values from memory, setting calibrated on common practice.',
    sure: 'The range adds thickness, place ±1 K, air exchange ±20 % and working temperature ±1 K.',
  },
  'chill.unmold': {
    title: 'Minutes until it can be unmolded',
    how: 'As above, until three quarters of the fat in all coats has set. A rigid mold also waits until the chocolate has shrunk away from it, which setting and cold both do: about what sets in a fridge of 5 °C, or over longer in a cabinet of up to 14 °C. A vessel that is cut away, or a former that is taken out, need not.',
    source:
      'Heat conduction with setting by the enthalpy method, checked against Neumann’s solution; air by natural convection (Churchill and Chu) and radiation; thermal values from memory, setting calibrated on common practice.',
    sure: 'The range adds thickness, place ±1 K, air exchange ±20 % and working temperature ±1 K.',
  },
  'chill.latest': {
    title: 'Latest sensible minute',
    how: 'When the surface is within one degree of the air there, and at the most three times the time to unmold: longer gains nothing and draws damp.',
    source: WORKING_RULE,
    sure: 'A guide, not a cliff.',
  },
  'chill.ownInterval': {
    title: 'Your own interval',
    how: 'You set this time; it overrules the computed one.',
    source: 'Your choice.',
    sure: 'As you set it.',
  },
  'chill.dewPoint': {
    title: 'Dew point of the room',
    how: 'Air at this temperature could hold no more damp: anything colder sweats.',
    source: 'ASHRAE Handbook of Fundamentals 2017, chapter 1, equations 5 and 6.',
    sure: 'As good as the humidity reading; the range is ±1 K on the room.',
  },
  'chill.surface': {
    title: 'Surface as it comes out',
    how: 'The inside surface at the end of the last stay.',
    source: 'The same heat computation as the minutes.',
    sure: 'Within a degree or two.',
  },
  'chill.cover': {
    title: 'Time to keep it covered',
    how: 'A cold shell warms by Newton’s law; under a loose cover at half the pace. It may be uncovered once it is above the dew point.',
    source: 'Newton’s law of cooling; cover factor is a working rule.',
    sure: 'Within a third.',
  },
};
