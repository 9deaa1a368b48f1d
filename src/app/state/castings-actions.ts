import { Injectable, Injector, inject } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { Router } from '@angular/router';
import { timer } from 'rxjs';
import type { Casting } from '../../core/record/casting';
import { writeCastingFile } from '../../data/casting-file';
import { demoCastings } from '../../data/demo';
import { CastingStore } from './casting-store';
import { Kitchens } from './kitchens';
import { newId } from './new-id';
import { Notices } from './notices';
import { saveFile } from './save-file';

const KITCHEN_AFTER_MS = 900;

/** What can be done with castings as a whole: new, copy, delete, export, import. */
@Injectable({ providedIn: 'root' })
export class CastingsActions {
  private readonly store = inject(CastingStore);
  private readonly router = inject(Router);
  private readonly notices = inject(Notices);
  private readonly injector = inject(Injector);

  constructor() {
    // The kitchen is read when the first view stands: before that it would only take the processor from it.
    timer(KITCHEN_AFTER_MS)
      .pipe(takeUntilDestroyed())
      .subscribe(() => this.injector.get(Kitchens));
  }

  /** Adds a casting as it was begun, under a name that is free, and opens it. */
  begin(begun: Casting): void {
    const casting = {
      ...begun,
      id: newId(),
      name: this.freeName(begun.name),
      createdAt: new Date().toISOString(),
    };
    this.store.add([casting], 'new casting');
    void this.router.navigate(['/casting', casting.id, 'coat']);
  }

  copy(casting: Casting): void {
    const copy: Casting = {
      ...structuredClone(casting),
      id: newId(),
      name: this.freeName(casting.name),
      createdAt: new Date().toISOString(),
    };
    // It is to be made yet.
    delete copy.bookedAt;
    this.addAndOpen(copy, `copy ${casting.name}`);
  }

  remove(casting: Casting): void {
    this.store.remove(casting.id);
    void this.router.navigateByUrl('/castings');
    this.notices.say({ text: `Deleted “${casting.name}”.`, action: { name: 'Undo', run: () => this.store.undo() } });
  }

  bringDemoBack(): void {
    this.take(demoCastings(new Date()));
  }

  /** Adds castings from elsewhere; one whose id is taken comes in beside it under a new id. */
  take(castings: readonly Casting[]): void {
    const taken = new Set(this.store.castings().map((casting) => casting.id));
    const fresh = castings.map((casting) => {
      const id = taken.has(casting.id) ? newId() : casting.id;
      taken.add(id);
      return { ...casting, id };
    });
    this.store.add(fresh, 'import');
  }

  export(castings: readonly Casting[]): void {
    const name = castings.length === 1 ? castings[0].name : 'all castings';
    saveFile(`Kilnstone ${name}.json`, 'application/json', writeCastingFile(castings, new Date()));
  }

  private addAndOpen(casting: Casting, label: string): void {
    this.store.add([casting], label);
    void this.router.navigate(['/casting', casting.id, 'mold']);
  }

  private freeName(name: string): string {
    const taken = new Set(this.store.castings().map((casting) => casting.name));
    if (!taken.has(name)) return name;
    const stem = name.replace(/ \d+$/, '').slice(0, 110);
    let n = 2;
    while (taken.has(`${stem} ${n}`)) n++;
    return `${stem} ${n}`;
  }
}
