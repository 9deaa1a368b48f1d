import type { RuleKey } from '../../core/quantity/keys';
import { PRACTICE, WORKING_RULE, type RuleWording } from './rule-wording';

/** Words for the rules of melting, tempering and preparing. */
export const MELT_RULES = {
  'melt.ready': {
    title: 'Until it is ready',
    how: 'Every burst, stir, cooling and warming of the first bowlful. Further ones are melted while the molds chill.',
    source: `Balance of heat; stirring times are a working rule.`,
    sure: 'Within a third: how fast you stir and how your microwave heats differ most.',
  },
  'melt.melted': {
    title: 'Melted at first',
    how: 'All that is wanted less the seed.',
    source: 'Sum.',
    sure: 'Follows the seed.',
  },
  'melt.seed': {
    title: 'Seed to chop',
    how: 'The heat that melt and bowl give up on the way down to where seeding ends, less what the room takes while you stir, is what the seed takes to come up from the room’s temperature and melt as far as it does there.',
    source: 'Balance of heat; latent heat 157 kJ for each kilogram of fat, from memory.',
    sure: 'The range is a kelvin either way at the thermometer and in the room. Add the last of it slowly.',
  },
  'melt.bursts': {
    title: 'In the microwave',
    how: 'Bursts one after another, each the longest that leaves no spot above the ceiling before it is stirred: the hottest spot takes up 60 % more than the rest.',
    source:
      'Balance of heat; the share of its power that a microwave gives is fitted on common practice, or on the weight you melted.',
    sure: 'Melt a known weight once and note the seconds in the Kitchen: the range narrows.',
  },
  'melt.lumps': {
    title: 'Seed that stays',
    how: 'So much of the fat is still solid when the last lumps are stirred out, and is the seed it sets by. The bursts get shorter, so that no spot comes to where all of it has melted.',
    source: 'Balance of heat over the melting range; how uneven a burst is, is a working rule.',
    sure: 'By eye in a kitchen: test a smear.',
  },
  'melt.perLot': {
    title: 'In one bowl',
    how: 'What is wanted, in as few bowlfuls as leave room to stir: a bowl is filled to six tenths at most; a piping bag holds about 350 g, a tube 100 g.',
    source: PRACTICE,
    sure: 'A larger bowl takes more.',
  },
  'melt.window': {
    title: 'Stays workable',
    how: 'The bowl cools by the difference to the room, through its open face and the wall it wets, until the chocolate is a class thicker. In temper its seed grows meanwhile, 4 % of the fat a kelvin, and the heat of that keeps it warm. For a bowl worked half down; the longer end is for a full one, the shorter for one that is nearly empty.',
    source:
      'Newton’s law of cooling; heat transfer from memory, handbook range; how fast the seed grows is a working rule.',
    sure: 'A draught halves it; a mitt or warm water under it stretches it.',
  },
  'melt.reheats': {
    title: 'Warm it again',
    how: 'Once whenever it has become a class thicker while it is worked from, and once before it is used again after standing, when it cools more slowly than while it is stirred.',
    source: 'The minutes of the job over the working window.',
    sure: 'More as the bowl empties.',
  },
  'melt.reheat': {
    title: 'Each time for',
    how: 'The heat from where it is a class thicker back to where it is worked, with that of the seed that melts again, at half power or over the steam. Stir, then look at the thermometer.',
    source: 'Balance of heat.',
    sure: 'In practice 5 to 10 s; stop early.',
  },
  'prepare.ganacheChocolate': {
    title: 'Chocolate for the ganache',
    how: 'The amount shared out by the ratio for that chocolate and use: near one to one for dark, a little more chocolate for white, half as much again where it is cut or rolled.',
    source: PRACTICE,
    sure: 'Firmness differs with the chocolate; try a spoonful in the fridge.',
  },
  'prepare.ganacheCream': {
    title: 'Cream for the ganache',
    how: 'What the chocolate leaves of the amount.',
    source: PRACTICE,
    sure: 'For cream of about 35 % fat.',
  },
  'prepare.ganacheMixed': {
    title: 'Stirred together',
    how: 'Hot cream, chocolate and bowl from the room come to one temperature; the chocolate takes up heat to melt.',
    source: 'Balance of heat.',
    sure: 'Within a few degrees.',
  },
  'prepare.ganacheCools': {
    title: 'Cool enough to fill',
    how: 'From there down to 22 °C, losing heat through its face and the bowl. Cooled fully it does not melt the shell.',
    source: 'Newton’s law of cooling.',
    sure: 'Spread thin in a tray it takes a fraction of that.',
  },
  'prepare.sprayColour': {
    title: 'Colour',
    how: 'Ten parts to a hundred parts of cocoa butter.',
    source: PRACTICE,
    sure: 'Strength differs: the maker’s instructions win.',
  },
  'prepare.sprayButter': {
    title: 'Cocoa butter',
    how: 'A hundred parts to ten parts of colour.',
    source: PRACTICE,
    sure: 'Spraying loses about half beside the mold.',
  },
  'prepare.caramelBursts': {
    title: 'Bursts',
    how: 'At half power, each the longest that leaves no spot where it scorches, stirred smooth after each, until it has been held where sugar and milk brown for six bursts.',
    source: 'Balance of heat; where it browns is from memory.',
    sure: 'By eye: stop at the colour you want.',
  },
  'prepare.caramelCools': {
    title: 'Until it can be worked',
    how: 'From where it browns it cools in its bowl in the room, until it is as cool as coating is worked.',
    source: 'Heat lost by the bowl and the open face, the same as for any melt.',
    sure: 'Stirred or spread out it is sooner.',
  },
  'prepare.caramelTime': {
    title: 'From start to caramel',
    how: 'Every burst and the stir after it.',
    source: WORKING_RULE,
    sure: 'Within two fifths.',
  },
} as const satisfies Partial<Record<RuleKey, RuleWording>>;
