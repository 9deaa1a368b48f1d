import type { RuleKey } from '../../core/quantity/keys';
import { PRACTICE, type RuleWording } from './rule-wording';

/** Words for the rules of the batch: what is cast, melted and bought, and when. */
export const BATCH_RULES = {
  'batch.partsByConfidence': {
    title: 'Parts to cast',
    how: 'The fewest parts for which, at this chance of breaking, enough come out whole with the wanted confidence.',
    source: 'Binomial distribution.',
    sure: 'As good as the chance of breaking.',
  },
  'batch.partsLearned': {
    title: 'Parts to cast',
    how: 'The fewest parts of which, with the wanted confidence, enough come out whole, where the chance of breaking is known from those cast before; the computed chance counts as much as 20 of them.',
    source: 'Beta-binomial distribution (Johnson, Kemp & Kotz). The weight of the computed chance is a working rule.',
    sure: 'The more you have cast, the surer.',
  },
  'batch.partsByShare': {
    title: 'Parts to cast',
    how: 'The parts needed, and the spare share on top, rounded up.',
    source: PRACTICE,
    sure: 'A margin, not a forecast.',
  },
  'batch.rounds': {
    title: 'Rounds',
    how: 'Parts to cast over what one round gives, rounded up.',
    source: 'Counting.',
    sure: 'Exact.',
  },
  'batch.total': {
    title: 'Minutes in all',
    how: 'Melting once, then round after round, then filling and closing.',
    source: 'Hands-on times are common practice, no source; waits are computed.',
    sure: 'Within a quarter for a practised hand.',
  },
  'batch.fitted': {
    title: 'Minutes in all',
    how: 'What one pair of hands does, and what it still waits for once each round is worked in the waits of the others: the order is searched for, as that of an occasion is.',
    source: 'Hands-on times are common practice, no source; waits and the order are computed.',
    sure: 'Within a quarter for a practised hand. No order takes less than it says at the least.',
  },
  'batch.start': {
    title: 'When to start',
    how: 'The time it is wanted by, less the minutes in all, rounded down to five minutes.',
    source: 'Difference.',
    sure: 'As the minutes in all: start earlier if you are new to it.',
  },
  'fill.makeBy': {
    title: 'When to make a filling',
    how: 'The moment at which the first of it goes in, less making it and letting it stand until it is right to use; rounded down to five minutes. It comes before the job and is not part of its minutes.',
    source:
      'A cooked caramel stands a day at 18 to 22 °C: common practice, no source. Ganache an hour, custard and cooked fruit two, in the cold: working rules.',
    sure: 'It may stand longer; a ganache that has set is warmed a little and stirred.',
  },
  'batch.handsOn': {
    title: 'Hands-on minutes',
    how: 'Pouring 8 s a cavity (spoon 20, brush, paint or spread 30, close and turn 30, top up and clamp 25), tipping and scraping a mold, unmolding 6 to 30 s a part or 30 s a tray, what is cut away some minutes, filling 15 s a piece; melting, closing and finishing as their stations say.',
    source: PRACTICE,
    sure: 'Within a quarter for a practised hand.',
  },
  'batch.waiting': {
    title: 'Waiting minutes',
    how: 'The chill of every coat in every round, and the covered rest.',
    source: 'Computed chill.',
    sure: 'As the chill.',
  },
  'batch.handsWait': {
    title: 'Waiting minutes',
    how: 'What is left of the minutes in all when nothing is done by hand. Chilling that other work is done in does not count.',
    source: 'Difference.',
    sure: 'As the minutes in all.',
  },
  'batch.inParts': {
    title: 'Stays in the parts',
    how: 'Chocolate in one part times the parts to cast.',
    source: 'Sum.',
    sure: 'Follows the thickness.',
  },
  'batch.comesBack': {
    title: 'Comes back',
    how: 'To tip out, cavities are poured half full and swirled, or to the brim where they stand for 20 s or are small, a mold at a time; what does not stay in the last mold comes back to the bowl.',
    source: PRACTICE,
    sure: 'Pour less and less comes back.',
  },
  'batch.stuck': {
    title: 'Sticks to bowl and tools',
    how: 'What a spatula leaves on the wall that the bowl was wetted to, a quarter of a millimetre, a gram on the tools and a hundredth on the way; a bag or tube keeps 3 %.',
    source: 'Working rule: a small bowl that is scraped out loses 3 to 6 g.',
    sure: 'Depends on the spatula.',
  },
  'batch.dipping': {
    title: 'Goes into dipping',
    how: 'The film on every piece that is dipped, times the pieces that go in.',
    source: 'Sum.',
    sure: 'As the film.',
  },
  'batch.painting': {
    title: 'Goes into painting',
    how: 'What one cavity takes of it, times the parts that are cast.',
    source: 'Sum.',
    sure: 'As what is painted.',
  },
  'batch.closing': {
    title: 'Goes into closing',
    how: 'What one piece takes, times the pieces; for a cap, times the parts that are cast.',
    source: 'Sum.',
    sure: 'As the closing.',
  },
  'batch.finishing': {
    title: 'Goes on in finishing',
    how: 'What one piece takes, times the pieces.',
    source: 'Sum.',
    sure: 'As the finishing.',
  },
  'batch.drips': {
    title: 'Drips off',
    how: 'What still runs over the rim once a part is set down, times the parts. It sets as feet outside the mold.',
    source: 'Simulation of the film.',
    sure: 'Cooler chocolate and a longer tap leave less.',
  },
  'batch.filling': {
    title: 'Filling for the job',
    how: 'What one piece takes, times the pieces; capped in the mold, times the parts that are cast.',
    source: 'Sum.',
    sure: 'Loose fillings differ by some 12 %.',
  },
  'batch.melted': {
    title: 'Melt in all',
    how: 'What stays in the parts, what closes and finishes them, what comes back, what sticks, and what drips off.',
    source: 'Sum.',
    sure: 'Follows the thickness.',
  },
  'batch.perRound': {
    title: 'Melt for one round',
    how: 'The same for a single full round, melted by itself.',
    source: 'Sum.',
    sure: 'Follows the thickness.',
  },
  'batch.packs': {
    title: 'Packs to buy',
    how: 'What is wanted, less what is on hand, over the size of a pack, rounded up.',
    source: 'Counting.',
    sure: 'As what is wanted; what comes back can be kept for next time.',
  },
  'batch.piecesFrom': {
    title: 'Pieces from what you have',
    how: 'The most pieces, spares included, whose plan takes no more of any chocolate than is on hand, in melts and fillings together.',
    source: 'The same sums, turned round.',
    sure: 'Follows the thickness.',
  },
} as const satisfies Partial<Record<RuleKey, RuleWording>>;
