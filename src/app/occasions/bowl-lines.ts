import type { OccasionPlan } from '../../core/occasion/occasion-plan';
import { text } from '../wording/format';
import { bowlText, letterOf, type Told } from '../wording/occasion';

/** A bowl as it is listed. */
export interface BowlLine {
  readonly name: string;
  readonly colour: string;
  readonly kg: string;
  readonly at: string;
  /** For which castings, and how much of it each uses: "A 404 g, C 58 g". */
  readonly uses: string;
  readonly saves: string;
  readonly made: string;
}

/** Less than this is not told as saved, kg. */
const LEAST_SAVED_KG = 0.0005;

/** What is melted for all castings: each bowl, for which of them, and what sharing it saves. */
export function bowlLines(
  bowls: OccasionPlan['bowls'],
  { castings, system }: Pick<Told, 'castings' | 'system'>,
): readonly BowlLine[] {
  const mass = (kg: number): string => text(kg, 'mass', system);
  return bowls.map((bowl, i) => {
    const used = new Map<string, number>();
    for (const { castingId, usedKg } of bowl.uses) used.set(castingId, (used.get(castingId) ?? 0) + usedKg);
    const savedKg = bowl.apartKg - bowl.kg;
    return {
      name: bowl.name,
      colour: bowl.colour,
      kg: mass(bowl.kg),
      at: text(bowl.workingC, 'temperature', system),
      uses: [...used]
        .map(([id, kg]) => `${letterOf(castings.findIndex((one) => one.id === id))} ${mass(kg)}`)
        .join(', '),
      saves: savedKg > LEAST_SAVED_KG ? `${mass(savedKg)} less than each by itself` : '',
      made: bowlText(bowl, i, bowls, system),
    };
  });
}
