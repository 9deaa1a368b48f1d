import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import type { PantryEntry } from '../../core/record/chocolate';
import { Pantry } from '../state/pantry';
import { Gone } from '../ui/gone';
import { RecordHeader } from '../ui/record-header';
import { ChocolateEditor } from './chocolate-editor';
import { FillingEditor } from './filling-editor';
import { TintEditor } from './tint-editor';

/** One entry of the pantry: a chocolate or a tint. */
@Component({
  selector: 'ks-entry-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChocolateEditor, FillingEditor, Gone, NzButtonComponent, RecordHeader, RouterLink, TintEditor],
  template: `
    @if (entry(); as e) {
      <ks-record-header
        [name]="e.name"
        [noun]="e.entry"
        back="/pantry"
        backLabel="The whole pantry"
        [line]="line()"
        (named)="rename($event)"
        (copied)="copy(e)"
        (exported)="pantry.export([e])"
        (deleted)="remove(e)"
      >
        @if (e.entry === 'chocolate') {
          <a nz-button nzType="primary" [routerLink]="['/pantry', e.id, 'drip']">Drip test</a>
        }
      </ks-record-header>
      @if (e.entry === 'chocolate') {
        <ks-chocolate-editor [chocolate]="e" />
      } @else if (e.entry === 'tint') {
        <ks-tint-editor [tint]="e" />
      } @else {
        <ks-filling-editor [filling]="e" />
      }
    } @else if (pantry.loaded()) {
      <ks-gone
        heading="This is not in the pantry any more"
        why="It was deleted, perhaps in another tab. Castings made with it keep their own copies."
        to="/pantry"
        toText="See the pantry"
      />
    }
  `,
  styles: `
    :host {
      display: block;
    }
  `,
})
export class EntryPage {
  protected readonly pantry = inject(Pantry);
  private readonly router = inject(Router);

  /** Route parameter. */
  readonly id = input.required<string>();

  protected readonly entry = computed(() => this.pantry.byId().get(this.id()));
  protected readonly line = computed(() => {
    const used = this.pantry.usedBy(this.id());
    return used.length
      ? `Used in ${used.join(', ')}. Changes here leave those copies as they are.`
      : 'Not used in any casting yet.';
  });

  protected rename(name: string): void {
    this.pantry.edit(this.id(), 'name', (entry) => (entry.name = name), `${this.id()} name`);
  }

  protected copy(entry: PantryEntry): void {
    void this.router.navigate(['/pantry', this.pantry.copy(entry).id]);
  }

  protected remove(entry: PantryEntry): void {
    this.pantry.remove(entry);
    void this.router.navigateByUrl('/pantry');
  }
}
