import type { Lateness } from '../../core/batch/start';
import { cappedChill } from '../../core/plan/capping';
import { workOrder } from '../../core/plan/batch-input';
import type { FinishAnswer } from '../../core/finish/finish';
import { layersOf } from '../../core/plan/needs';
import { toppedFace } from '../../core/plan/open-face';
import { joinsOf, type Closure } from '../../core/record/closing';
import type { UnitSystem } from '../../core/quantity/units';
import { chocolateOf, fillingOf, meltOf } from '../../core/record/references';
import { closingSteps, closingWords, FINISH_NAMES, finishText, KEEPING_TEXTS } from '../wording/closing';
import { allCautions } from '../wording/cautions';
import { handlingLine } from '../wording/coating';
import { coatNameIn, handsText, madeText, pressText, settingText, staysOnText } from '../wording/coats';
import { capital, rangeText, text } from '../wording/format';
import { containsText, guestTags, keptCold, type CountedTag } from '../wording/guest-tag';
import { boilsDown } from '../wording/larder';
import { dipTexts, insideName, variantPrefix } from '../wording/inside';
import { KEPT_COLD_TEXT, stepWordings } from '../wording/melting';
import { PLACE_NAMES, SCHOOL_NAMES, listed } from '../wording/names';
import { PREP_WORDS, prepStep } from '../wording/painting';
import { aboutText, noteWording } from '../wording/problems';
import { dueText, lateNote, momentText, startText } from '../wording/times';
import { turningOut } from '../wording/turning-out';
import { paintedIn, pouredOf, sortsLead, thereText, variantsContain } from './sheet-sorts';
import type { ShoppingLine } from '../state/shopping-list';
import { lineAmount, lineName } from '../workspace/batch/shopping-row';
import { weighOutTables, type WeighOutTable } from '../workspace/weigh-out/weigh-out-table';
import type { CastingPlan, PartDraft } from '../../core/plan/plan-types';

/** A step of the work: what, and how. */
export interface SheetStep {
  readonly what: string;
  readonly how: string;
}

/** A list of steps under a heading. */
export interface SheetSteps {
  readonly head: string;
  readonly steps: readonly SheetStep[];
}

/** The weigh-out sheet as words and amounts, in the order of the work; the page, its print and its PDF say the same. */
export interface SheetContent {
  readonly title: string;
  readonly lead: string;
  /** Said where the figures are an estimate; else empty. */
  readonly estimate: string;
  /** What the notes say, with what to do. */
  readonly mind: readonly SheetStep[];
  readonly times: readonly { readonly name: string; readonly value: string }[];
  readonly tables: readonly WeighOutTable[];
  readonly melts: readonly (SheetSteps & { readonly amount: string })[];
  readonly rounds: readonly string[];
  readonly parts: readonly SheetSteps[];
  readonly inside: readonly {
    readonly name: string;
    readonly each: string;
    readonly job: string;
    readonly mixed: string;
  }[];
  readonly after: readonly SheetSteps[];
  readonly buy: readonly string[];
  readonly caution: string;
  /** What goes with a piece to the guest. */
  /** A tag for each sort of piece, with how many there are of it. */
  readonly tags: readonly CountedTag[];
}

/** How the plan stands when the sheet is written. */
export interface SheetState {
  readonly estimated?: boolean;
  readonly late?: Lateness | undefined;
  /** The occasion that it is made for, and when it begins in that, s since 1970 UTC, where that is known. */
  readonly occasion?: { readonly name: string; readonly fromS: number } | undefined;
}

/** Words the plan for the kitchen table. */
export function sheetContent(
  plan: CastingPlan,
  lines: readonly ShoppingLine[],
  currency: string,
  system: UnitSystem,
  { estimated = false, late, occasion }: SheetState = {},
): SheetContent {
  const { casting, batch } = plan;
  const { due, pieces } = casting;
  return {
    title: casting.name,
    lead: `${counted(pieces, 'piece')}${sortsLead(plan)}: ${listed(batch.byPart.map((count) => `${castText(plan, count.partId, count.parts.value)}, ${count.spares.value} of them spare`))}, in ${counted(batch.rounds.value, 'round')}.${thereText(plan)}`,
    estimate: estimated
      ? 'These figures are a first estimate: the fine computation had not run when this was written.'
      : '',
    mind: mindSteps(plan, system, late),
    times: [
      // Both would take a line more, and the sheet a page: what it is made with tells when it begins.
      occasion
        ? { name: `In ${occasion.name} from`, value: momentText(occasion.fromS, due.zone) }
        : { name: 'Start by', value: startText(plan.start.value, due) },
      ...plan.fillings.flatMap(({ fillingId, makeBy }) =>
        makeBy ? [{ name: `Make ${fillingOf(casting, fillingId).name} by`, value: startText(makeBy.value, due) }] : [],
      ),
      { name: 'Ready', value: dueText(due) },
      { name: 'In all', value: text(batch.total.value, 'duration', system) },
      {
        name: 'Work at',
        value: listed([...new Set(plan.melts.map(({ input }) => text(input.workingC, 'temperature', system)))]),
      },
    ],
    tables: weighOutTables(plan, system),
    melts: meltSteps(plan, system),
    rounds: roundTexts(plan),
    parts: workOrder(plan.parts).map((part) => partSteps(plan, part, system)),
    inside: insideRows(plan, system),
    after: afterSteps(plan, system),
    // Gloves are among the tools of the same sheet.
    buy: lines.filter(({ of }) => of.kind !== 'gloves').map((line) => buyText(line, currency, system)),
    caution: cautionText(plan),
    tags: guestTags(plan, system),
  };
}

/** Whatever the notes say of the plan, so that it stands where the work is done. */
function mindSteps(plan: CastingPlan, system: UnitSystem, late: Lateness | undefined): SheetStep[] {
  const note = late && lateNote(late, plan.start.value, plan.casting.due);
  return [
    ...(note ? [{ what: note.head, how: note.body }] : []),
    ...plan.problems.map((problem) => {
      const { head, body } = noteWording(problem, system);
      const which = aboutText(plan, problem);
      return { what: which ? `${which}: ${head}` : head, how: body };
    }),
  ];
}

function counted(count: number, noun: string): string {
  return `${count} ${noun}${count === 1 ? '' : 's'}`;
}

/** "38 halves", or among several parts "20 × Upper half". */
function castText({ parts }: CastingPlan, partId: string, count: number): string {
  const part = parts.find((one) => one.part.id === partId)?.part;
  if (parts.length > 1) return `${count} × ${part?.name ?? ''}`;
  return part?.perPiece === 2 ? `${count} halves` : counted(count, 'part');
}

function meltSteps({ casting, melts }: CastingPlan, system: UnitSystem): SheetContent['melts'] {
  return melts.map(({ input, plan: { steps, seedKg }, perLotKg, lots }) => ({
    head: `Melt ${chocolateOf(casting, meltOf(casting, input.meltId)).name}, ${SCHOOL_NAMES[input.school]}`,
    amount: `${lots > 1 ? `${lots} times ` : ''}${text(perLotKg - seedKg, 'mass', system)}${seedKg > 0 ? ` and ${text(seedKg, 'mass', system)} of seed, chopped fine` : ''}.`,
    steps: stepWordings(steps, input.way, system).map(({ what, how, after }) => ({ what, how: `${how}: ${after}` })),
  }));
}

/** What each round casts, where rounds differ or there are several parts. */
function roundTexts(plan: CastingPlan): string[] {
  const { runs, byPart } = plan.batch;
  if (runs.length === 1 && byPart.length === 1) return [];
  return runs.map(
    ({ from, count, cast }) =>
      `${count === 1 ? `Round ${from + 1}` : `Rounds ${from + 1} to ${from + count}, each`}: ${byPart.flatMap(({ partId }, i) => (cast[i] > 0 ? [castText(plan, partId, cast[i])] : [])).join(', ')}.`,
  );
}

function partSteps(plan: CastingPlan, made: CastingPlan['parts'][number], system: UnitSystem): SheetSteps {
  const { part, coat, coatsMade, chill, chocolates, moldRecord } = made;
  const pressed = moldRecord.composition.kind === 'press';
  const hands = handlingLine(made);
  const handled = hands && plan.parts.filter((one) => handlingLine(one) === hands).at(-1) === made;
  const several = plan.parts.length > 1;
  const melts = new Set(
    [plan, ...plan.variants.map(({ draft }) => draft)].flatMap(({ parts }) =>
      parts.flatMap((one) => one.coatsMade.flatMap(({ shares }) => shares.map(({ meltId }) => meltId))),
    ),
  );
  return {
    head: several ? part.name : 'Each round',
    steps: [
      ...(part.moldC === undefined
        ? []
        : [{ what: 'The mold', how: `starts at ${text(part.moldC, 'temperature', system)}, dry.` }]),
      ...made.preps.map((prep) => {
        const { of, count } = paintedIn(plan, part.id, prep.step.id);
        return {
          what: `${PREP_WORDS[prep.step.kind].verb}:`,
          how: of + prepStep(plan.casting, prep, count, system),
        };
      }),
      ...stirredIn(plan, made, system),
      ...coatsMade.map((one, i) => {
        const { stay, until } = chill.coats[i];
        const of = melts.size > 1 ? ` ${pouredOf(plan, part.id, i)},` : '';
        const likely = rangeText(stay, system);
        const how = turningOut(made).brief;
        const out = how && lastTurnedOut(plan.parts, made) ? `unmold: ${how}` : 'unmold.';
        const then = { touch: 'the next coat.', holds: 'fill and cap.', unmold: out }[until];
        const sets = Number.isFinite(stay.value)
          ? ` for ${text(stay.value, 'duration', system)}${likely ? ` (${likely})` : ''}${staysOnText(one, system)}, then ${then}`
          : ': it does not set there, see the notes.';
        return {
          what: `${coatNameIn(coatsMade, i)},`,
          how: `${of && chocolates[i] ? `${of.trim()} ` : ''}${madeText(moldRecord, one.method)}: ${pressed ? pressText(coat.coats[i], system) : handsText(one, system)}. ${settingText(one, system)}${sets}`,
        };
      }),
      ...(plan.close?.cap ? [] : toppingSteps(plan, part.id, system)),
      ...(handled ? [{ what: 'Before the cold,', how: `${hands}.` }] : []),
      ...(part.coveredRest && chill.cover.value > 0
        ? [{ what: 'Rest.', how: 'Keep loosely covered until warm.' }]
        : []),
    ],
  };
}

/** What is stirred into each coat of a part, for a part. */
function stirredIn({ casting }: CastingPlan, { coat, coatsMade }: PartDraft, system: UnitSystem): SheetStep[] {
  return coat.coats.flatMap(({ mixed }, i): SheetStep[] => {
    const { mixIn } = coatsMade[i];
    if (!mixed || !mixIn) return [];
    return [
      {
        what: `Stir into ${coatNameIn(coatsMade, i).toLowerCase()}:`,
        how: `${text(mixed.value, 'mass', system)} of ${fillingOf(casting, mixIn.fillingId).name} for each, ${text(mixIn.share, 'share', system)} of its weight.`,
      },
    ];
  });
}

/** Whether a part is turned out as it is, and no later one in the same way: what is said once is not said again. */
function lastTurnedOut(parts: CastingPlan['parts'], made: CastingPlan['parts'][number]): boolean {
  const alike = parts.filter(
    (one) => one.chill.coats.at(-1)?.until === 'unmold' && turningOut(one) === turningOut(made),
  );
  return alike.at(-1) === made;
}

function insideRows(plan: CastingPlan, system: UnitSystem): SheetContent['inside'] {
  return layersOf(plan).map(({ made, layer, names, count }) => {
    const { choice, mass } = layer;
    const jobKg = mass.value * count;
    const need = plan.fillings.find(({ fillingId }) => fillingId === choice.filling.id);
    const components = need?.components ?? [];
    return {
      name: variantPrefix(names) + insideName(plan.parts, made, made.fill.layers.indexOf(layer)),
      each: text(mass.value, 'mass', system),
      job: text(jobKg, 'mass', system) + boilsDown(components, need?.mass.value ?? jobKg, system),
      mixed:
        components.length > 1 ? components.map(({ name, kg }) => `${text(kg, 'mass', system)} ${name}`).join(', ') : '',
    };
  });
}

/** Where what closes a piece sets, and for how long: what is not said is computed. */
function closingSetsText({ sets }: Closure, staySeconds: number, system: UnitSystem): string {
  return sets
    .map(({ place, seconds = staySeconds }) =>
      Number.isFinite(seconds)
        ? `, then ${text(seconds, 'duration', system)} in the ${PLACE_NAMES[place]}`
        : `, then the ${PLACE_NAMES[place]}: it does not set there, see the notes`,
    )
    .join('');
}

function afterSteps(plan: CastingPlan, system: UnitSystem): SheetSteps[] {
  const { casting, close, closings, finishes } = plan;
  const capped = cappedChill(plan);
  const partOf = (partId: string) => plan.parts.find(({ part }) => part.id === partId);
  const sizes =
    closings.length > 1
      ? closings.map(
          ({ partId, count, close: { mass } }) =>
            `${count} × ${partOf(partId)?.part.name ?? ''}${mass.value > 0 ? `, ${text(mass.value, 'mass', system)} each` : ''}`,
        )
      : [];
  const closing = close
    ? [
        {
          head: `Close, ${closingWords(close.closure.kind).name}${sizes.length === 0 && close.mass.value > 0 ? `, ${text(close.mass.value * closings[0].count, 'mass', system)} a piece` : ''}${closingSetsText(close.closure, (capped ?? close).stay?.value ?? 0, system)}`,
          steps: [
            ...(sizes.length > 0 ? [{ what: 'Each by itself:', how: `${sizes.join('; ')}.` }] : []),
            ...closingSteps(close.closure, close.plate?.perWarming.value ?? 1, joinsOf(casting.parts)).map((how) => ({
              what: '',
              how,
            })),
            ...(capped ? toppingSteps(plan, closings[0].partId, system) : []),
            ...(capped ? [{ what: 'Unmold:', how: turningOut(partOf(closings[0].partId) ?? plan).brief }] : []),
          ],
        },
      ]
    : [];
  const finishing = finishes
    .filter(({ wet }) => !wet)
    .map((one) => ({ what: `${capital(FINISH_NAMES[one.finish.kind])}:`, how: finishingText(one, system) }));
  const dipping = plan.parts.flatMap((part) => dipTexts(part, system).map((how) => ({ what: '', how })));
  return [
    ...(dipping.length > 0 ? [{ head: 'Dip, before it goes in', steps: dipping }] : []),
    ...closing,
    ...(finishing.length > 0 ? [{ head: 'Finish', steps: finishing }] : []),
  ];
}

/** What of a finish goes on a piece, and how. */
function finishingText(one: FinishAnswer, system: UnitSystem): string {
  const { finish, chocolate, material, dries } = one;
  const amounts = [
    chocolate && `${text(chocolate.value, 'mass', system)} of chocolate`,
    material && `${text(material.value, 'mass', system)} of ${finish.name}`,
  ];
  return `${amounts.filter(Boolean).join(', ')} a piece. ${finishText(one)}${dries.value > 0 ? ` Dries ${text(dries.value, 'duration', system)}.` : ''}`;
}

/** What goes on the open face of a part before it goes into the cold. */
function toppingSteps(plan: CastingPlan, partId: string, system: UnitSystem): SheetStep[] {
  if (!toppedFace(plan)?.parts.some(({ part }) => part.id === partId)) return [];
  return plan.finishes
    .filter(({ wet }) => wet)
    .map((one) => ({ what: `${capital(FINISH_NAMES[one.finish.kind])}:`, how: finishingText(one, system) }));
}

/** What something comes to in packs, and what of it the pantry lacks. */
function buyText(line: ShoppingLine, currency: string, system: UnitSystem): string {
  const { needed, stock, pack, shopping } = line;
  const amount = (of: number): string => lineAmount(line, of, system);
  const wanted = `${amount(needed)} ${lineName(line, system)}.`;
  if (!shopping || pack === undefined) return wanted;
  const price =
    shopping.cost === undefined || shopping.cost === 0 ? '' : `, ${currency}\u00a0${shopping.cost.toFixed(2)}`;
  const there = stock ? ` ${amount(stock)} is in the pantry:` : '';
  return `${wanted}${there} ${shopping.packs === 0 ? 'nothing to buy' : `${there ? 'buy' : 'Buy'} ${counted(shopping.packs, 'pack')} of ${amount(pack)}${price}`}.`;
}

function cautionText(plan: CastingPlan): string {
  const { piece } = plan;
  const cold = keptCold(plan) ? ` ${KEPT_COLD_TEXT}` : '';
  const mind = allCautions(plan)
    .map((text) => ` ${text}`)
    .join('');
  return `${containsText(piece)}; check every packet and tell your guests.${variantsContain(plan)}${mind} It ${KEEPING_TEXTS[piece.keeping]}.${cold} Follow your local rules and the maker’s instructions; for selling, ask your food authority.`;
}
