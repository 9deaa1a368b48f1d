import type { CastingPlan, Problem } from '../plan/plan-types';
import { CAUSES, CAUSE_KEYS, STRAY, WARNED, type Cause } from './causes';
import type { Finding } from './findings';
import { QUESTIONS, QUESTION_KEYS, type Question } from './questions';

/** What is known: answers, by whoever was there or by the plan, and what the plan warns of, where there is one. */
export interface Known {
  readonly answers: ReadonlyMap<Question, boolean>;
  readonly warned?: ReadonlySet<Problem['key']> | undefined;
}

/** What speaks for a cause or against it: an answer, or a note of the plan. */
export type Evidence = { readonly times: number } & (
  { readonly question: Question; readonly is: boolean } | { readonly problem: Problem['key'] }
);

/** A cause, how likely it is by all that is known, 0 to 1, and what speaks for it and against it, the weightiest first. */
export interface Suspect {
  readonly cause: Cause;
  readonly share: number;
  readonly evidence: readonly Evidence[];
}

/** Evidence that makes a cause less than this more or less likely is not told. */
const WORTH_TELLING = 1.3;
/** A question is worth asking that is expected to tell so much, bits. */
const WORTH_ASKING = 0.05;

/**
 * The causes of a finding, likeliest first, by Bayes' rule on the tables of causes and questions, each answer taken for independent of the others where the
 * cause is known. Shares add up to 1.
 */
export function suspects(finding: Finding, known: Known): readonly Suspect[] {
  const weighed = CAUSE_KEYS.map((cause) => {
    const evidence = evidenceOf(cause, known);
    const { usual, gives } = CAUSES[cause];
    const weight = evidence.reduce((product, { times }) => product * times, usual * (gives[finding] ?? STRAY));
    return { cause, weight, evidence };
  });
  const sum = weighed.reduce((all, { weight }) => all + weight, 0);
  return weighed
    .map(({ cause, weight, evidence }) => ({
      cause,
      share: weight / sum,
      evidence: evidence
        .filter(({ times }) => Math.max(times, 1 / times) >= WORTH_TELLING)
        .sort((a, b) => Math.abs(Math.log(b.times)) - Math.abs(Math.log(a.times))),
    }))
    .sort((a, b) => b.share - a.share);
}

function evidenceOf(cause: Cause, { answers, warned }: Known): Evidence[] {
  const ofAnswers = [...answers].map(([question, is]): Evidence => {
    const yes = yesOf(cause, question);
    const { usually } = QUESTIONS[question];
    return { question, is, times: is ? yes / usually : (1 - yes) / (1 - usually) };
  });
  const ofWarnings = (CAUSES[cause].warned ?? [])
    .filter((problem) => warned?.has(problem))
    .slice(0, 1)
    .map((problem): Evidence => ({ problem, times: WARNED.where / WARNED.else }));
  return [...ofAnswers, ...ofWarnings];
}

const yesOf = (cause: Cause, question: Question): number => CAUSES[cause].yes[question] ?? QUESTIONS[question].usually;

/** The question that is expected to tell most of what is not known yet; undefined where none tells enough. @param unknown what nobody can answer */
export function nextQuestion(
  finding: Finding,
  known: Known,
  unknown: ReadonlySet<Question> = new Set(),
): Question | undefined {
  const now = suspects(finding, known);
  return QUESTION_KEYS.filter((question) => !unknown.has(question) && isOpen(question, known))
    .map((question) => ({ question, bits: gainOf(question, now) }))
    .filter(({ bits }) => bits > WORTH_ASKING)
    .sort((a, b) => b.bits - a.bits)
    .at(0)?.question;
}

/** Neither answered nor pointless. */
function isOpen(question: Question, { answers }: Known): boolean {
  const { only } = QUESTIONS[question];
  return !answers.has(question) && (!only || (answers.get(only.question) ?? only.is) === only.is);
}

/** By how much it is expected to become surer which cause it is, bits: the mutual information of the answer and the cause. */
function gainOf(question: Question, now: readonly Suspect[]): number {
  const bits = (p: number): number => (p <= 0 || p >= 1 ? 0 : -p * Math.log2(p) - (1 - p) * Math.log2(1 - p));
  const yes = now.reduce((sum, { cause, share }) => sum + share * yesOf(cause, question), 0);
  return bits(yes) - now.reduce((sum, { cause, share }) => sum + share * bits(yesOf(cause, question)), 0);
}

/** What a plan knows of the questions, and what it warns of. */
export function knownOf(plan: CastingPlan): Known {
  const answers = QUESTION_KEYS.flatMap((question): [Question, boolean][] => {
    const told = QUESTIONS[question].told?.(plan);
    return told === undefined ? [] : [[question, told]];
  });
  return { answers: new Map(answers), warned: new Set(plan.problems.map(({ key }) => key)) };
}
