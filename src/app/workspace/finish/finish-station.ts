import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { LucideTrash2 } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import type { Casting, Finish } from '../../../core/record/casting';
import { MOST } from '../../../core/record/limits';
import { dropUnused, meltFrom } from '../../../core/edit/melting';
import { sourceKey } from '../../../core/record/melting';
import { meltOf } from '../../../core/record/references';
import { UNITS } from '../../../core/quantity/units';
import { CastingStore } from '../../state/casting-store';
import { Fillings } from '../../state/fillings';
import { newId } from '../../state/new-id';
import { PlanService } from '../../state/plan-service';
import { Sources } from '../../state/sources';
import { AmountField } from '../../ui/amount-field';
import { ChoiceList } from '../../ui/choice-list';
import { Figure } from '../../ui/figure';
import { FINISH_NAMES, FINISH_TEXTS } from '../../wording/closing';
import { Tool } from '../../ui/tool';

const KINDS = Object.keys(FINISH_NAMES) as Finish['kind'][];
/** What is stuck on: a part that is cast, or something of the pantry; told apart by a letter before the id. */
const OF_PART = 'p:';
const OF_PANTRY = 'f:';

/** What is done to a piece when it is closed: drizzle, sprinkles, dust, paint, stuck-on parts. */
@Component({
  selector: 'ks-finish-station',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, Figure, LucideTrash2, NzButtonComponent, Tool],
  templateUrl: './finish-station.html',
  styleUrls: ['../station.less', './finish-station.less'],
})
export class FinishStation {
  private readonly store = inject(CastingStore);
  protected readonly plan = inject(PlanService).draft;
  protected readonly sources = inject(Sources);
  protected readonly fillings = inject(Fillings);
  protected readonly minute = UNITS.minute;
  protected readonly names = FINISH_NAMES;
  protected readonly texts = FINISH_TEXTS;
  protected readonly kinds = KINDS;
  protected readonly full = computed(() => (this.plan()?.casting.finishes.length ?? 0) >= MOST.finishes);
  protected readonly stuckOn = computed(() => [
    ...(this.plan()?.parts ?? [])
      .filter(({ part }) => part.role === 'ornament')
      .map(({ part }) => ({ value: OF_PART + part.id, name: `${part.name}, cast here` })),
    ...this.fillings.options().map(({ value, name }) => ({ value: OF_PANTRY + value, name })),
  ]);
  protected readonly usesDust = computed(
    () => this.plan()?.casting.finishes.some(({ kind }) => kind === 'dust' || kind === 'paint') ?? false,
  );

  protected sourceOf(finish: Finish): string {
    const plan = this.plan();
    return plan && 'meltId' in finish ? sourceKey(meltOf(plan.casting, finish.meltId).source) : '';
  }

  protected stuckOf(finish: Finish): string {
    if (finish.kind !== 'stickOn') return '';
    return finish.partId === undefined ? OF_PANTRY + (finish.fillingId ?? '') : OF_PART + finish.partId;
  }

  protected add(kind: Finish['kind']): void {
    this.store.edit(`add ${FINISH_NAMES[kind]}`, (casting) => {
      const finish = this.usual(casting, kind);
      if (finish) casting.finishes.push(finish);
    });
  }

  protected remove(id: string): void {
    this.store.edit('take a finish off', (casting) => {
      casting.finishes = casting.finishes.filter((finish) => finish.id !== id);
      dropUnused(casting);
    });
  }

  protected setSource(id: string, source: string): void {
    this.change(id, 'chocolate for finishing', (finish, casting) => {
      const from = this.sources.take(casting, source);
      if (from && 'meltId' in finish) finish.meltId = meltFrom(casting, from, finish.meltId).id;
      dropUnused(casting);
    });
  }

  protected setFilling(id: string, fillingId: string): void {
    this.change(id, 'what is put on', (finish, casting) => {
      if (finish.kind === 'sprinkle' && this.fillings.take(casting, fillingId))
        Object.assign(finish, { fillingId, name: this.nameOf(casting, fillingId) });
    });
  }

  protected setStuck(id: string, choice: string): void {
    this.change(id, 'what is stuck on', (finish, casting) => {
      if (finish.kind !== 'stickOn') return;
      const its = choice.slice(OF_PART.length);
      if (choice.startsWith(OF_PART)) {
        delete finish.fillingId;
        Object.assign(finish, {
          partId: its,
          name: casting.parts.find((part) => part.id === its)?.name ?? finish.name,
        });
      } else if (this.fillings.take(casting, its)) {
        delete finish.partId;
        Object.assign(finish, { fillingId: its, name: this.nameOf(casting, its) });
      }
    });
  }

  protected setNumber(id: string, key: 'share' | 'lineM' | 'count', value: number): void {
    this.change(
      id,
      'finish',
      (finish) => {
        if (key in finish) Object.assign(finish, { [key]: value });
      },
      `${id} ${key}`,
    );
  }

  protected setDrying(id: string, seconds: number): void {
    this.change(id, 'drying time', (finish) => (finish.sets = [{ place: 'room', seconds }]), `${id} drying`);
  }

  private usual(casting: Casting, kind: Finish['kind']): Finish | undefined {
    const id = `finish-${newId().slice(0, 8)}`;
    const meltId = casting.parts[0].coats[0].shares[0].meltId;
    const common = { id, name: FINISH_NAMES[kind], sets: [] };
    switch (kind) {
      case 'drizzle':
        return { ...common, kind, meltId, share: 0.2, lineM: 0.002 };
      case 'dust':
      case 'paint':
        return { ...common, kind, share: 0.2 };
      case 'sprinkle': {
        const fillingId =
          this.fillings.options().find(({ value }) => value === 'seeds')?.value ?? this.fillings.options()[0]?.value;
        return fillingId !== undefined && this.fillings.take(casting, fillingId)
          ? { ...common, name: this.nameOf(casting, fillingId), kind, fillingId, share: 0.15 }
          : undefined;
      }
      case 'stickOn': {
        const ornament = casting.parts.find(({ role }) => role === 'ornament');
        if (ornament)
          return { ...common, name: ornament.name, kind, meltId, partId: ornament.id, count: ornament.perPiece };
        const fillingId =
          this.fillings.options().find(({ value }) => value === 'lentils')?.value ?? this.fillings.options()[0]?.value;
        return fillingId !== undefined && this.fillings.take(casting, fillingId)
          ? { ...common, name: this.nameOf(casting, fillingId), kind, meltId, fillingId, count: 1 }
          : undefined;
      }
    }
  }

  private nameOf({ fillings }: Casting, fillingId: string): string {
    return fillings.find(({ id }) => id === fillingId)?.name ?? '';
  }

  private change(
    id: string,
    label: string,
    change: (finish: Finish, casting: Casting) => void,
    gesture?: string,
  ): void {
    this.store.edit(
      label,
      (casting) => {
        const finish = casting.finishes.find((candidate) => candidate.id === id);
        if (finish) change(finish, casting);
      },
      gesture,
    );
  }
}
