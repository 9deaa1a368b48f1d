import { Injectable, inject } from '@angular/core';
import {
  LibraryMoldSchema,
  MOLD_SCHEMA_VERSION,
  type LibraryMold,
  type Mold,
  type MoldCavity,
} from '../../core/record/mold';
import { SHIPPED_MOLDS, shippedMolds } from '../../data/mold-library';
import { writeMoldFile } from '../../data/mold-file';
import { MoldStorage } from './mold-storage';
import { newId } from './new-id';
import { RecordLibrary } from './record-library';
import { saveFile } from './save-file';

/** The molds of this kitchen: listed, edited, copied, deleted, exported; all of it undone with everything else. */
@Injectable({ providedIn: 'root' })
export class MoldLibrary extends RecordLibrary<LibraryMold> {
  constructor() {
    super(inject(MoldStorage), {
      key: 'molds',
      plural: 'molds',
      accepts: (mold) => LibraryMoldSchema.safeParse(mold).success,
    });
  }

  get molds() {
    return this.records;
  }

  /** Castings that hold a copy of a mold, by name. */
  usedBy(moldId: string): readonly string[] {
    return this.castings
      .castings()
      .filter((casting) => casting.molds.some((mold) => mold.id === moldId))
      .map((casting) => casting.name);
  }

  /** A new mold like the first one shipped, each cavity a piece by itself, under a free name. */
  create(): LibraryMold {
    const model = SHIPPED_MOLDS[0];
    return this.added(
      { ...structuredClone(model), composition: { kind: 'single' }, emptyKg: undefined },
      'New mold',
      'new mold',
    );
  }

  /** Adds a mold under a free name. */
  add(mold: Mold): LibraryMold {
    return this.added(mold, mold.name, 'new mold');
  }

  /** Changes one kind of cavity of a mold; changes of one gesture are one step back. */
  editCavity(
    moldId: string,
    cavityId: string,
    label: string,
    change: (cavity: MoldCavity) => void,
    gesture?: string,
  ): void {
    this.edit(
      moldId,
      label,
      (mold) => {
        const cavity = mold.cavities.find(({ id }) => id === cavityId);
        if (cavity) change(cavity);
      },
      gesture && `${moldId} ${cavityId} ${gesture}`,
    );
  }

  copy(mold: LibraryMold): LibraryMold {
    return this.added(mold, mold.name, `copy ${mold.name}`);
  }

  remove(mold: LibraryMold): void {
    const used = this.usedBy(mold.id);
    this.removed(
      mold,
      used.length === 0
        ? ''
        : ` ${used.length === 1 ? `“${used[0]}” keeps its own copy` : `${used.length} castings keep their own copies`}.`,
    );
  }

  /** Brings back those of the shipped molds that are not there. */
  bringShippedBack(): void {
    const missing = shippedMolds(new Date()).filter((mold) => !this.byId().has(mold.id));
    this.keep({ before: [], after: missing, label: 'shipped molds' });
  }

  export(molds: readonly LibraryMold[]): void {
    saveFile(
      `Kilnstone ${molds.length === 1 ? molds[0].name : 'molds'}.json`,
      'application/json',
      writeMoldFile(molds, new Date()),
    );
  }

  private added(model: Mold, name: string, label: string): LibraryMold {
    const mold: LibraryMold = {
      ...structuredClone(model),
      id: newId(),
      name: this.freeName(name),
      schemaVersion: MOLD_SCHEMA_VERSION,
      createdAt: new Date().toISOString(),
    };
    this.keep({ before: [], after: [mold], label });
    return mold;
  }
}
