import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { FILM_STATES } from '../../../core/shell/film-state';
import { Units } from '../../state/units';
import { FILM_STATE_NAMES, phaseText } from '../../wording/film';
import { text } from '../../wording/format';
import { coatShades, lightened } from '../../drawing/coat-shades';
import type { SectionGeometry } from '../../drawing/section-geometry';
import { filmGeometry } from './film-geometry';
import { ShellFilm } from './shell-film';
import type { PlanDraft } from '../../../core/plan/plan-types';

/** One picture of the shell in the making, cut through the middle and held as the mold is held. */
@Component({
  selector: 'ks-film-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (picture(); as p) {
      <svg [attr.viewBox]="'0 0 ' + width() + ' ' + height()" role="img" [attr.aria-label]="description()">
        <defs>
          <pattern id="film-mold" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="7" height="7" class="mold-ground" />
            <path d="M0 0V7" class="mold-line" />
          </pattern>
          <pattern id="film-runs" width="7" height="7" patternUnits="userSpaceOnUse">
            <rect width="7" height="7" [attr.fill]="stateShades().runs" />
            <circle cx="2" cy="2" r="1.1" class="mark" />
            <circle cx="5.5" cy="5.5" r="1.1" class="mark" />
          </pattern>
          <pattern id="film-thickens" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="6" height="6" [attr.fill]="stateShades().thickens" />
            <path d="M0 0V6" class="mark-line" />
          </pattern>
          <pattern id="film-holds" width="6" height="6" patternUnits="userSpaceOnUse">
            <rect width="6" height="6" [attr.fill]="stateShades().holds" />
            <path d="M0 3H6" class="mark-line thin" />
          </pattern>
          <pattern id="film-set" width="6" height="6" patternUnits="userSpaceOnUse">
            <rect width="6" height="6" [attr.fill]="stateShades().set" />
          </pattern>
        </defs>
        <g
          [style.transform]="turned() ? 'scaleY(-1)' : 'none'"
          [style.transform-origin]="'0 ' + middleY() + 'px'"
          class="held"
        >
          <path [attr.d]="geometry().moldPath" fill="url(#film-mold)" class="mold" />
          @for (path of p.setPaths; track $index) {
            <path [attr.d]="path" [attr.fill]="setShade($index)" class="coat" />
          }
          @for (stretch of p.filmPaths; track $index) {
            <path [attr.d]="stretch.path" [attr.fill]="'url(#film-' + stretch.state + ')'" />
          }
          <circle [attr.cx]="p.thin.x" [attr.cy]="p.thin.y" r="6" class="thin-spot" />
        </g>
        <g class="down">
          <path [attr.d]="'M18 ' + (height() - 46) + 'v34m-5 -7l5 7l5 -7'" />
          <text x="2" [attr.y]="height() - 52" text-anchor="start">down</text>
        </g>
        <text class="thin-text" [attr.x]="width() - 8" [attr.y]="height() - 10" text-anchor="end">
          ○ thinnest {{ thinText() }}
        </text>
      </svg>
      <ul class="states" aria-label="How far the chocolate has come">
        @for (state of states; track state) {
          <li>
            <svg width="22" height="12" aria-hidden="true">
              <rect width="22" height="12" [attr.fill]="'url(#film-' + state + ')'" /></svg
            >{{ names[state] }}
          </li>
        }
      </ul>
    }
  `,
  styleUrls: ['../../drawing/mold-hatch.less', './film-drawing.less'],
})
export class FilmDrawing {
  private readonly film = inject(ShellFilm);
  private readonly units = inject(Units);
  readonly plan = input.required<PlanDraft>();
  readonly geometry = input.required<SectionGeometry>();
  readonly width = input.required<number>();
  readonly height = input.required<number>();
  protected readonly states = FILM_STATES;
  protected readonly names = FILM_STATE_NAMES;

  /** What had set when each coat began. */
  private readonly begins = computed(() => {
    const frames = this.film.frames();
    const coats = frames.length > 0 ? frames[frames.length - 1].coat + 1 : 0;
    return Array.from(
      { length: coats },
      (_, coat) => frames.find((frame) => frame.coat === coat)?.belowM ?? frames[0].belowM,
    );
  });
  protected readonly picture = computed(() => {
    const frame = this.film.frame();
    return frame && filmGeometry(this.plan().cavity, this.geometry(), frame, this.begins().slice(0, frame.coat + 1));
  });
  /** The coat that is shown. */
  private readonly made = computed(
    () => this.plan().coatsMade[Math.min(this.film.frame()?.coat ?? 0, this.plan().coatsMade.length - 1)],
  );
  /** Tipped out, or standing upside down: drawn that way up. */
  protected readonly turned = computed(() => {
    const phase = this.film.frame()?.phase;
    return phase === 'drain' || ((phase === 'rest' || phase === 'set') && this.made().wayUp === 'upsideDown');
  });
  protected readonly middleY = computed(() => this.geometry().rimY + this.geometry().depth / 2);
  private readonly shades = computed(() => {
    const { chocolates } = this.plan();
    return coatShades(chocolates.map(({ colour }) => colour));
  });
  /** From light to the chocolate's own colour as it sets. */
  protected readonly stateShades = computed(() => {
    // The film may still be of more coats than there are now.
    const shade = this.shades()[Math.min(this.film.frame()?.coat ?? 0, this.shades().length - 1)];
    return { runs: lightened(shade, 0.6), thickens: lightened(shade, 0.42), holds: lightened(shade, 0.2), set: shade };
  });
  protected readonly thinText = computed(() => text(this.picture()?.thinM ?? 0, 'length', this.units.system()));
  protected readonly description = computed(() => {
    const frame = this.film.frame();
    if (!frame) return '';
    const system = this.units.system();
    const { rimM, wallM, baseM } = frame.readings;
    return `${phaseText(frame, this.made())}. Rim ${text(rimM, 'length', system)}, wall ${text(wallM, 'length', system)}, base ${text(baseM, 'length', system)}, thinnest ${this.thinText()}.`;
  });

  protected setShade(index: number): string {
    return this.shades()[Math.min(index, this.shades().length - 1)];
  }
}
