/** How deep a colour is wanted. */
export const SHADES = ['pale', 'clear', 'deep', 'black'] as const;
export type Shade = (typeof SHADES)[number];

/**
 * Oil-based colour for 100 g of chocolate to begin with, g: pale pink takes next to none, black much even on a dark base. Working rules:
 * colours differ, so it goes in by small steps.
 */
export const SHADE_G: Readonly<Record<Shade, number>> = { pale: 0.1, clear: 0.5, deep: 2, black: 6 };

/** A drop of oil-based colour, g. From memory. */
const DROP_G = 0.04;

/** Drops of colour in so many kilograms of it, to the nearest. */
export function colourDrops(kg: number): number {
  return Math.round((kg * 1000) / DROP_G);
}
