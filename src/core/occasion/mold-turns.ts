import type { Bare } from '../batch/stretch';
import { HANDS_ON } from '../matter/working-rules';
import type { Work } from './work';

/** A washed mold is dry again after so long, s: shaken out and wiped, the rest of it in the air. Common practice, no source. */
const DRIES_S = 900;

interface Turn {
  readonly castingId: string;
  readonly chocolateId: string;
  /** What empties it. */
  readonly outs: readonly number[];
}

/** Whose turn it is in each mold: it is used again once it is empty, and washed and dried before another chocolate. */
export class MoldTurns {
  private readonly turns = new Map<string, Turn>();
  private readonly taken = new Map<string, Turn>();

  constructor(private readonly work: Work) {}

  /**
   * What must be over before something is cast in a mold, and what is waited for after that.
   * @param molds how many of it are used at once
   */
  free(
    moldId: string,
    castingId: string,
    chocolateId: string,
    molds: number,
  ): { readonly after: readonly number[]; readonly waits: readonly Bare[] } {
    const last = this.turns.get(moldId);
    if (!last) return { after: [], waits: [] };
    if (last.castingId === castingId || last.chocolateId === chocolateId) return { after: last.outs, waits: [] };
    const seconds = HANDS_ON.washPerMold * molds;
    const wash = this.work.add({ castingId, kind: 'wash', handsOn: true, seconds, moldId });
    for (const out of last.outs) this.work.lag(out, wash, { least: 0 });
    this.turns.set(moldId, { castingId, chocolateId, outs: [wash] });
    return { after: [wash], waits: [{ kind: 'chill', handsOn: false, seconds: DRIES_S, place: 'room' }] };
  }

  /** A mold has been used from one task to another: free for those of the next round, see `next`. */
  use(moldId: string, castingId: string, chocolateId: string, from: number, out: number): void {
    this.work.moldUses.push({ moldId, castingId, from, to: out });
    const outs = this.taken.get(moldId)?.outs ?? [];
    this.taken.set(moldId, { castingId, chocolateId, outs: [...outs, out] });
  }

  /** What follows is of another round. */
  next(): void {
    for (const [moldId, turn] of this.taken) this.turns.set(moldId, turn);
    this.taken.clear();
  }
}
