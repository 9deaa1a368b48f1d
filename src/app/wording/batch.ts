import type { ChocolateKind } from '../../core/matter/chocolate';

/** What comes back from tipping out can be used for. */
export function backText(mixed: boolean, kind: ChocolateKind, tinted: boolean): string {
  if (mixed) return 'What comes back is streaked for good: use it for dark coats, or where it is not seen.';
  if (tinted)
    return 'What comes back keeps its colour: spread it on paper, and keep it for touching up. A second batch never matches.';
  return kind === 'compound'
    ? 'What comes back is melted again as it is.'
    : 'What comes back: spread it on paper, let it set, keep it. Melted and tempered again it is as good as new.';
}
