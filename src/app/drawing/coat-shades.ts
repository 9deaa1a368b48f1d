import type { Casting } from '../../core/record/casting';
import { chocolateOf, meltOf } from '../../core/record/references';
import type { Shade } from './streak-patterns';
import type { PartDraft } from '../../core/plan/plan-types';

/** Each coat in its chocolate's own colour; coats of one colour that follow each other in steps of lightness, the first the darkest. */
export function coatShades(colours: readonly string[]): string[] {
  const most = Math.max(1, colours.length - 1);
  let alike = 0;
  return colours.map((colour, i) => {
    alike = i > 0 && colours[i - 1] === colour ? alike + 1 : 0;
    return lightened(colour, (0.45 * alike) / most);
  });
}

/** A part's coats as they are drawn, each by a pattern of its own where it is marbled. */
export function shadesOf(
  casting: Casting,
  { chocolates, coatsMade }: Pick<PartDraft, 'chocolates' | 'coatsMade'>,
  name: string,
): Shade[] {
  const plain = coatShades(chocolates.map(({ colour }) => colour));
  return coatsMade.map(({ shares }, i) => ({
    id: `${name}-${i}`,
    plain: plain[i],
    streak: shares.length > 1 ? chocolateOf(casting, meltOf(casting, shares[1].meltId)).colour : undefined,
  }));
}

// The warm light tone that every chocolate lightens toward.
const TOWARD = [214, 166, 130] as const;

/** A colour brought part of the way, 0 to 1, to the light tone. */
export function lightened(colour: string, share: number): string {
  const channel = (at: number): number => parseInt(colour.slice(at, at + 2), 16);
  const mixed = [1, 3, 5].map((at, i) => Math.round(channel(at) + (TOWARD[i] - channel(at)) * share));
  return `#${mixed.map((c) => c.toString(16).padStart(2, '0')).join('')}`;
}
