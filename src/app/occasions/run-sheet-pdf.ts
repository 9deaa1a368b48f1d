import type { Content, TableCell } from 'pdfmake/interfaces';
import type { UnitSystem } from '../../core/quantity/units';
import { grid, head, writePdf } from '../pdf/pdf-document';
import type { RunSheetContent } from './run-sheet-content';

/** Sizes of type, pt: a night's work takes pages anyway. */
const SIZES = [10] as const;
const SOFT = '#655c53';

/** The run sheet as a PDF: everything by its time, then what is melted and what is bought. */
export async function runSheetPdf(content: RunSheetContent, system: UnitSystem): Promise<Blob> {
  return writePdf(`Run sheet, ${content.title}`, system, SIZES, (size) => page(content, size));
}

function page({ title, lead, days, bowls, shopping, costs }: RunSheetContent, size: number): Content {
  return [
    { text: title, fontSize: size * 2, bold: true },
    { text: lead, color: SOFT },
    ...days.flatMap(({ name, lines }): Content[] => [
      head(name, size),
      {
        table: {
          widths: [34, 16, '*', 'auto', 'auto'],
          dontBreakRows: true,
          body: lines.map(({ at, mark, what, amounts, takes, handsOn }): TableCell[] => [
            { text: at, bold: true },
            { text: mark, bold: true },
            { text: what, ...(handsOn ? {} : { color: SOFT }) },
            { text: amounts },
            { text: takes, alignment: 'right', color: SOFT },
          ]),
        },
        layout: {
          hLineWidth: (i) => (i === 0 ? 0 : 0.5),
          vLineWidth: () => 0,
          hLineColor: () => '#e0d8cc',
          paddingTop: () => 1.5,
          paddingBottom: () => 1.5,
        },
      },
    ]),
    head('Bowls', size),
    ...bowls.map((line): Content => ({ text: line })),
    head('Shopping', size),
    grid(
      ['what', 'wanted', 'in the pantry', 'buy', 'price'],
      shopping.map((row) => row.map((cell) => ({ text: cell }))),
    ),
    ...costs.map((line): Content => ({ text: line, margin: [0, 3, 0, 0] })),
  ];
}
