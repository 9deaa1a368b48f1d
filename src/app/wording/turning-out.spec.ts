import { draftPlan } from '../../core/plan/draft';
import type { PlanDraft } from '../../core/plan/plan-types';
import type { Casting } from '../../core/record/casting';
import { methodsFor } from '../../core/plan/methods';
import { demoCastings } from '../../data/demo';
import { SHIPPED_MOLDS } from '../../data/mold-library';
import { resistsText, touchedText, trimmedText, turningOut, waitingText } from './turning-out';

const [bombs] = demoCastings(new Date('2026-10-12T08:00:00Z'));

/** The demo's bombs, cast by themselves in one cavity of another mold. */
function castIn(moldId: string, at = 0, more: Partial<Casting['molds'][number]> = {}): PlanDraft {
  const shipped = SHIPPED_MOLDS.find(({ id }) => id === moldId);
  if (!shipped) throw new Error(`no mold ${moldId}`);
  const mold = { ...shipped, ...more };
  const cavity = mold.cavities[at];
  const [part] = bombs.parts;
  const [method] = methodsFor(mold, cavity);
  const turned = cavity.shape.kind === 'turned' && mold.material !== 'silicone';
  const coats = part.coats.slice(0, 1).map((coat) => ({ ...coat, method: turned ? ('turn' as const) : method }));
  return draftPlan({
    ...bombs,
    molds: [mold],
    closure: null,
    fill: [],
    parts: [{ ...part, moldId: mold.id, cavityId: cavity.id, perPiece: 1, coats }],
  });
}

/** Mold, cavity, and what one reads of it. Common practice, no source. */
const OUT: readonly (readonly [string, number, RegExp])[] = [
  ['rounds', 0, /Flex the mold along each side/],
  ['discs', 0, /Flex the mold along each side/],
  ['cups', 0, /Push up from below/],
  ['bells', 0, /Push up from below/],
  ['bowl', 0, /lift the mold away/],
  ['gems', 0, /Tap its edge lightly/],
  ['cones', 0, /Tap its edge lightly/],
  ['balloon', 0, /let the air out slowly/],
  ['mixed', 0, /Push up from below/],
];

describe('how a part comes out of its mold', () => {
  it.each(OUT)('%s, cavity %i', (mold, at, words) => {
    expect(turningOut(castIn(mold, at)).how.join(' ')).toMatch(words);
  });

  it('is told of every cavity that is shipped, in sentences, and in one line', () => {
    for (const mold of SHIPPED_MOLDS)
      mold.cavities.forEach((_, at) => {
        const { ready, how, brief } = turningOut(castIn(mold.id, at));
        for (const sentence of [ready, ...how]) expect(sentence).toMatch(/^[A-Zo].*[.;]$/);
        expect(brief).toMatch(mold.material === 'glass' ? /^$/ : /^[a-z].*\.$/);
      });
  });

  it('says what is trimmed and goes back, and where halves wait while the mold is used again', () => {
    expect(trimmedText(castIn('acorns'))).toContain('snaps off once it is set');
    expect(trimmedText(castIn('bombs'))).toBe('');
    expect(waitingText(3)).toContain('while the mold is used again');
    expect(waitingText(1)).toBe('');
  });

  it('never cuts glass off food, cuts a plastic bottle, opens a tin', () => {
    const glass = turningOut(castIn('bottle', 0, { material: 'glass' }));
    expect(glass.how.join(' ')).toContain('never cut or broken off food');
    expect(turningOut(castIn('bottle')).how.join(' ')).toContain('Cut slowly');
    expect(turningOut(castIn('bottle', 0, { material: 'tin' })).how.join(' ')).toContain('do not lift it again');
  });

  it('says what to do where it resists, and what to wear; what is large and hollow is carried with both hands', () => {
    expect(resistsText('freezer')).toContain('5 min more in the freezer');
    expect(resistsText('room')).toContain('5 min in the fridge');
    expect(touchedText(castIn('bells'))).toMatch(/^A bare finger prints it within seconds: thin gloves/);
    expect(touchedText(castIn('bells'))).not.toContain('both hands');
    expect(touchedText(castIn('balloon'))).toContain('both hands');
  });
});
