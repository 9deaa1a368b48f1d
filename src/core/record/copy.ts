/** A deep copy of a plain record, to be changed freely: records hold nothing but what JSON holds. */
export function copyOf<T>(record: T): T {
  return JSON.parse(JSON.stringify(record)) as T;
}

/** Puts a copy into a list of a casting; one that is there already stays, unless it is to be renewed. */
export function putCopy<T extends { readonly id: string }>(list: T[], copy: T, renewed: boolean): void {
  const at = list.findIndex(({ id }) => id === copy.id);
  if (at < 0) list.push(copy);
  else if (renewed) list[at] = copy;
}
