import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Finding } from '../../core/clinic/findings';

/** What a fault is drawn on. */
const BODIES = {
  half: 'M12 60a36 42 0 0 1 72 0z',
  closed: 'M18 40a30 30 0 0 0 60 0a30 30 0 0 0-60 0z',
  bowl: 'M12 24h72a36 38 0 0 1-72 0z',
  mold: 'M4 20h88v8H76a28 30 0 0 1-56 0H4z',
  mug: 'M22 18h46v46H22zM68 28h8a6 6 0 0 1 0 22h-8',
} as const;

/** One fault: what it is drawn on, and what is drawn as a line, as a dark spot, and as a pale one. */
interface Fault {
  readonly on: keyof typeof BODIES;
  readonly line?: string;
  readonly dark?: string;
  readonly pale?: string;
  /** Beside it: steam, light, drips, the way it should go. */
  readonly out?: string;
}

/** A round spot. */
const dot = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0${-2 * r} 0z`;
const dots = (r: number, ...at: readonly (readonly [number, number])[]): string =>
  at.map(([x, y]) => dot(x, y, r)).join('');
const SEAM = 'M18 40h60';

const FAULTS: Readonly<Record<Finding, Fault>> = {
  crackedRim: { on: 'half', pale: 'M26 61l5-11 6 4 5-7 8 14z', line: 'M42 47l4-8M31 50l-3-7' },
  crackedAcross: { on: 'half', line: 'M22 38l10 5 4 9 12-8 9 7 15-10' },
  sticks: { on: 'mold', dark: 'M26 34a22 20 0 0 0 20 16l4-8-10-3-4-8z', pale: 'M62 46l8-9-5-3z' },
  willNotLetGo: { on: 'mold', dark: 'M24 28h48a24 25 0 0 1-48 0z', out: 'M48 14v-10M43 8l5-5 5 5' },
  dull: { on: 'half', pale: 'M34 32c8-8 22-8 26 0s-4 16-14 15-18-9-12-15z' },
  streaks: { on: 'half', line: 'M24 52c8-18 18-2 26-18M36 56c8-14 18 2 32-14M46 24c8 4 12 0 18 6' },
  bloom: { on: 'half', pale: 'M16 58c4-22 18-36 32-36 6 10-6 14-4 22s-10 6-8 14z' },
  spots: { on: 'half', pale: dots(4, [36, 34], [54, 30], [62, 46], [44, 48], [28, 50]) },
  soft: { on: 'half', line: 'M30 28c6 8 14 10 20 2', out: 'M62 66c6 5 14 4 20-3M72 71c4 3 9 2 13-2' },
  prints: { on: 'half', line: 'M40 46a8 9 0 0 1 16 0M43 48a5 6 0 0 1 10 0M37 46a11 13 0 0 1 22 0M46 50a2 3 0 0 1 4 0' },
  sweat: {
    on: 'half',
    pale: 'M34 34c4 6 4 9 0 9s-4-3 0-9zM52 26c4 6 4 9 0 9s-4-3 0-9zM64 42c4 6 4 9 0 9s-4-3 0-9zM46 46c4 6 4 9 0 9s-4-3 0-9z',
  },
  seeThrough: { on: 'half', pale: dot(54, 36, 8), out: 'M62 26l10-12M66 34l14-8' },
  bubbles: {
    on: 'half',
    dark: dots(2.4, [34, 40], [42, 30], [52, 38], [60, 30], [66, 46], [46, 50], [30, 52], [56, 52]),
  },
  feet: { on: 'half', dark: 'M8 60h80v5H64l-3 6-3-6H38l-3 8-3-8H8z' },
  tooThick: { on: 'half', pale: 'M34 60a14 18 0 0 1 28 0z' },
  tooThin: { on: 'half', pale: 'M15 60a33 39 0 0 1 66 0z' },
  colourOff: { on: 'half', pale: 'M30 40c6-12 26-14 34-2l-6 6 4 8-10-4-6 8-4-10z', out: 'M58 63v7M66 63v10M74 63v5' },
  seamGap: { on: 'closed', line: SEAM, pale: 'M32 39q16-8 32 0 -16 8-32 0z' },
  crackedClosed: { on: 'closed', line: `${SEAM}M50 12l-6 9 7 6-5 12M46 40l6 8-5 8` },
  leaks: { on: 'closed', line: SEAM, pale: 'M60 38c8 0 20 0 20 4s-6 4-6 12-5 8-5 0 0-12-9-12z' },
  fillingMoved: { on: 'closed', pale: 'M24 50c6-10 20 4 46-2a26 26 0 0 1-46 2z', line: SEAM },
  lumpyBowl: { on: 'bowl', pale: dots(5, [34, 32], [50, 30], [62, 36], [42, 44], [55, 48]) },
  scorched: {
    on: 'bowl',
    out: 'M34 18c-4-5 4-7 0-13M48 18c-4-5 4-7 0-13M62 18c-4-5 4-7 0-13',
    dark: dots(2.4, [38, 34], [50, 40], [60, 32], [46, 50]),
  },
  brokeCarried: { on: 'closed', line: 'M48 10l-8 14 12 8-10 12 8 10-6 16M62 14l-10 18 20 6' },
  willNotOpen: { on: 'mug', line: 'M22 34h46', dark: dot(45, 34, 12) },
};

/** A piece with one fault drawn on it. */
@Component({
  selector: 'ks-finding-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 96 76" aria-hidden="true">
      <path class="body" [attr.d]="body()" />
      <path class="dark" [attr.d]="fault().dark ?? ''" />
      <path class="pale" [attr.d]="fault().pale ?? ''" />
      <path class="line" [attr.d]="fault().line ?? ''" />
      <path class="line out" [attr.d]="fault().out ?? ''" />
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      height: auto;
      stroke-linejoin: round;
      stroke-linecap: round;
    }
    .body {
      fill: #6b4a36;
      stroke: none;
    }
    .dark {
      fill: #2d1c13;
    }
    .pale {
      fill: #e8d9c8;
    }
    .line {
      fill: none;
      stroke: #f6ede2;
      stroke-width: 2.6;
    }
    .out {
      stroke: var(--ember);
    }
  `,
})
export class FindingDrawing {
  readonly of = input.required<Finding>();
  protected readonly fault = computed(() => FAULTS[this.of()]);
  protected readonly body = computed(() => BODIES[this.fault().on]);
}
