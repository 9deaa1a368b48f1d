import { Injectable, computed, inject } from '@angular/core';
import type { Casting } from '../../core/record/casting';
import { OCCASION_SCHEMA_VERSION, OccasionSchema, type Occasion } from '../../core/record/occasion';
import { MOST_OF_OCCASION } from '../../core/record/limits';
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

  /** A new occasion, without castings. */
  create(due: Casting['due']): Occasion {
    const occasion = this.fresh(due);
    this.keep({ before: [], after: [occasion], label: 'new occasion' });
    return occasion;
  }

  private fresh(due: Casting['due']): Occasion {
    return {
      schemaVersion: OCCASION_SCHEMA_VERSION,
      id: newId(),
      name: this.freeName('New occasion'),
      createdAt: new Date().toISOString(),
      due,
      castingIds: [],
      people: 1,
      stays: [],
      holds: [],
      breakS: 0,
      inTurn: false,
      fromLeft: [],
      sets: [],
    };
  }

  /** Takes castings in, in one step; each belongs to one occasion at most, and leaves the one it was in. */
  put(castingIds: readonly string[], occasionId: string): void {
    const to = this.byId().get(occasionId);
    if (to) this.takeIn(castingIds, to, [to]);
  }

  /** The same into a new occasion; undefined, and nothing is changed, where they are too many for one. */
  putAnew(castingIds: readonly string[], due: Casting['due']): Occasion | undefined {
    const to = this.fresh(due);
    return this.takeIn(castingIds, to, []) ? to : undefined;
  }

  private takeIn(castingIds: readonly string[], to: Occasion, before: readonly Occasion[]): boolean {
    const fresh = castingIds.filter((id) => this.of(id)?.id !== to.id);
    if (fresh.length === 0) return true;
    const from = [...new Set(fresh.flatMap((id) => this.of(id) ?? []))];
    const after = { ...to, castingIds: [...to.castingIds, ...fresh] };
    if (!OccasionSchema.safeParse(after).success) {
      const room = MOST_OF_OCCASION.castings - to.castingIds.length;
      this.notices.say({
        text: `“${to.name}” holds ${MOST_OF_OCCASION.castings} castings at most: there is room for ${room > 0 ? room : 'none'}${room > 0 ? ' more' : ''}.`,
      });
      return false;
    }
    const label = `${fresh.length === 1 ? 'casting' : `${fresh.length} castings`} into ${to.name}`;
    this.keep({ before: [...before, ...from], after: [after, ...from.map((one) => without(one, fresh))], label });
    return true;
  }

  /** Takes a casting out, and lets go of what is held and packed of it. */
  takeOut(castingId: string): void {
    const from = this.of(castingId);
    if (!from) return;
    this.edit(from.id, 'casting', (draft) => void Object.assign(draft, without(from, [castingId])));
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
    const left = packed.reduce((sum, one) => sum + this.elsewhere(one).length, 0);
    for (const one of packed) this.unpacked(one, false, 'import of occasions');
    const stay =
      left === 0
        ? ''
        : ` ${left === 1 ? 'One casting is in another occasion here, and stays there.' : `${left} castings are in other occasions here, and stay there.`}`;
    this.notices.say({ text: `Added ${packed.length} ${packed.length === 1 ? 'occasion' : 'occasions'}.${stay}` });
  }

  export(occasions: readonly Occasion[]): void {
    const packed = occasions.map((occasion) => ({ ...occasion, castings: this.castingsOf(occasion) }));
    const name = occasions.length === 1 ? occasions[0].name : 'occasions';
    saveFile(`Kilnstone ${name}.json`, 'application/json', writeOccasionFile(packed, new Date()));
  }

  /** Castings that it does not carry and that are here in another occasion: each belongs to one, and is left where it is. */
  private elsewhere({ castingIds, castings }: PackedOccasion): readonly string[] {
    return castingIds.filter((id) => !castings.some((casting) => casting.id === id) && this.of(id) !== undefined);
  }

  private unpacked({ castings, ...occasion }: PackedOccasion, anew: boolean, label: string): Occasion {
    const ids = new Map(castings.map(({ id }) => [id, anew || this.isTaken(id) ? newId() : id]));
    const own = without(occasion, this.elsewhere({ castings, ...occasion }));
    const fresh: Occasion = {
      ...structuredClone(own),
      id: newId(),
      name: this.freeName(occasion.name),
      createdAt: new Date().toISOString(),
      castingIds: own.castingIds.map((id) => ids.get(id) ?? id),
      holds: own.holds.map((hold) => ({ ...hold, operation: renamed(hold.operation, ids) })),
      fromLeft: own.fromLeft.map((id) => ids.get(id) ?? id),
      sets: own.sets.map((set) => ({
        ...set,
        contents: set.contents.map((one) => ({ ...one, castingId: ids.get(one.castingId) ?? one.castingId })),
      })),
    };
    const added = castings.map((casting) => ({ ...casting, id: ids.get(casting.id) ?? casting.id }));
    this.keep({ before: [], after: [fresh], label, added });
    return fresh;
  }

  private isTaken(id: string): boolean {
    return this.castings.castings().some((casting) => casting.id === id);
  }
}

/** An occasion without some castings, and without what is held and packed of them. */
function without(occasion: Occasion, castingIds: readonly string[]): Occasion {
  const stays = (id: string): boolean => !castingIds.includes(id);
  return {
    ...occasion,
    castingIds: occasion.castingIds.filter(stays),
    holds: occasion.holds.filter(({ operation }) => stays(operation.split('/')[0])),
    fromLeft: occasion.fromLeft.filter(stays),
    sets: occasion.sets.map((set) => ({
      ...set,
      contents: set.contents.filter(({ castingId }) => stays(castingId)),
    })),
  };
}

/** What is held names the casting it is of first. */
function renamed(operation: string, ids: ReadonlyMap<string, string>): string {
  const [castingId, ...rest] = operation.split('/');
  return [ids.get(castingId) ?? castingId, ...rest].join('/');
}
