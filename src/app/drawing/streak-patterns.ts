import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** A coat as it is drawn: in one colour, or streaked with another by the pattern of its id. */
export interface Shade {
  readonly id: string;
  readonly plain: string;
  readonly streak: string | undefined;
}

/** What a shade is filled with. */
export function fillOf({ id, plain, streak }: Shade): string {
  return streak ? `url(#${id})` : plain;
}

/** The patterns that marbled coats are drawn with. */
@Component({
  selector: '[ksStreakPatterns]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (shade of shades(); track shade.id) {
      @if (shade.streak) {
        <svg:pattern
          [attr.id]="shade.id"
          width="26"
          height="15"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(24)"
        >
          <svg:rect width="26" height="15" [attr.fill]="shade.plain" />
          <svg:path
            d="M0 5q6-5 13 0t13 0M0 12q6-4 13 0t13 0"
            fill="none"
            [attr.stroke]="shade.streak"
            stroke-width="3"
          />
        </svg:pattern>
      }
    }
  `,
})
export class StreakPatterns {
  readonly shades = input.required<readonly Shade[]>();
}
