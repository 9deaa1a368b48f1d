import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LucideCopy, LucideDownload, LucideTrash2 } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import type { Casting } from '../../../core/record/casting';
import { CastingStorage } from '../../state/casting-storage';
import { CastingStore } from '../../state/casting-store';
import { CastingsActions } from '../../state/castings-actions';
import { InOccasion } from '../../state/in-occasion';
import { Once } from '../../ui/once';
import { UndoRedo } from '../../ui/undo-redo';
import { StartTime } from '../../state/start-time';
import { nameProblem, tidyName } from '../../wording/naming';
import { dueText, momentText, startText } from '../../wording/times';
import { Tool } from '../../ui/tool';

/** The casting's name, pieces and due date, what can be done with it, and whether it is saved. */
@Component({
  selector: 'ks-casting-header',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LucideCopy, LucideDownload, LucideTrash2, NzButtonComponent, Once, RouterLink, Tool, UndoRedo],
  templateUrl: './casting-header.html',
  styleUrl: './casting-header.less',
})
export class CastingHeader {
  private readonly storage = inject(CastingStorage);
  private readonly store = inject(CastingStore);
  private readonly time = inject(StartTime);
  protected readonly actions = inject(CastingsActions);
  private readonly inOccasion = inject(InOccasion);
  readonly casting = input.required<Casting>();
  /** The occasion it belongs to. */
  protected readonly occasion = this.inOccasion.occasion;
  /** When it begins by its occasion's timetable, where that has been found. */
  protected readonly begins = computed(() => {
    const [occasion, part] = [this.occasion(), this.inOccasion.part()];
    return occasion && part ? `, there from ${momentText(part.from, occasion.due.zone)}` : '';
  });

  protected readonly name = signal('');
  protected readonly focused = signal(false);
  protected readonly nameProblem = computed(() => nameProblem(this.name()));
  protected readonly summary = computed(() => {
    const { pieces, due } = this.casting();
    const late = this.time.lateness();
    const ready =
      late && 'readyS' in late
        ? `late: wanted by ${dueText(due)}, ready at ${startText(late.readyS, due)} at the earliest`
        : `ready by ${dueText(due)}`;
    return `${pieces} ${pieces === 1 ? 'piece' : 'pieces'}, ${ready}`;
  });
  protected readonly saved = computed(
    () =>
      ({
        saved: 'Saved',
        saving: 'Saving…',
        memory: 'Not saved here',
        full: 'Not saved: storage full',
        silent: 'Not saved here',
      })[this.storage.state()],
  );
  protected readonly unsaved = computed(() => this.storage.state() !== 'saved' && this.storage.state() !== 'saving');

  private castingSeen = '';
  private undoneSeen = 0;

  constructor() {
    effect(() => {
      const { id, name } = this.casting();
      const undone = this.store.undoneCount();
      untracked(() => {
        const stays =
          (this.focused() || this.nameProblem() !== '') && id === this.castingSeen && undone === this.undoneSeen;
        this.castingSeen = id;
        this.undoneSeen = undone;
        if (!stays) this.name.set(name);
      });
    });
  }

  protected rename(event: Event): void {
    this.name.set((event.target as HTMLInputElement).value);
    const name = tidyName(this.name());
    if (this.nameProblem() === '') {
      this.store.edit(
        'name',
        (casting) => {
          casting.name = name;
        },
        'name',
      );
    }
  }
}
