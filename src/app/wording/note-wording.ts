/** A note as a colleague would say it: what will happen, why, and what the button does. */
export interface NoteWording {
  readonly head: string;
  readonly body: string;
  readonly action: string;
  /** One word for the station's mark. */
  readonly mark: string;
}
