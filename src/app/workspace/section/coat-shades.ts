/** The chocolate's own colour for each coat, first the darkest, in steps of lightness. */
export function coatShades(colour: string, coats: number): string[] {
  return Array.from({ length: coats }, (_, i) => lightened(colour, coats === 1 ? 0 : (0.42 * i) / Math.max(1, coats - 1)));
}

function lightened(colour: string, share: number): string {
  const channel = (at: number): number => parseInt(colour.slice(at, at + 2), 16);
  const mixed = [1, 3, 5].map((at) => Math.round(channel(at) + (236 - channel(at)) * share));
  return `#${mixed.map((c) => Math.min(255, c).toString(16).padStart(2, '0')).join('')}`;
}
