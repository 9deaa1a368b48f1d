/** How light a colour "#rrggbb" looks, 0 to 255: the weights of ITU-R BT.601. */
export function lightness(colour: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(colour.slice(at, at + 2), 16));
  return 0.299 * r + 0.587 * g + 0.114 * b;
}
