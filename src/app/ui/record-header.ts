import { ChangeDetectionStrategy, Component, effect, inject, input, output, signal } from '@angular/core';
import { Title } from '@angular/platform-browser';
import { RouterLink } from '@angular/router';
import { LucideChevronLeft, LucideCopy, LucideDownload, LucideTrash2 } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { nameProblem, tidyName } from '../wording/naming';
import { Once } from './once';
import { UndoRedo } from './undo-redo';
import { Tool } from './tool';

/** Head of the page of one record: its name to type over, what can be done with it, undo and redo; a main action beside them. */
@Component({
  selector: 'ks-record-header',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    LucideChevronLeft,
    LucideCopy,
    LucideDownload,
    LucideTrash2,
    NzButtonComponent,
    Once,
    RouterLink,
    Tool,
    UndoRedo,
  ],
  template: `
    <a class="back" [routerLink]="back()" [attr.aria-label]="backLabel()"
      ><svg lucideChevronLeft [size]="20" aria-hidden="true"></svg
    ></a>
    <h1 class="unseen">{{ name() }}</h1>
    <div class="title">
      <input
        class="name"
        [value]="name()"
        (input)="setName($any($event.target).value)"
        [attr.aria-label]="'Name of the ' + noun()"
        [attr.aria-invalid]="nameWrong() ? true : null"
        spellcheck="false"
        autocomplete="off"
      />
      @if (nameWrong()) {
        <p class="problem" role="alert">{{ nameWrong() }}</p>
      } @else {
        <p>{{ line() }}</p>
      }
    </div>
    <ks-undo-redo />
    <button nz-button nzType="text" type="button" (ksOnce)="copied.emit()" [ksTool]="'Copy this ' + noun()">
      <svg lucideCopy [size]="18" aria-hidden="true"></svg>
    </button>
    <button nz-button nzType="text" type="button" (click)="exported.emit()" [ksTool]="'Export this ' + noun()">
      <svg lucideDownload [size]="18" aria-hidden="true"></svg>
    </button>
    <button nz-button nzType="text" type="button" (click)="deleted.emit()" [ksTool]="'Delete this ' + noun()">
      <svg lucideTrash2 [size]="18" aria-hidden="true"></svg>
    </button>
    <ng-content />
  `,
  styleUrl: './record-header.less',
})
export class RecordHeader {
  readonly name = input.required<string>();
  readonly noun = input.required<string>();
  readonly line = input('');
  readonly back = input.required<string>();
  readonly backLabel = input.required<string>();
  readonly named = output<string>();
  readonly copied = output<void>();
  readonly exported = output<void>();
  readonly deleted = output<void>();
  protected readonly nameWrong = signal('');

  constructor() {
    const titles = inject(Title);
    effect(() => titles.setTitle(`${this.name()} · Kilnstone`));
  }

  protected setName(name: string): void {
    this.nameWrong.set(nameProblem(name));
    if (!this.nameWrong()) this.named.emit(tidyName(name));
  }
}
