/** A deep copy of a plain record, to be changed freely: records hold nothing but what JSON holds. */
export function copyOf<T>(record: T): T {
  return JSON.parse(JSON.stringify(record)) as T;
}
