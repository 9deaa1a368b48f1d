import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import type { PantryEntry } from '../../core/record/chocolate';
import { Pantry } from '../state/pantry';
import { FieldScope } from '../ui/field-scope';
import { Gone } from '../ui/gone';
import { RecordHeader } from '../ui/record-header';
import { ChocolateEditor } from './chocolate-editor';
import { FillingEditor } from './filling-editor';
import { StockFields } from './stock-fields';
import { SupplyFields } from './supply-fields';
import { TintEditor } from './tint-editor';

/** One entry of the pantry: a chocolate, a tint, a filling, or something bought besides. */
@Component({
  selector: 'ks-entry-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    ChocolateEditor,
    FieldScope,
    FillingEditor,
    Gone,
    NzButtonComponent,
    RecordHeader,
    RouterLink,
    StockFields,
    SupplyFields,
    TintEditor,
  ],
  template: `
    @if (entry(); as e) {
      <ks-record-header
        [name]="e.name"
        [noun]="nouns[e.entry]"
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
      } @else if (e.entry === 'filling') {
        <ks-filling-editor [filling]="e" />
      } @else {
        <section [ksScope]="e.id">
          @if (e.entry === 'goods') {
            <ks-stock-fields [entry]="e" />
          } @else {
            <ks-supply-fields [supply]="e" />
          }
        </section>
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
    section {
      max-width: 520px;
      padding: 22px 40px;
    }
    @media (max-width: 900px) {
      section {
        padding: 16px;
      }
    }
  `,
})
export class EntryPage {
  protected readonly pantry = inject(Pantry);
  private readonly router = inject(Router);

  /** Route parameter. */
  readonly id = input.required<string>();

  protected readonly entry = computed(() => this.pantry.byId().get(this.id()));
  protected readonly nouns: Readonly<Record<PantryEntry['entry'], string>> = {
    chocolate: 'chocolate',
    tint: 'tint',
    filling: 'filling',
    goods: 'ingredient',
    supply: 'supply',
  };
  protected readonly line = computed(() => {
    const entry = this.entry();
    if (entry?.entry === 'goods')
      return 'Recipes, tints and painted molds that call something by this name take it from here.';
    if (entry?.entry === 'supply') return 'Whatever castings and occasions count of this kind is taken from here.';
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
