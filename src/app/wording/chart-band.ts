/** A line of the chart that is a temperature to keep to, or a band to stay in, °C. */
export interface ChartBand {
  readonly name: string;
  readonly fromC: number;
  readonly toC?: number;
  readonly tone: 'work' | 'mark' | 'ceiling';
  /** Its name stands under it and not over it. */
  readonly under?: boolean;
}
