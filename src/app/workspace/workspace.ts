import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Title } from '@angular/platform-browser';
import { interval, map, take } from 'rxjs';
import { CastingStore } from '../state/casting-store';
import { PlanService } from '../state/plan-service';
import { Gone } from '../ui/gone';
import { Later } from '../ui/later';
import { MissingPart } from '../ui/missing-part';
import { CastingHeader } from './header/casting-header';
import { Notes } from './notes/notes';
import { PartPicker } from './parts/part-picker';
import { Ribbon } from './ribbon/ribbon';
import { SceneBelow } from './scene-below';
import { Section } from './section/section';
import { STATIONS, STATION_ROWS } from './stations';
import { Strip } from './strip';
import { WeighOut } from './weigh-out/weigh-out';
import type { StationKey } from '../../core/plan/plan-types';
import { FieldScope } from '../ui/field-scope';

const TURN_MS = 20;

/** The workspace of one casting: header, station strip, the open station, the section, weigh-out and notes, the ribbon. */
@Component({
  selector: 'ks-workspace',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    CastingHeader,
    FieldScope,
    Gone,
    Later,
    MissingPart,
    Notes,
    PartPicker,
    Ribbon,
    SceneBelow,
    Section,
    Strip,
    WeighOut,
  ],
  templateUrl: './workspace.html',
  styleUrl: './workspace.less',
})
export class Workspace {
  private readonly store = inject(CastingStore);
  private readonly titles = inject(Title);
  protected readonly plans = inject(PlanService);

  /** Route parameters. */
  readonly id = input.required<string>();
  readonly station = input<string>();

  protected readonly casting = this.store.current;
  /** How many of the parts that follow the first view have had their turn. */
  protected readonly shown = toSignal(
    interval(TURN_MS).pipe(
      take(4),
      map((turn) => turn + 1),
    ),
    { initialValue: 0 },
  );
  protected readonly openStation = computed<StationKey>(() => STATIONS.find((key) => key === this.station()) ?? 'coat');

  protected readonly row = computed(() => STATION_ROWS[this.openStation()]);

  constructor() {
    // What has its turn later is loaded meanwhile; where it cannot be, its place says so then.
    effect(
      () =>
        void this.row()
          .fields()
          .catch(() => undefined),
    );
    effect(() => {
      this.store.open(this.id());
      rememberOpen(this.id());
    });
    effect(() => this.titles.setTitle(`${this.casting()?.name ?? 'Casting'} · Kilnstone`));
  }
}

function rememberOpen(id: string): void {
  try {
    localStorage.setItem('kilnstone.open', id);
  } catch {
    // Storage may be blocked: the next visit then opens on the first casting.
  }
}
