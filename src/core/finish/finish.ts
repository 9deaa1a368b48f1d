import { CHOCOLATE_MATTER, type ChocolateKind } from '../matter/chocolate';
import { answer, term, type Answer } from '../quantity/answer';
import type { RuleKey } from '../quantity/keys';
import type { Finish } from '../record/casting';

/** What one finish is worked out from, SI. */
export interface FinishInput {
  readonly finish: Finish;
  /** Outside of a piece, m². */
  readonly outsideM2: number;
  /** Open face that is wet in the mold, and sprinkled there, m²; undefined for a piece without one. */
  readonly faceM2: number | undefined;
  /** Of the melt it uses. */
  readonly meltKind: ChocolateKind | undefined;
  /** Of what is put on: mass over the space it takes, and the size of one piece. */
  readonly topping: { readonly bulkDensity: number; readonly pieceKg: number; readonly pieceM: number } | undefined;
}

/** What one finish comes to, a piece. */
export interface FinishAnswer {
  readonly finish: Finish;
  /** It goes on in the mold, on an open face that is still wet, and sets with that. */
  readonly wet: boolean;
  /** Chocolate, from its melt. */
  readonly chocolate: Answer | undefined;
  /** Sprinkles, dust, paint or what is stuck on; a part that is cast is weighed with the parts. */
  readonly material: Answer | undefined;
  readonly hands: Answer;
  /** How long each is held until it stays. */
  readonly held: Answer | undefined;
  /** Until it is dry or set, s. */
  readonly dries: Answer;
}

/** Hands-on seconds a piece; for what is stuck on, for each. Common practice, no source. */
const HANDS: Readonly<Record<Finish['kind'], number>> = { drizzle: 15, sprinkle: 8, dust: 15, paint: 60, stickOn: 20 };
/** The same where a notch is cut with a hot knife and the foot of the part melted. Working rule. */
const MELTED_ON_S = 60;
/** A dot of chocolate under something that is stuck on, m³: a tenth of a teaspoon. Common practice, no source. */
const DOT_M3 = 0.5e-6;
/** Held 15 to 20 s until it stays. Common practice, no source. */
const HELD_S = 18;
/** Dust brushed on, and paint of dust in spirit or of coloured cocoa butter, kg/m². Working rules. */
const DUST_KG_M2 = 0.008;
const PAINT_KG_M2 = 0.08;
/** Until it may be touched, s. Common practice, no source; the maker's instructions win. */
const DRIES_S: Readonly<Record<Finish['kind'], number>> = {
  drizzle: 10 * 60,
  sprinkle: 10 * 60,
  dust: 0,
  paint: 20 * 60,
  stickOn: 5 * 60,
};

/** Amounts, seconds and drying time of one finish, a piece. */
export function finishStation({ finish, outsideM2, faceM2, meltKind, topping }: FinishInput): FinishAnswer {
  const count = finish.kind === 'stickOn' ? finish.count : 1;
  const handsS = finish.kind === 'stickOn' && finish.by === 'melted' ? MELTED_ON_S : HANDS[finish.kind];
  const wet = finish.kind === 'sprinkle' && faceM2 !== undefined;
  const own = finish.sets.reduce((sum, { seconds }) => sum + (seconds ?? 0), 0);
  return {
    finish,
    wet,
    chocolate: meltKind && chocolateOf(finish, outsideM2, CHOCOLATE_MATTER[meltKind].meltedDensity),
    material: materialOf(finish, { outsideM2, faceM2, topping }),
    hands: answer(handsS * count, 'duration', 'finish.hands', [term('count', count, 'count')]),
    held: finish.kind === 'stickOn' ? answer(HELD_S, 'duration', 'finish.held', []) : undefined,
    dries: answer(
      own > 0 ? own : wet ? 0 : DRIES_S[finish.kind],
      'duration',
      own > 0 ? 'chill.ownInterval' : 'finish.dries',
      [],
    ),
  };
}

function chocolateOf(finish: Finish, outsideM2: number, density: number): Answer | undefined {
  // A thread lies half round: a share of the outside over its width is its length, and its cut is half a disc.
  if (finish.kind === 'drizzle')
    return answer((density * finish.share * outsideM2 * Math.PI * finish.lineM) / 8, 'mass', 'finish.drizzle', [
      term('outside', outsideM2, 'area'),
      term('covered', finish.share, 'share'),
      term('line', finish.lineM, 'length'),
    ]);
  if (finish.kind === 'stickOn' && finish.by === 'dot')
    return answer(density * DOT_M3 * finish.count, 'mass', 'finish.dots', [term('count', finish.count, 'count')]);
  return undefined;
}

function materialOf(
  finish: Finish,
  { outsideM2, faceM2, topping }: Pick<FinishInput, 'outsideM2' | 'faceM2' | 'topping'>,
): Answer | undefined {
  const spread = (perM2: number, rule: RuleKey, over: 'outside' | 'openFace', areaM2: number): Answer =>
    answer(perM2 * finishShare(finish) * areaM2, 'mass', rule, [
      term(over, areaM2, 'area'),
      term('covered', finishShare(finish), 'share'),
    ]);
  switch (finish.kind) {
    case 'drizzle':
      return undefined;
    case 'sprinkle':
      return (
        topping &&
        spread(
          topping.bulkDensity * topping.pieceM,
          'finish.sprinkle',
          faceM2 === undefined ? 'outside' : 'openFace',
          faceM2 ?? outsideM2,
        )
      );
    case 'dust':
      return spread(DUST_KG_M2, 'finish.dust', 'outside', outsideM2);
    case 'paint':
      return spread(PAINT_KG_M2, 'finish.paint', 'outside', outsideM2);
    case 'stickOn':
      return (
        topping &&
        answer(topping.pieceKg * finish.count, 'mass', 'finish.stuck', [
          term('count', finish.count, 'count'),
          term('pieceMass', topping.pieceKg, 'mass'),
        ])
      );
  }
}

function finishShare(finish: Finish): number {
  return 'share' in finish ? finish.share : 0;
}
