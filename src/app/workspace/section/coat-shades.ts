/** The chocolate's own colour for each coat, first the darkest, in steps of lightness. */
export function coatShades(colour: string, coats: number): string[] {
  return Array.from({ length: coats }, (_, i) => lightened(colour, coats === 1 ? 0 : (0.45 * i) / Math.max(1, coats - 1)));
}

// The warm light tone that every chocolate lightens toward.
const TOWARD = [214, 166, 130] as const;

/** A colour brought part of the way, 0 to 1, to the light tone. */
export function lightened(colour: string, share: number): string {
  const channel = (at: number): number => parseInt(colour.slice(at, at + 2), 16);
  const mixed = [1, 3, 5].map((at, i) => Math.round(channel(at) + (TOWARD[i] - channel(at)) * share));
  return `#${mixed.map((c) => c.toString(16).padStart(2, '0')).join('')}`;
}
