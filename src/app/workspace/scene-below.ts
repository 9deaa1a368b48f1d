import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { StationKey } from '../../core/plan/plan-types';
import { Later } from '../ui/later';
import { MissingPart } from '../ui/missing-part';
import { ShellFilm } from './film/shell-film';
import { ThicknessTimes } from './film/thickness-times';
import { ThicknessCurve } from './section/thickness-curve';
import { STATION_ROWS } from './stations';

/** What stands under the drawing: the open station's own, the film's thickness over time, or the thickness along the wall. */
@Component({
  selector: 'ks-scene-below',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Later, MissingPart, ThicknessCurve, ThicknessTimes],
  template: `
    @if (own(); as part) {
      <ks-later [part]="part"><div class="place"></div></ks-later>
    } @else if (film.frame()) {
      @defer (on immediate) {
        <ks-thickness-times />
      } @placeholder {
        <div class="place"></div>
      } @error {
        <ks-missing-part />
      }
    } @else if (!film.solid()) {
      <ks-thickness-curve />
    }
  `,
  styles: `
    :host {
      display: contents;
    }
    .place {
      height: 138px;
    }
  `,
})
export class SceneBelow {
  protected readonly film = inject(ShellFilm);

  readonly station = input.required<StationKey>();

  protected readonly own = computed(() => STATION_ROWS[this.station()].scene.below);
}
