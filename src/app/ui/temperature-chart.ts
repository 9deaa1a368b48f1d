import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { ChartOptions, Plugin } from 'chart.js';
import { fromSi, UNITS } from '../../core/quantity/units';
import { thinnedReadings, type Readings } from '../../core/melt/thermometer';
import type { CurvePoint } from '../../core/melt/schools';
import { Units } from '../state/units';
import { text } from '../wording/format';
import { CHART_FONT, CHART_INKS, CHART_OPTIONS, LineChart, type LineChartConfiguration } from './line-chart';
import type { ChartBand } from '../wording/chart-band';

/** A planned curve, with the name it is read by. */
export interface ChartCurve {
  readonly name: string;
  readonly points: readonly CurvePoint[];
  readonly second?: boolean;
}

const STRETCHES = 500;
const { ink: INK, soft: SOFT } = CHART_INKS;
/** Names stand in the last part of the width. */
const NAMES_FROM = 0.55;
const TONE_INKS = { work: '#3a6230', mark: SOFT, ceiling: '#8f361c' } as const;
const TONES = { work: '#4c7a3d', mark: '#8a7d6f', ceiling: '#ae4425' } as const;

/** Minutes along, degrees up. */
function scalesOf(low: number, high: number, unit: string): NonNullable<ChartOptions<'line'>['scales']> {
  return {
    x: {
      type: 'linear',
      min: 0,
      title: { display: true, text: 'minutes', color: SOFT, font: CHART_FONT, padding: 0 },
      grid: { display: false },
      ticks: { color: SOFT, font: CHART_FONT, maxTicksLimit: 9 },
      border: { color: CHART_INKS.edge },
    },
    y: {
      type: 'linear',
      min: low,
      max: high,
      grid: { color: CHART_INKS.rule },
      ticks: {
        color: SOFT,
        font: CHART_FONT,
        maxTicksLimit: 7,
        callback: (value) => `${Math.round(Number(value))} ${unit}`,
      },
      border: { display: false },
    },
  };
}

/** Temperature over time: planned curves, the bands of the chocolate, and what a thermometer told. */
@Component({
  selector: 'ks-temperature-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LineChart],
  template: `<ks-line-chart [configuration]="configuration()" [description]="description()" />`,
  styles: `
    :host {
      display: block;
      position: relative;
      min-height: 0;
      min-width: 0;
    }
  `,
})
export class TemperatureChart {
  private readonly units = inject(Units);

  readonly curves = input.required<readonly ChartCurve[]>();
  readonly bands = input.required<readonly ChartBand[]>();
  readonly readings = input<Readings>();

  protected readonly description = computed(() => {
    const system = this.units.system();
    const curves = this.curves().map(({ name, points }) => {
      const last = points[points.length - 1];
      return last
        ? `${name}: up to ${text(Math.max(...points.map((point) => point.celsius)), 'temperature', system)}, ${text(last.seconds, 'duration', system)} long`
        : name;
    });
    const readings = this.readings();
    const told = readings ? [...readings.celsius].filter((c) => !Number.isNaN(c)) : [];
    const log =
      told.length > 0
        ? `; ${told.length} readings, the last ${text(told[told.length - 1], 'temperature', system)}`
        : '';
    return `Temperature over time. ${curves.join('; ')}${log}.`;
  });

  protected readonly configuration = computed<LineChartConfiguration>(() => {
    const shown = (celsius: number): number =>
      fromSi(celsius, this.units.system() === 'us' ? UNITS.fahrenheit : UNITS.celsius);
    const log = this.readings();
    const thin = log && thinnedReadings(log, STRETCHES);
    const planned = this.curves().map(({ points, second }) => ({
      data: points.map(({ seconds, celsius }) => ({ x: seconds / 60, y: shown(celsius) })),
      borderColor: second ? '#1f6f78' : INK,
      borderWidth: 2,
      borderDash: second ? [5, 4] : thin ? [2, 3] : [],
      pointRadius: 0,
      tension: 0,
    }));
    const told = thin
      ? [
          {
            data: Array.from(thin.seconds, (s, i) => ({ x: s / 60, y: shown(thin.celsius[i]) })),
            borderColor: TONES.ceiling,
            backgroundColor: TONES.ceiling,
            borderWidth: 2,
            pointRadius: thin.seconds.length < 60 ? 3 : 0,
            spanGaps: false,
            tension: 0,
          },
        ]
      : [];
    const { low, high } = this.span(thin, shown);
    const unit = this.units.system() === 'us' ? '°F' : '°C';
    return {
      type: 'line',
      data: { datasets: [...told, ...planned] },
      plugins: [
        bandPlugin(
          this.bands().map(({ fromC, toC, ...band }) => ({
            ...band,
            from: shown(fromC),
            ...(toC === undefined ? {} : { to: shown(toC) }),
          })),
        ),
      ],
      options: {
        ...CHART_OPTIONS,
        layout: { padding: { right: 4, top: 6 } },
        scales: scalesOf(low, high, unit),
      },
    };
  });

  private span(thin: Readings | undefined, shown: (celsius: number) => number): { low: number; high: number } {
    const all = [
      ...this.curves().flatMap(({ points }) => points.map((point) => point.celsius)),
      ...this.bands().map((band) => band.fromC),
      ...(thin ? [...thin.celsius].filter((c) => !Number.isNaN(c)) : []),
    ];
    // On fives of what is shown, so that the scale does not go down to the next ten.
    return {
      low: Math.floor(shown(Math.min(...all, 20)) / 5) * 5,
      high: Math.ceil(shown(Math.max(...all, 34) + 2.5) / 5) * 5,
    };
  }
}

type ShownBand = Pick<ChartBand, 'name' | 'tone' | 'under'> & { readonly from: number; readonly to?: number };

/** Draws the bands behind the curves, and over them the name of each at the right, moved apart where they would cover each other. */
function bandPlugin(bands: readonly ShownBand[]): Plugin<'line'> {
  return {
    id: 'bands',
    beforeDatasetsDraw({ ctx, chartArea: { left, right }, scales }) {
      const y = scales['y'];
      if (!y) return;
      ctx.save();
      for (const { tone, from, to } of bands) {
        const at = y.getPixelForValue(to ?? from);
        ctx.fillStyle = `${TONES[tone]}2e`;
        ctx.strokeStyle = TONES[tone];
        ctx.setLineDash(tone === 'mark' ? [2, 4] : []);
        ctx.lineWidth = 1;
        if (to !== undefined) ctx.fillRect(left, at, right - left, y.getPixelForValue(from) - at);
        else {
          ctx.beginPath();
          ctx.moveTo(left, at);
          ctx.lineTo(right, at);
          ctx.stroke();
        }
      }
      ctx.restore();
    },
    afterDatasetsDraw({ ctx, chartArea: { left, right, top }, scales, data }) {
      const y = scales['y'];
      const x = scales['x'];
      if (!y || !x) return;
      // A name under its band stands below what runs there, where names are.
      const runs = data.datasets
        .flatMap((set) => set.data as readonly { readonly x: number; readonly y: number }[])
        .filter((point) => x.getPixelForValue(point.x) > left + NAMES_FROM * (right - left) && !Number.isNaN(point.y));
      const clear = Math.max(0, ...runs.map((point) => y.getPixelForValue(point.y)));
      ctx.save();
      ctx.font = `${CHART_FONT.size}px ${CHART_FONT.family}`;
      ctx.textAlign = 'right';
      let lowest = Infinity;
      for (const { name, tone, from, to, under } of [...bands].sort((a, b) => a.from - b.from)) {
        ctx.fillStyle = TONE_INKS[tone];
        ctx.textBaseline = under ? 'top' : 'bottom';
        lowest = under
          ? lowest
          : Math.max(top + CHART_FONT.size, Math.min(y.getPixelForValue(to ?? from) - 2, lowest - CHART_FONT.size - 2));
        const at = under ? Math.max(y.getPixelForValue(from), clear) + 3 : lowest;
        ctx.fillText(name, right - 2, at);
      }
      ctx.restore();
    },
  };
}
