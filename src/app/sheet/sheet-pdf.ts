import type { Content } from 'pdfmake/interfaces';
import type { UnitSystem } from '../../core/quantity/units';
import { grid, head, writePdf } from '../pdf/pdf-document';
import { text, weighedText } from '../wording/format';
import type { SheetContent, SheetSteps } from './sheet-content';

/** Sizes of type, pt: on one page as long as it stays legible. */
const SIZES = [11, 10, 9, 8] as const;

/** The weigh-out sheet as a PDF, on one page as long as the type stays legible. */
export async function sheetPdf(content: SheetContent, system: UnitSystem): Promise<Blob> {
  return writePdf(`Weigh-out, ${content.title}`, system, SIZES, (size) => page(content, system, size));
}

function page(content: SheetContent, system: UnitSystem, size: number): Content {
  return [
    { text: content.title, fontSize: size * 2, bold: true },
    { text: content.lead, color: '#655c53' },
    ...(content.estimate ? [{ text: content.estimate, bold: true }] : []),
    {
      columns: content.times.map(({ name, value }): Content => ({
        stack: [
          { text: name, fontSize: size - 2, color: '#655c53' },
          { text: value, bold: true, fontSize: size + 2 },
        ],
      })),
      margin: [0, size * 0.5, 0, 0],
    },
    ...(content.mind.length > 0
      ? [
          head('Mind', size),
          { ul: content.mind.map(({ what, how }): Content => ({ text: [{ text: `${what} `, bold: true }, how] })) },
        ]
      : []),
    {
      columns: [
        { width: '52%', stack: amounts(content, system, size) },
        { width: '*', stack: work(content, size) },
      ],
      columnGap: 22,
    },
  ];
}

function steps({ head: name, steps: list }: SheetSteps, size: number, amount = ''): Content[] {
  return [
    head(name, size),
    ...(amount ? [{ text: amount }] : []),
    { ol: list.map(({ what, how }): Content => ({ text: what ? [{ text: `${what} `, bold: true }, how] : how })) },
  ];
}

/** What is weighed and melted: the left column. */
function amounts({ tables, melts }: SheetContent, system: UnitSystem, size: number): Content[] {
  const mass = (kg: number | undefined): string => (kg === undefined ? '' : text(kg, 'mass', system));
  const weighed = (kg: number | undefined, stepKg: number): string =>
    kg === undefined ? '' : weighedText(kg, stepKg, system);
  return [
    ...tables.flatMap((table): Content[] => [
      head(table.chocolate, size),
      grid(
        ['', `each ${table.partName}`, 'fullest round', 'whole job'],
        table.rows.map(({ name, use, perPartKg, perRoundKg, jobKg }) =>
          [name, mass(perPartKg), weighed(perRoundKg, table.stepKg), weighed(jobKg, table.stepKg)].map((cell) => ({
            text: cell,
            bold: use === 'sum',
          })),
        ),
      ),
    ]),
    ...melts.flatMap((melt) => steps(melt, size, melt.amount)),
  ];
}

/** What is done with it, and bought: the right column. */
function work({ parts, rounds, inside, after, buy, caution }: SheetContent, size: number): Content[] {
  return [
    ...parts.flatMap((part) => steps(part, size)),
    ...rounds.map((round): Content => ({ text: round })),
    ...(inside.length > 0
      ? [
          head('Inside', size),
          grid(
            ['', 'each piece', 'whole job'],
            inside.map(({ name, each, job, mixed }) => [
              { text: mixed ? `${name}: ${mixed}` : name },
              { text: each },
              { text: job },
            ]),
          ),
        ]
      : []),
    ...after.flatMap((one) => steps(one, size)),
    head('Buy', size),
    ...buy.map((line): Content => ({ text: line })),
    { text: caution, fontSize: size - 1.5, color: '#655c53', margin: [0, size * 0.7, 0, 0] },
  ];
}
