import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { LucideTrash2 } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { addPart, removePart, takePerPiece, type PartKind } from '../../../core/edit/parts';
import type { PartRole } from '../../../core/record/choices';
import { MOST } from '../../../core/record/limits';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { AmountField } from '../../ui/amount-field';
import { LONGEST_NAME, tidyName } from '../../wording/naming';
import { coatShades } from '../../drawing/coat-shades';
import { Tool } from '../../ui/tool';
import { TextField } from '../../ui/text-field';

const PER_PIECE = { dimension: 'count', low: 1, high: 24 } as const;
const NEW_NAMES: Readonly<Record<Exclude<PartRole, 'shell'>, string>> = {
  lid: 'Lid',
  base: 'Base',
  ornament: 'Ornament',
};

/** The parts of a piece, each with its colours: opened, named, counted, added, taken out. */
@Component({
  selector: 'ks-part-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, LucideTrash2, NzButtonComponent, TextField, Tool],
  template: `
    @if (!listed()) {
      <p class="plain">
        A piece is {{ alike() }}.
        <button nz-button nzType="link" type="button" class="small" (click)="asked.set(true)">
          More parts or colours
        </button>
      </p>
    } @else if (plan(); as p) {
      <ul aria-label="Parts of a piece">
        @for (row of rows(); track row.id) {
          <li [class.open]="row.id === p.part.id">
            <button type="button" class="row" [attr.aria-pressed]="row.id === p.part.id" (click)="open.open(row.id)">
              @for (shade of row.shades; track $index) {
                <i [style.background]="shade" aria-hidden="true"></i>
              }
              <span>{{ row.perPiece }} × {{ row.name }}</span>
            </button>
            @if (rows().length > 1) {
              <button
                nz-button
                nzType="text"
                type="button"
                (click)="remove(row.id)"
                [ksTool]="'Take ' + row.name + ' out'"
              >
                <svg lucideTrash2 [size]="17" aria-hidden="true"></svg>
              </button>
            }
          </li>
        }
      </ul>
      <div class="pair">
        <ks-text-field label="Name" [value]="p.part.name" (entered)="rename($event)" />
        <ks-amount-field
          label="In a piece"
          [field]="p.part.id + ' per piece'"
          [value]="p.part.perPiece"
          [whole]="true"
          [limits]="[perPiece]"
          (amount)="setPerPiece($event.value)"
        />
      </div>
      @if (mayAdd()) {
        <p class="links">
          @if (p.part.role === 'shell' && p.part.perPiece > 1) {
            <button nz-button nzType="link" type="button" class="small" (click)="add('secondHalf')">
              Two halves of two colours
            </button>
          }
          @if (inSizes()) {
            <button nz-button nzType="link" type="button" class="small" (click)="add('size')">Add another size</button>
          }
          @for (role of roles; track role) {
            <button nz-button nzType="link" type="button" class="small" (click)="add(role)">
              Add {{ role === 'ornament' ? 'an' : 'a' }} {{ role }}
            </button>
          }
        </p>
      }
    }
  `,
  styleUrls: ['../station.less', './part-list.less'],
})
export class PartList {
  protected readonly open = inject(OpenPart);
  protected readonly plan = inject(PlanService).draft;
  protected readonly perPiece = PER_PIECE;
  protected readonly roles = Object.keys(NEW_NAMES) as (keyof typeof NEW_NAMES)[];
  /** Asked for, though there is one part only. */
  protected readonly asked = signal(false);
  protected readonly listed = computed(() => this.asked() || (this.plan()?.parts.length ?? 1) > 1);
  protected readonly alike = computed(() => {
    const count = this.plan()?.part.perPiece ?? 1;
    return count === 1 ? 'one part' : count === 2 ? 'two halves alike' : `${count} parts alike`;
  });
  protected readonly rows = computed(() =>
    (this.plan()?.parts ?? []).map(({ part: { id, name, perPiece }, chocolates }) => ({
      id,
      name,
      perPiece,
      shades: coatShades(chocolates.map(({ colour }) => colour)),
    })),
  );
  /** Halves that make a body by themselves, or one cavity that does. */
  protected readonly inSizes = computed(() => {
    const plan = this.plan();
    return plan?.part.role === 'shell' && (plan.part.perPiece > 1 || plan.moldRecord.composition.kind === 'single');
  });
  protected readonly mayAdd = computed(() => this.rows().length < MOST.parts);

  protected rename(name: string): void {
    const kept = tidyName(name).slice(0, LONGEST_NAME);
    if (kept) this.open.edit('name of a part', (part) => (part.name = kept), 'part name');
  }

  protected setPerPiece(count: number): void {
    this.open.edit('parts in a piece', ({ id }, casting) => takePerPiece(casting, id, count), 'per piece');
  }

  protected add(kind: PartKind): void {
    let added: string | undefined;
    this.open.edit('add a part', (part, casting) => {
      const { id } = part;
      added =
        kind === 'secondHalf'
          ? addPart(casting, id, kind, 'Lower half', 'Upper half')
          : addPart(casting, id, kind, this.free(kind === 'size' ? part.name : NEW_NAMES[kind]), '');
    });
    this.open.open(added);
  }

  protected remove(id: string): void {
    this.open.edit('take a part out', (_, casting) => removePart(casting, id));
  }

  private free(name: string): string {
    const taken = new Set(this.rows().map((row) => row.name));
    let free = name;
    for (let n = 2; taken.has(free); n++) free = `${name} ${n}`;
    return free;
  }
}
