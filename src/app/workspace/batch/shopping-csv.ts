import type { UnitSystem } from '../../../core/quantity/units';
import type { ShoppingLine } from '../../state/shopping-list';
import { lineName } from './shopping-row';

/** The shopping list as CSV, grams or pieces, and whole packs; one line a thing. The CSV package loads only when it is asked for. */
export async function shoppingCsv(
  lines: readonly ShoppingLine[],
  currency: string,
  system: UnitSystem,
): Promise<string> {
  const { default: papaparse } = await import('papaparse');
  return papaparse.unparse(
    {
      fields: ['what', 'unit', 'wanted', 'in the pantry', 'missing', 'packs', 'a pack', `price, ${currency}`],
      data: lines.map((line) => {
        const { counted, needed, stock, pack, shopping } = line;
        const amount = (of: number | undefined): string =>
          of === undefined ? '' : counted ? String(of) : (of * 1000).toFixed(1);
        return [
          lineName(line, system),
          counted ? 'pieces' : 'g',
          amount(needed),
          amount(stock),
          amount(shopping?.missing),
          shopping?.packs ?? '',
          amount(pack),
          shopping?.cost?.toFixed(2) ?? '',
        ];
      }),
    },
    { escapeFormulae: true },
  );
}
