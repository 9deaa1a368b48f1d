import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  ElementRef,
  afterRenderEffect,
  inject,
  input,
  viewChild,
} from '@angular/core';
import { Chart, LineController, LineElement, LinearScale, PointElement, type ChartConfiguration } from 'chart.js';

Chart.register(LineController, LineElement, PointElement, LinearScale);

/** A line chart as the drawing library takes it. */
export type LineChartConfiguration = ChartConfiguration<'line', { x: number; y: number }[]>;

/** What is written and drawn in charts, as in the rest of the page. */
export const CHART_FONT = { family: 'Figtree, system-ui, sans-serif', size: 12.5 };
export const CHART_INKS = { ink: '#26211d', soft: '#655c53', rule: '#ece6dc', edge: '#e0d8cc' } as const;
/** Still, and drawn as it is handed over. */
export const CHART_OPTIONS = {
  animation: false,
  responsive: true,
  maintainAspectRatio: false,
  normalized: true,
  parsing: false,
  events: [],
} as const satisfies LineChartConfiguration['options'] & object;

/** A line chart on a canvas, redrawn as its configuration changes; read out as its description. */
@Component({
  selector: 'ks-line-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<canvas #canvas role="img" [attr.aria-label]="description()"></canvas>`,
  styles: `
    :host {
      display: block;
      position: absolute;
      inset: 0;
    }
  `,
})
export class LineChart {
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private chart: Chart<'line', { x: number; y: number }[]> | undefined;

  readonly configuration = input.required<LineChartConfiguration>();
  readonly description = input.required<string>();

  constructor() {
    afterRenderEffect(() => this.draw(this.configuration()));
    inject(DestroyRef).onDestroy(() => this.chart?.destroy());
  }

  private draw(configuration: LineChartConfiguration): void {
    if (this.chart) {
      this.chart.data = configuration.data;
      this.chart.options = configuration.options ?? {};
      this.chart.config.plugins?.splice(0, 1, ...(configuration.plugins ?? []));
      this.chart.update('none');
      return;
    }
    const canvas = this.canvas().nativeElement;
    // Where a canvas cannot be drawn on, its description stands.
    if (canvas.getContext('2d')) this.chart = new Chart(canvas, configuration);
  }
}
