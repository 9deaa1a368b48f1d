import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import type { Plugin } from 'chart.js';
import { Units } from '../../state/units';
import { CHART_FONT, CHART_INKS, CHART_OPTIONS, LineChart, type LineChartConfiguration } from '../../ui/line-chart';
import { text } from '../../wording/format';
import { ShellFilm } from './shell-film';

/** Room for the figures at the left and the lines' names at the right, px; the line of the moment that is shown needs it too. */
const LEFT = 34;
const RIGHT = 52;
const LINES = [
  { key: 'baseM', name: 'base', ink: '#4c7a3d', dash: [2, 3] },
  { key: 'wallM', name: 'wall', ink: '#1f6f78', dash: [7, 4] },
  { key: 'rimM', name: 'rim', ink: '#ae4425', dash: [] },
] as const;

/** Thickness at rim, wall and base over the time of the film. */
@Component({
  selector: 'ks-thickness-times',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LineChart],
  template: `
    @if (configuration(); as c) {
      <ks-line-chart [configuration]="c" [description]="description()" />
      <i class="now" [style.left]="now()" aria-hidden="true"></i>
    }
  `,
  styleUrl: './thickness-times.less',
})
export class ThicknessTimes {
  private readonly film = inject(ShellFilm);
  private readonly units = inject(Units);

  private readonly lastSeconds = computed(() => this.film.frames().at(-1)?.seconds ?? 1);
  /** Where the moment that is shown stands across the drawing. */
  protected readonly now = computed(() => {
    const share = (this.film.frame()?.seconds ?? 0) / this.lastSeconds();
    return `calc(${LEFT}px + ${share.toFixed(4)} * (100% - ${LEFT + RIGHT}px))`;
  });
  protected readonly description = computed(() => {
    const last = this.film.frames().at(-1);
    if (!last) return '';
    const system = this.units.system();
    const ends = LINES.map(({ key, name }) => `${name} ${text(last.readings[key], 'length', system)}`);
    return `Thickness at rim, wall and base over ${text(last.seconds, 'duration', system)}. At the end: ${ends.join(', ')}.`;
  });
  protected readonly configuration = computed<LineChartConfiguration | undefined>(() => {
    const frames = this.film.frames();
    if (frames.length < 2) return undefined;
    const us = this.units.system() === 'us';
    const perUnit = us ? 0.0254 : 0.001;
    // The pour itself, many times thicker than what stays, would press everything else down to the floor of the drawing.
    const set = frames.filter((frame) => frame.phase === 'set');
    const thickest = Math.max(
      ...(set.length > 0 ? set : frames).flatMap(({ readings }) => LINES.map(({ key }) => readings[key])),
    );
    return {
      type: 'line',
      data: {
        datasets: LINES.map(({ key, name, ink, dash }) => ({
          label: name,
          data: frames.map(({ seconds, readings }) => ({ x: seconds / 60, y: readings[key] / perUnit })),
          borderColor: ink,
          borderDash: [...dash],
          borderWidth: 2,
          pointRadius: 0,
        })),
      },
      plugins: [namesPlugin(us ? 'in; a pour reaches above' : 'mm; a pour reaches above')],
      options: {
        ...CHART_OPTIONS,
        layout: { padding: { top: 8, right: RIGHT } },
        scales: {
          x: {
            type: 'linear',
            min: 0,
            max: this.lastSeconds() / 60,
            grid: { display: false },
            border: { color: CHART_INKS.edge },
            ticks: {
              color: CHART_INKS.soft,
              font: CHART_FONT,
              maxTicksLimit: 9,
              maxRotation: 0,
              includeBounds: false,
              callback: (minutes) => `${minutes} min`,
            },
          },
          y: {
            type: 'linear',
            min: 0,
            max: niceTop((1.1 * thickest) / perUnit),
            grid: { color: CHART_INKS.rule },
            border: { display: false },
            ticks: { color: CHART_INKS.soft, font: CHART_FONT, maxTicksLimit: 5 },
            afterFit: (scale) => (scale.width = LEFT),
          },
        },
      },
    };
  });
}

/** The end of a scale on which a value stands: a whole number of steps of 1, 2 or 5. */
function niceTop(value: number): number {
  const power = 10 ** Math.floor(Math.log10(value / 4));
  const step = [1, 2, 5, 10].map((k) => k * power).find((one) => value <= 4 * one) ?? 10 * power;
  return step * Math.ceil(value / step);
}

/** Writes the name of each line where it ends, those that end together one above the other, and the unit. */
function namesPlugin(unit: string): Plugin<'line'> {
  return {
    id: 'names',
    afterDatasetsDraw({ ctx, chartArea: { right, top }, scales: { y }, data: { datasets } }) {
      ctx.save();
      ctx.font = `${CHART_FONT.size}px ${CHART_FONT.family}`;
      ctx.textBaseline = 'middle';
      ctx.fillStyle = CHART_INKS.ink;
      const ends = datasets
        .map(({ label, data }) => ({
          label,
          at: y.getPixelForValue((data as readonly { readonly y: number }[]).at(-1)?.y ?? 0),
        }))
        .sort((a, b) => a.at - b.at);
      let above = -Infinity;
      for (const { label, at } of ends) {
        above = Math.max(at, above + CHART_FONT.size + 1.5);
        ctx.fillText(label ?? '', right + 6, above);
      }
      ctx.textAlign = 'right';
      ctx.fillStyle = CHART_INKS.soft;
      ctx.strokeStyle = '#fbf9f6';
      ctx.lineWidth = 4;
      ctx.strokeText(unit, right, top + 6);
      ctx.fillText(unit, right, top + 6);
      ctx.restore();
    },
  };
}
