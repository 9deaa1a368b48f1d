import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { Units } from '../../state/units';
import { boxSize } from '../../ui/box-size';
import { ShellFilm } from './shell-film';

const HEIGHT = 138;
const MARGIN = { left: 34, right: 52, top: 8, bottom: 22 } as const;
const LINES = [
  ['baseM', 'base'],
  ['wallM', 'wall'],
  ['rimM', 'rim'],
] as const;

/** Thickness at rim, wall and base over the time of the film. */
@Component({
  selector: 'ks-thickness-times',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (chart(); as c) {
      <svg
        [attr.viewBox]="'0 0 ' + width() + ' ' + height"
        [attr.height]="height"
        width="100%"
        role="img"
        aria-label="Thickness at rim, wall and base over time"
      >
        @for (tick of c.ticks; track tick.name) {
          <path class="grid" [attr.d]="'M' + margin.left + ' ' + tick.y + 'H' + (width() - margin.right)" />
          <text [attr.x]="margin.left - 8" [attr.y]="tick.y + 4" text-anchor="end">{{ tick.name }}</text>
        }
        @for (minute of c.minutes; track minute.name) {
          <text [attr.x]="minute.x" [attr.y]="height - 4" text-anchor="middle">{{ minute.name }}</text>
        }
        @for (one of c.lines; track one.name) {
          <path [attr.d]="one.path" class="line" [class]="one.name" />
          <text [attr.x]="width() - margin.right + 6" [attr.y]="one.y + 4" class="name">{{ one.name }}</text>
        }
        <text [attr.x]="width() - margin.right" [attr.y]="margin.top + 10" text-anchor="end" class="unit">
          {{ c.unit }}
        </text>
      </svg>
      <svg
        class="over"
        [attr.viewBox]="'0 0 ' + width() + ' ' + height"
        [attr.height]="height"
        width="100%"
        aria-hidden="true"
      >
        <path class="now" [attr.d]="'M' + nowX() + ' ' + margin.top + 'V' + (height - margin.bottom)" />
      </svg>
    }
  `,
  styleUrls: ['../section/thickness-curve.less', './thickness-times.less'],
})
export class ThicknessTimes {
  private readonly film = inject(ShellFilm);
  private readonly units = inject(Units);
  private readonly size = boxSize({ width: 560, height: HEIGHT }, { width: 240, height: 0 });
  protected readonly width = computed(() => this.size().width);
  protected readonly height = HEIGHT;
  protected readonly margin = MARGIN;

  private readonly timeScale = computed(() => {
    const frames = this.film.frames();
    return scaleLinear([0, frames[frames.length - 1]?.seconds ?? 1], [MARGIN.left, this.width() - MARGIN.right]);
  });
  protected readonly nowX = computed(() => this.timeScale()(this.film.frame()?.seconds ?? 0));
  protected readonly chart = computed(() => {
    const frames = this.film.frames();
    if (frames.length < 2) return undefined;
    const us = this.units.system() === 'us';
    const perUnit = us ? 0.0254 : 0.001;
    // The pour itself, many times thicker than what stays, would press everything else down to the floor of the drawing.
    const still = frames.filter((frame) => frame.phase === 'set');
    const top =
      Math.max(
        ...(still.length > 0 ? still : frames).map(({ readings }) =>
          Math.max(readings.rimM, readings.wallM, readings.baseM),
        ),
      ) * 1.15;
    const x = this.timeScale();
    const y = scaleLinear([0, top / perUnit], [HEIGHT - MARGIN.bottom, MARGIN.top]).nice(4);
    const span = x.domain()[1] / 60;
    const minutes = scaleLinear([0, span], [0, span]).ticks(Math.min(8, Math.floor(this.width() / 90)));
    const last = frames[frames.length - 1].readings;
    // Names of lines that end together stand one above the other.
    const ends = LINES.map(([key, name]) => ({ key, name, y: y(last[key] / perUnit) })).sort((a, b) => a.y - b.y);
    for (let i = 1; i < ends.length; i++) ends[i].y = Math.max(ends[i].y, ends[i - 1].y + 14);
    return {
      unit: us ? 'in, over minutes; a pour reaches above' : 'mm, over minutes; a pour reaches above',
      ticks: y.ticks(4).map((tick) => ({ y: y(tick), name: String(tick) })),
      minutes: minutes.map((minute) => ({ x: x(minute * 60), name: `${minute} min` })),
      lines: ends.map(({ key, name, y: at }) => ({
        name,
        y: at,
        path:
          line<(typeof frames)[number]>(
            ({ seconds }) => x(seconds),
            ({ readings }) => Math.max(MARGIN.top, y(readings[key] / perUnit)),
          ).digits(1)([...frames]) ?? '',
      })),
    };
  });
}
