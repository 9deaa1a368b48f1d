import type { RuleKey } from '../../core/quantity/keys';
import { PRACTICE, WORKING_RULE, type RuleWording } from './rule-wording';

/** Words for the rules of filling, closing and finishing a piece. */
export const PIECE_RULES = {
  'fill.capacity': {
    title: 'Room inside the shell',
    how: 'The space left inside the computed shell, up to the rim.',
    source: 'Sum of exact frusta along the shell’s inside.',
    sure: 'Follows the thickness of the shell.',
  },
  'fill.heapRoom': {
    title: 'Room for a heap',
    how: 'A cone on the mouth, no steeper than loose things lie (35°), that touches the other half’s inside nowhere.',
    source: 'Angle of repose from memory.',
    sure: 'A careful hand heaps a little more.',
  },
  'fill.headspace': {
    title: 'Headspace',
    how: 'From the top of the fill to the rim.',
    source: 'Depth against volume of the inside.',
    sure: 'Level fills are exact; heaped ones are not level.',
  },
  'fill.layerMass': {
    title: 'Weight of a layer',
    how: 'Its volume times its density as it lies. Pieces lie looser along a wall than in the open, the more so the larger they are; marshmallows give a little.',
    source:
      'Densities from memory. Packing: Scott & Kilgour 1969, Donev et al. 2004; at the wall after Jeschar 1964, from memory.',
    sure: 'Loose fillings differ by some 12 %; weigh yours once.',
  },
  'fill.layerVolume': {
    title: 'Volume of a layer',
    how: 'What lies between its lower and upper level inside the shell.',
    source: 'Depth against volume of the inside.',
    sure: 'Follows the thickness of the shell.',
  },
  'fill.layerCount': {
    title: 'Pieces in a layer',
    how: 'The layer’s weight over the weight of one.',
    source: 'Piece weights from memory.',
    sure: 'Give or take two.',
  },
  'fill.leftOver': {
    title: 'Does not fit',
    how: 'What was asked for, less what the space still holds.',
    source: 'Depth against volume of the inside.',
    sure: 'Follows the thickness of the shell.',
  },
  'fill.massInAll': {
    title: 'Filling in one piece',
    how: 'All layers, added.',
    source: 'Sum of the layers.',
    sure: 'Loose fillings differ by some 12 %.',
  },
  'fill.pieceMass': {
    title: 'Weight of one piece',
    how: 'Its shells, its filling, and what closes and finishes it.',
    source: 'Sum.',
    sure: 'Follows shell and filling.',
  },
  'fill.warmest': {
    title: 'Warmest it may go in',
    how: 'The shell is thin and soon as warm as what lies in it: a degree below where set chocolate begins to soften.',
    source: 'Foot of the melting range, from memory; the degree is a working rule.',
    sure: 'Cooked fillings usually wait to 18 to 22 °C, often overnight: cooler is safer.',
  },
  'close.warmPlate': {
    title: 'Chocolate for closing',
    how: 'A warm plate joins two rims with what it melts of them; it takes none besides.',
    source: PRACTICE,
    sure: 'Exact.',
  },
  'close.pipedSeam': {
    title: 'Chocolate for a seam',
    how: 'A round line once along the rim, times the density of melted chocolate.',
    source: 'Mensuration.',
    sure: 'As steady as the hand that pipes.',
  },
  'close.lid': {
    title: 'Chocolate to glue a lid',
    how: 'A round line once along the rim, times the density of melted chocolate.',
    source: 'Mensuration.',
    sure: 'As steady as the hand that pipes.',
  },
  'close.cap': {
    title: 'Chocolate for a cap',
    how: 'The room inside the shell between the rim and the cap’s underside, times the density of melted chocolate.',
    source: 'Depth against volume of the inside.',
    sure: 'Scraped level; what is scraped off comes back.',
  },
  'close.plug': {
    title: 'Chocolate for a plug',
    how: 'A disc as wide as the hole, times the density of melted chocolate.',
    source: 'Mensuration.',
    sure: 'Exact.',
  },
  'close.spare': {
    title: 'Between filling and cap',
    how: 'The headspace less the cap’s thickness.',
    source: 'Depth against volume of the inside.',
    sure: 'Follows the fill.',
  },
  'close.hands': {
    title: 'Hands-on, a piece',
    how: 'What closing one takes a practised hand.',
    source: PRACTICE,
    sure: 'Within a third.',
  },
  'close.lost': {
    title: 'Rim lost on the plate',
    how: 'Heat through a melted film of 0.3 mm, over what it takes to warm and melt the rim, times the seconds on the plate.',
    source: WORKING_RULE,
    sure: 'Look rather than count: flat and melted all round is enough.',
  },
  'close.lostMass': {
    title: 'Chocolate left on the plate',
    how: 'The lost height times the rim’s length and thickness.',
    source: 'Sum.',
    sure: 'As the lost height.',
  },
  'close.perWarming': {
    title: 'Pieces one warming serves',
    how: 'The heat a dinner plate holds above what melts a rim, over what a piece takes and what the room takes meanwhile.',
    source: `Plate of 0.5 kg from memory. ${WORKING_RULE}`,
    sure: 'A heavy pan serves more, a thin plate fewer.',
  },
  'close.warmings': {
    title: 'Warmings of the plate',
    how: 'Pieces over what one warming serves, rounded up.',
    source: 'Counting.',
    sure: 'As the pieces one warming serves.',
  },
  'close.plates': {
    title: 'Plates',
    how: 'One for each colour of rim that goes on one, or one that is wiped in between: else colours travel.',
    source: PRACTICE,
    sure: 'Exact.',
  },
  'piece.height': {
    title: 'Height of a piece',
    how: 'Its parts one on the other, as they stand, less what a warm plate takes of the rim.',
    source: 'Sum.',
    sure: 'Exact for the shapes as given.',
  },
  'finish.drizzle': {
    title: 'Chocolate for a drizzle',
    how: 'A thread that lies half round: the covered share of the outside over its width is its length.',
    source: 'Mensuration.',
    sure: 'As steady as the hand.',
  },
  'finish.dots': {
    title: 'Chocolate to stick on',
    how: 'A tenth of a teaspoon for each.',
    source: PRACTICE,
    sure: 'Within half.',
  },
  'finish.sprinkle': {
    title: 'Sprinkles',
    how: 'One layer of them on the covered share of the outside.',
    source: 'Sum.',
    sure: 'Half as much again falls beside it: have some over.',
  },
  'finish.dust': {
    title: 'Dust',
    how: '8 g on a square metre of the covered share.',
    source: WORKING_RULE,
    sure: 'Within half.',
  },
  'finish.paint': {
    title: 'Paint',
    how: '80 g on a square metre of the covered share.',
    source: WORKING_RULE,
    sure: 'Within half.',
  },
  'finish.stuck': {
    title: 'Stuck on',
    how: 'So many times the weight of one.',
    source: 'Sum.',
    sure: 'As the weight of one.',
  },
  'finish.hands': {
    title: 'Hands-on, a piece',
    how: 'What it takes a practised hand.',
    source: PRACTICE,
    sure: 'Within a third.',
  },
  'finish.held': {
    title: 'Held until it stays',
    how: '15 to 20 s; on a cold base it takes at once.',
    source: PRACTICE,
    sure: 'Let go when it no longer slides.',
  },
  'finish.dries': {
    title: 'Until it may be touched',
    how: 'The usual time in a cool room.',
    source: PRACTICE,
    sure: 'The maker’s instructions win.',
  },
} as const satisfies Partial<Record<RuleKey, RuleWording>>;
