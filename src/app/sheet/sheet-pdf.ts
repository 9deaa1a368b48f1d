import pdfMake from 'pdfmake/build/pdfmake';
import fonts from 'pdfmake/build/vfs_fonts';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { UnitSystem } from '../../core/quantity/units';
import { text, weighedText } from '../wording/format';
import type { SheetContent, SheetSteps } from './sheet-content';
import { fontsIn, missingLetters as lettersMissing, sliceUrl, stretches } from './sheet-letters';

/** Sizes of type tried, pt, until it stands on one page; the last is kept whatever it takes. */
const SIZES = [11, 10, 9, 8] as const;

/** Letters of a sheet that its PDF would leave out, each once. */
export function missingLetters(content: SheetContent): string[] {
  return lettersMissing(JSON.stringify(content));
}

/** The weigh-out sheet as a PDF, on one page of A4, or of Letter where inches are read, as long as the type stays legible. */
export async function sheetPdf(content: SheetContent, system: UnitSystem): Promise<Blob> {
  pdfMake.addVirtualFileSystem(fonts);
  pdfMake.addFonts(
    Object.fromEntries(
      fontsIn(JSON.stringify(content)).map((font) => {
        const url = sliceUrl(font);
        return [font, { normal: url, bold: url }];
      }),
    ),
  );
  let blob: Blob | undefined;
  for (const size of SIZES) {
    let pages = 0;
    const count = (_: number, all: number): string => {
      pages = all;
      return '';
    };
    blob = await pdfMake.createPdf(written({ ...definition(content, system, size), footer: count })).getBlob();
    if (pages <= 1) break;
  }
  if (!blob) throw new Error('no page was written');
  return blob;
}

/** The same document, each text of it in the typefaces that have its letters. */
function written<T>(node: T): T {
  if (Array.isArray(node)) return node.map(written) as T;
  if (typeof node !== 'object' || node === null) return node;
  return Object.fromEntries(
    Object.entries(node).map(([key, value]) => [
      key,
      key === 'text' && typeof value === 'string' ? stretches(value) : written(value),
    ]),
  ) as T;
}

function definition(content: SheetContent, system: UnitSystem, size: number): TDocumentDefinitions {
  return {
    info: { title: `Weigh-out, ${content.title}` },
    pageSize: system === 'us' ? 'LETTER' : 'A4',
    pageMargins: [40, 36, 40, 30],
    defaultStyle: { fontSize: size, lineHeight: 1.12 },
    content: [
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
    ],
  };
}

function head(words: string, size: number): Content {
  return { text: words, bold: true, fontSize: size + 1, margin: [0, size * 0.7, 0, 2] };
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

/** A table with a hairline below each row, its amounts to the right. */
function grid(
  heads: readonly string[],
  rows: readonly (readonly { readonly text: string; readonly bold?: boolean }[])[],
): Content {
  const right = (cell: object, i: number): TableCell =>
    ({ ...cell, alignment: i === 0 ? 'left' : 'right' }) as TableCell;
  return {
    table: {
      headerRows: 1,
      widths: ['*', ...heads.slice(1).map(() => 'auto')],
      body: [heads.map((name, i) => right({ text: name, color: '#655c53' }, i)), ...rows.map((row) => row.map(right))],
    },
    layout: {
      hLineWidth: (i) => (i === 0 ? 0 : 0.5),
      vLineWidth: () => 0,
      hLineColor: () => '#e0d8cc',
      paddingTop: () => 1.5,
      paddingBottom: () => 1.5,
      paddingLeft: (i) => (i === 0 ? 0 : 10),
      paddingRight: () => 0,
    },
  };
}
