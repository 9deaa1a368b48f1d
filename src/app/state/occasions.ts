import { Injectable, computed, inject } from '@angular/core';
import type { Casting } from '../../core/record/casting';
import { OCCASION_SCHEMA_VERSION, OccasionSchema, type Occasion } from '../../core/record/occasion';
import { writeOccasionFile, type PackedOccasion } from '../../data/occasion-file';
import { newId } from './new-id';
import { OccasionStorage } from './occasion-storage';
import { RecordLibrary } from './record-library';
import { saveFile } from './save-file';

/** Occasions: listed, edited, copied, deleted, exported with their castings; all of it undone with everything else. */
@Injectable({ providedIn: 'root' })
export class Occasions extends RecordLibrary<Occasion> {
  /** The occasion that each casting belongs to. */
  private readonly byCasting = computed(
    () => new Map(this.records().flatMap((occasion) => occasion.castingIds.map((id) => [id, occasion] as const))),
  );

  constructor() {
    super(inject(OccasionStorage), {
      key: 'occasions',
      plural: 'occasions',
      accepts: (occasion) => OccasionSchema.safeParse(occasion).success,
    });
  }

  /** The occasion that a casting belongs to, if any. */
  of(castingId: string): Occasion | undefined {
    return this.byCasting().get(castingId);
  }

  /** Those of its castings that there are, in its order. */
  castingsOf({ castingIds }: Pick<Occasion, 'castingIds'>): readonly Casting[] {
    const byId = new Map(this.castings.castings().map((casting) => [casting.id, casting]));
    return castingIds.flatMap((id) => byId.get(id) ?? []);
  }

  /** A new occasion of some castings, ready when the first of them is due. */
  create(castings: readonly Casting[], due: Casting['due']): Occasion {
    const occasion: Occasion = {
      schemaVersion: OCCASION_SCHEMA_VERSION,
      id: newId(),
      name: this.freeName('New occasion'),
      createdAt: new Date().toISOString(),
      due: castings[0]?.due ?? due,
      castingIds: castings.map(({ id }) => id),
      people: 1,
      stays: [],
      holds: [],
    };
    this.keep({ before: [], after: [occasion], label: 'new occasion' });
    return occasion;
  }

  /** Takes a casting in; it belongs to one occasion at most, and leaves the one it was in. */
  put(castingId: string, occasionId: string): void {
    const [to, from] = [this.byId().get(occasionId), this.of(castingId)];
    if (!to || from?.id === to.id) return;
    const without = from ? [{ ...from, castingIds: from.castingIds.filter((id) => id !== castingId) }] : [];
    const after = { ...to, castingIds: [...to.castingIds, castingId] };
    if (!OccasionSchema.safeParse(after).success) {
      this.notices.say({ text: `“${to.name}” holds as many castings as it can.` });
      return;
    }
    this.keep({ before: [to, ...(from ? [from] : [])], after: [after, ...without], label: `casting into ${to.name}` });
  }

  /** Takes a casting out, and lets go of what is held of it. */
  takeOut(castingId: string): void {
    const from = this.of(castingId);
    if (!from) return;
    this.edit(from.id, 'casting', (draft) => {
      draft.castingIds = draft.castingIds.filter((id) => id !== castingId);
      draft.holds = draft.holds.filter(({ operation }) => !operation.startsWith(`${castingId}/`));
    });
  }

  /** A copy of an occasion has copies of its castings: none belongs to two. */
  copy(occasion: Occasion): Occasion {
    return this.unpacked({ ...occasion, castings: this.castingsOf(occasion) }, true, `copy ${occasion.name}`);
  }

  remove(occasion: Occasion): void {
    this.removed(occasion, occasion.castingIds.length > 0 ? ' Its castings stay.' : '');
  }

  /** Takes occasions with their castings from a file. */
  takePacked(packed: readonly PackedOccasion[]): void {
    for (const one of packed) this.unpacked(one, false, 'import of occasions');
    this.notices.say({ text: `Added ${packed.length} ${packed.length === 1 ? 'occasion' : 'occasions'}.` });
  }

  export(occasions: readonly Occasion[]): void {
    const packed = occasions.map((occasion) => ({ ...occasion, castings: this.castingsOf(occasion) }));
    const name = occasions.length === 1 ? occasions[0].name : 'occasions';
    saveFile(`Kilnstone ${name}.json`, 'application/json', writeOccasionFile(packed, new Date()));
  }

  private unpacked({ castings, ...occasion }: PackedOccasion, anew: boolean, label: string): Occasion {
    const ids = new Map(castings.map(({ id }) => [id, anew || this.isTaken(id) ? newId() : id]));
    const fresh: Occasion = {
      ...structuredClone(occasion),
      id: newId(),
      name: this.freeName(occasion.name),
      createdAt: new Date().toISOString(),
      castingIds: occasion.castingIds.map((id) => ids.get(id) ?? id),
      holds: occasion.holds.map((hold) => ({ ...hold, operation: renamed(hold.operation, ids) })),
    };
    const added = castings.map((casting) => ({ ...casting, id: ids.get(casting.id) ?? casting.id }));
    this.keep({ before: [], after: [fresh], label, added });
    return fresh;
  }

  private isTaken(id: string): boolean {
    return this.castings.castings().some((casting) => casting.id === id);
  }
}

/** What is held names the casting it is of first. */
function renamed(operation: string, ids: ReadonlyMap<string, string>): string {
  const [castingId, ...rest] = operation.split('/');
  return [ids.get(castingId) ?? castingId, ...rest].join('/');
}
