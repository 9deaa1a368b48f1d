import { Injectable, inject } from '@angular/core';
import { beginRun, type RunBeginning } from '../../core/run/begin-run';
import type { Mark } from '../../core/run/mark';
import { readRun, type Run } from '../../core/run/run-record';
import { writeRunFile, type PackedRun } from '../../data/run-file';
import { newId } from './new-id';
import { RecordLibrary } from './record-library';
import { MarkStorage, RunStorage } from './run-storage';
import { saveFile } from './save-file';

/** Runs: begun from a timetable, listed, named, deleted, exported with what was noted in them, and gone on with on another device. */
@Injectable({ providedIn: 'root' })
export class Runs extends RecordLibrary<Run> {
  private readonly marks = inject(MarkStorage);

  constructor() {
    super(inject(RunStorage), { key: 'runs', plural: 'runs', accepts: (run) => readRun(run).ok });
  }

  /** A run of a timetable as it is now. It is not undone with what was edited before it: it is deleted. */
  begin(beginning: Omit<RunBeginning, 'id' | 'createdAt'>): Run {
    const run = beginRun({
      ...beginning,
      id: newId(),
      name: this.freeName(beginning.name),
      createdAt: new Date().toISOString(),
    });
    this.lay([run]);
    return run;
  }

  remove(run: Run): void {
    this.removed(run, ' What was noted in it goes with it.');
  }

  async export(runs: readonly Run[]): Promise<void> {
    const packed = await Promise.all(
      runs.map(async (run): Promise<PackedRun> => ({ ...run, marks: (await this.marks.of(run.id)).marks })),
    );
    this.save(packed);
  }

  /** Adds those marks to a run that it does not have, and gives them; undefined where the browser refuses. */
  private async noteOnly(run: string, marks: readonly Mark[]): Promise<readonly Mark[] | undefined> {
    try {
      const known = new Set((await this.marks.of(run)).marks.map(({ id }) => id));
      const fresh = marks.filter(({ id }) => !known.has(id));
      if (fresh.length > 0) await this.marks.append(run, fresh);
      return fresh;
    } catch {
      return undefined;
    }
  }

  /** Saves runs with their marks as they are at hand, wherever those are kept. */
  save(packed: readonly PackedRun[]): void {
    const name = packed.length === 1 ? packed[0].name : 'runs';
    saveFile(`Kilnstone ${name} run.json`, 'application/json', writeRunFile(packed, new Date()));
  }

  /** Takes runs with their marks from a file. One that is there already is the same run: it takes what was noted in the file and not here, and nothing twice. */
  async takePacked(packed: readonly PackedRun[]): Promise<void> {
    let [added, marked] = [0, 0];
    for (const { marks, ...run } of packed) {
      const fresh = await this.noteOnly(run.id, marks);
      if (!fresh) {
        this.notices.say({
          text: `The browser did not store what was noted in “${run.name}”. Free some space, then import the file again.`,
        });
        return;
      }
      if (this.byId().has(run.id)) {
        if (fresh.length > 0) marked++;
      } else {
        this.lay([run]);
        added++;
      }
    }
    const runs = (n: number): string => `${n} ${n === 1 ? 'run' : 'runs'}`;
    const more =
      marked > 0 ? ` ${runs(marked)} that ${marked === 1 ? 'was' : 'were'} here took what was noted elsewhere.` : '';
    const left = packed.length - added - marked;
    const same = left > 0 ? ` ${runs(left)} ${left === 1 ? 'was' : 'were'} here as in the file.` : '';
    this.notices.say({ text: `Added ${runs(added)}.${more}${same}` });
  }
}
