import type { ShoppingLine } from '../../state/shopping-list';

/** The shopping list as CSV, grams and whole packs; one line a thing. The CSV package loads only when it is asked for. */
export async function shoppingCsv(lines: readonly ShoppingLine[], currency: string): Promise<string> {
  const { default: papaparse } = await import('papaparse');
  const grams = (kg: number | undefined): string => (kg === undefined ? '' : (kg * 1000).toFixed(1));
  return papaparse.unparse(
    {
      fields: ['what', 'wanted, g', 'in the pantry, g', 'missing, g', 'packs', 'a pack, g', `price, ${currency}`],
      data: lines.map(({ name, neededKg, stockKg, packKg, shopping }) => [
        name,
        grams(neededKg),
        grams(stockKg),
        grams(shopping?.missingKg),
        shopping?.packs ?? '',
        grams(packKg),
        shopping?.cost?.toFixed(2) ?? '',
      ]),
    },
    { escapeFormulae: true },
  );
}
