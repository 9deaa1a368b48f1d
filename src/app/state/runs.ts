import { Injectable, inject } from '@angular/core';
import { beginRun, type RunBeginning } from '../../core/run/begin-run';
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

  /** Saves runs with their marks as they are at hand, wherever those are kept. */
  save(packed: readonly PackedRun[]): void {
    const name = packed.length === 1 ? packed[0].name : 'runs';
    saveFile(`Kilnstone ${name} run.json`, 'application/json', writeRunFile(packed, new Date()));
  }

  /** Takes runs with their marks from a file; one that is there already comes in beside it. */
  async takePacked(packed: readonly PackedRun[]): Promise<void> {
    for (const { marks, ...run } of packed) {
      const fresh = { ...run, id: newId(), name: this.freeName(run.name) };
      if (marks.length > 0) await this.marks.append(fresh.id, marks);
      this.lay([fresh]);
    }
    this.notices.say({ text: `Added ${packed.length} ${packed.length === 1 ? 'run' : 'runs'}.` });
  }
}
