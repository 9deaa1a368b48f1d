import pdfMake from 'pdfmake/build/pdfmake';
import fonts from 'pdfmake/build/vfs_fonts';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { UnitSystem } from '../../core/quantity/units';
import { fontsIn, missingLetters as lettersMissing, sliceUrl, stretches } from './letters';

/** Letters of what is to be written that a PDF would leave out, each once. */
export function missingLetters(content: unknown): string[] {
  return lettersMissing(JSON.stringify(content));
}

/**
 * A document as a PDF of A4 pages, or of Letter where inches are read.
 * @param sizes of type tried, pt, until it stands on one page; the last is kept whatever it takes
 */
export async function writePdf(
  title: string,
  system: UnitSystem,
  sizes: readonly number[],
  content: (size: number) => Content,
): Promise<Blob> {
  let blob: Blob | undefined;
  for (const size of sizes) {
    const document: TDocumentDefinitions = {
      info: { title },
      pageSize: system === 'us' ? 'LETTER' : 'A4',
      pageMargins: [40, 36, 40, 30],
      defaultStyle: { fontSize: size, lineHeight: 1.12 },
      content: content(size),
    };
    let pages = 0;
    const count = (_: number, all: number): string => {
      pages = all;
      return '';
    };
    addFonts(JSON.stringify(document));
    blob = await pdfMake.createPdf(written({ ...document, footer: count })).getBlob();
    if (pages <= 1) break;
  }
  if (!blob) throw new Error('no page was written');
  return blob;
}

function addFonts(words: string): void {
  pdfMake.addVirtualFileSystem(fonts);
  pdfMake.addFonts(
    Object.fromEntries(
      fontsIn(words).map((font) => {
        const url = sliceUrl(font);
        return [font, { normal: url, bold: url }];
      }),
    ),
  );
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

/** A heading. */
export function head(words: string, size: number): Content {
  return { text: words, bold: true, fontSize: size + 1, margin: [0, size * 0.7, 0, 2] };
}

/** A table with a hairline below each row, its amounts to the right. */
export function grid(
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
