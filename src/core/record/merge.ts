type Plain = Readonly<Record<string, unknown>>;

/** Fields that say which of several forms a record has: what else it holds depends on them. */
const FORMS = ['kind', 'by'] as const;

/**
 * Merges two changes of one plain record, field by field, from the state that both began with. What only one of them changed is taken
 * from it; entries of lists are told apart by their ids, where they have them. What both changed is taken from the one that wins; a list
 * without ids, and a record that took another form, is taken whole.
 *
 * Does not know what a record may hold: fields that depend on each other can come out at odds, so the result is to be checked.
 * Gives back one of its inputs where nothing has to be merged.
 */
export function mergeRecords<T>(base: T, mine: T, theirs: T, wins: 'mine' | 'theirs'): T {
  return merged(base, mine, theirs, wins === 'mine') as T;
}

function merged(base: unknown, mine: unknown, theirs: unknown, mineWins: boolean): unknown {
  if (alike(mine, base)) return theirs;
  if (alike(theirs, base) || alike(mine, theirs)) return mine;
  if (isPlain(base) && isPlain(mine) && isPlain(theirs) && sameForm(base, mine) && sameForm(base, theirs))
    return mergedFields(base, mine, theirs, mineWins);
  if (Array.isArray(base) && Array.isArray(mine) && Array.isArray(theirs)) {
    if ([base, mine, theirs].every(hasIds))
      return mergedEntries(base as Entry[], mine as Entry[], theirs as Entry[], mineWins);
    if (base.length === mine.length && base.length === theirs.length)
      return base.map((one, i) => merged(one, mine[i], theirs[i], mineWins));
  }
  return mineWins ? mine : theirs;
}

function mergedFields(base: Plain, mine: Plain, theirs: Plain, mineWins: boolean): Plain {
  const fields: Record<string, unknown> = {};
  for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
    const value = merged(base[key], mine[key], theirs[key], mineWins);
    if (value !== undefined) fields[key] = value;
  }
  return fields;
}

type Entry = Plain & { readonly id: string };

function mergedEntries(
  base: readonly Entry[],
  mine: readonly Entry[],
  theirs: readonly Entry[],
  mineWins: boolean,
): Entry[] {
  const [inBase, inMine, inTheirs] = [base, mine, theirs].map(
    (list) => new Map(list.map((entry) => [entry.id, entry])),
  );
  const kept = (id: string): Entry | undefined =>
    merged(inBase.get(id), inMine.get(id), inTheirs.get(id), mineWins) as Entry | undefined;
  const reordered = !alike(
    base.map(({ id }) => id),
    mine.map(({ id }) => id),
  );
  const [first, second] = reordered ? [mine, theirs] : [theirs, mine];
  const order = [...new Set([...first, ...second].map(({ id }) => id))];
  return order.flatMap((id) => kept(id) ?? []);
}

function sameForm(a: Plain, b: Plain): boolean {
  return FORMS.every((key) => typeof a[key] !== 'string' || a[key] === b[key]);
}

/** Whether two plain values hold the same. A field that is left out is as one that is undefined. */
export function alike(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((one, i) => alike(one, b[i]));
  if (!isPlain(a) || !isPlain(b)) return false;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((key) => alike(a[key], b[key]));
}

function hasIds(list: readonly unknown[]): boolean {
  return list.every((entry) => isPlain(entry) && typeof entry['id'] === 'string');
}

function isPlain(value: unknown): value is Plain {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
