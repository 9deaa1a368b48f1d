import type { SavedState, StoredKind } from '../../data/kept-kinds';

const ONE: Readonly<Record<StoredKind, string>> = {
  castings: 'casting',
  molds: 'mold',
  pantry: 'pantry record',
  kitchens: 'kitchen',
  occasions: 'occasion',
  runs: 'run',
};
const SEVERAL: Readonly<Record<StoredKind, string>> = {
  castings: 'castings',
  molds: 'molds',
  pantry: 'pantry records',
  kitchens: 'kitchens',
  occasions: 'occasions',
  runs: 'runs',
};

/** What is the matter with keeping castings, and what to do; nothing where all is well. */
export const STORAGE_TROUBLES: Readonly<Partial<Record<SavedState, string>>> = {
  silent:
    'The browser’s database does not answer, so what is stored is not shown; these are the shipped castings, and nothing is saved. What is stored is not lost: close other tabs of Kilnstone, then try again.',
  memory:
    'This browser does not let Kilnstone store anything. Your castings last until this tab is closed: export them before you go.',
  full: 'The browser’s storage is full, so the latest changes are kept in this tab only. Export everything, then free some space; saving is tried again at your next change.',
};

/** Records that are stored and cannot be read, counted by kind. */
export function unreadableText(counts: readonly { readonly kind: StoredKind; readonly count: number }[]): string {
  const named = counts
    .map(({ kind, count }) => `${count} stored ${count === 1 ? ONE[kind] : SEVERAL[kind]}`)
    .join(' and ');
  const one = counts.reduce((sum, { count }) => sum + count, 0) === 1;
  return `${named} could not be read and ${one ? 'is' : 'are'} left as ${one ? 'it is' : 'they are'} in the browser. Everything else is here.`;
}

/** Everything stored had been cleared while the page was open. */
export const RESTORED =
  'What this browser had stored of Kilnstone was cleared while this page was open. All that this tab holds has been saved again.';

/** "12 MB", "58 GB". */
export function bytesText(bytes: number): string {
  return bytes < 1e9 ? `${Math.max(1, Math.round(bytes / 1e6))} MB` : `${Math.round(bytes / 1e9)} GB`;
}

/** Whether the app is here to be used without a network. */
export function filesText(files: { readonly here: number; readonly all: number } | undefined, online: boolean): string {
  if (!online) return 'There is no network now. What you see comes from this browser.';
  if (!files)
    return 'Kilnstone itself is not kept here yet: it needs its server. Browsers keep it over https or on this computer itself, half a minute after it was opened first.';
  return files.here === files.all
    ? `All ${files.all} files of Kilnstone are here: it works without a network, and can be installed from the browser’s menu.`
    : `${files.here} of ${files.all} files of Kilnstone are here; when all are, it works without a network.`;
}
