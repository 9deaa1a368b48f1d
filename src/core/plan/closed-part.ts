import type { Casting, Part } from '../record/casting';
import { closesFilled } from '../record/closing';

/** The part whose rim or mouth a closing works on: for a cap the one that is filled, else the first. */
export function closedPart<T extends { readonly part: Part }>(casting: Casting, parts: readonly T[]): T {
  const id = closedPartId(casting);
  return parts.find(({ part }) => part.id === id) ?? parts[0];
}

/** The same by its id. */
export function closedPartId({ closure, fill, parts }: Casting): string {
  return closesFilled(closure) && fill.length > 0 ? fill[0].partId : parts[0].id;
}
