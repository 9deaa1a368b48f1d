/** One thing to choose. */
export interface Option<T extends string> {
  readonly value: T;
  readonly name: string;
  /** What kind of thing it is: the heading it stands under in a long list, where what has none comes first. */
  readonly group?: string;
  /** A colour that stands before its name. */
  readonly colour?: string;
}
