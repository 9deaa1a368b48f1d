import emoji from '@fontsource/noto-emoji/unicode.json';
import korean from '@fontsource/noto-sans-kr/unicode.json';
import chinese from '@fontsource/noto-sans-sc/unicode.json';

/** A typeface of one more script, in slices by their ranges of letters; the first that has a letter writes it. */
interface Script {
  readonly family: string;
  readonly slices: readonly (readonly [name: string, ranges: readonly (readonly [number, number])[]])[];
}

/** A stretch of text in one typeface; in the sheet's own where none is named. */
export interface Stretch {
  readonly text: string;
  readonly font?: string;
}

/** What the PDF's own typeface has letters for: Latin with its accents, Greek, Cyrillic, and the signs that the sheet uses. */
const OWN =
  /[ -\u024f\u02c6-\u02dd\u0384-\u04ff\u1e00-\u1eff\u2010-\u2026\u2030-\u203a\u20a0-\u20bf\u2122\u2212\u2248\u2260-\u2265]/u;
/** Joiners and variants between letters: nothing to be drawn. */
const UNDRAWN = /\u200b|\u200c|\u200d|\ufe0e|\ufe0f/gu;

const SCRIPTS: readonly Script[] = [
  script('noto-emoji', emoji),
  script('noto-sans-sc', chinese),
  script('noto-sans-kr', korean),
];

/** @param ranges of letters by slice: "U+65e5,U+672c-6731" */
function script(family: string, ranges: Readonly<Record<string, string>>): Script {
  return {
    family,
    slices: Object.entries(ranges).map(([slice, list]) => [
      `${family}-${slice.replace(/[[\]]/g, '')}`,
      list.split(',').map((range) => {
        const [from, to = from] = range.replace(/^U\+/i, '').split('-');
        return [parseInt(from, 16), parseInt(to, 16)] as const;
      }),
    ]),
  };
}

/** The slice that has a letter: its own typeface's '', or undefined where none has it. */
function fontOf(letter: string): string | undefined {
  if (OWN.test(letter)) return '';
  const code = letter.codePointAt(0) ?? 0;
  for (const { slices } of SCRIPTS)
    for (const [name, ranges] of slices) if (ranges.some(([from, to]) => from <= code && code <= to)) return name;
  return undefined;
}

/** Text in stretches of one typeface each; what no typeface has is left in the sheet's own. */
export function stretches(text: string): Stretch[] {
  const found: { text: string; font?: string }[] = [];
  for (const letter of text.replace(UNDRAWN, '')) {
    const font = fontOf(letter) || undefined;
    const last = found.at(-1);
    if (last && last.font === font) last.text += letter;
    else found.push(font ? { text: letter, font } : { text: letter });
  }
  return found;
}

/** Typefaces beside its own that a text takes. */
export function fontsIn(text: string): string[] {
  return [...new Set(stretches(text).flatMap(({ font }) => font ?? []))];
}

/** Letters that no typeface of the PDF has, each once. */
export function missingLetters(text: string): string[] {
  return [...new Set(text.replace(UNDRAWN, ''))].filter((letter) => fontOf(letter) === undefined);
}

/** Where the slice of a typeface lies, from the page's own address: as WOFF, since the PDF package takes no outlines out of WOFF2. */
export function sliceUrl(font: string): string {
  return new URL(`fonts/${font}-400-normal.woff`, document.baseURI).href;
}
