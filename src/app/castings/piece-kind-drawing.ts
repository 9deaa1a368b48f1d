import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { PieceKind } from '../../core/edit/piece-kinds';

/** What is filled, what is drawn on it as lines, and what stands beside it; in a square of 48. */
interface Drawing {
  readonly body: string;
  readonly lines: string;
  readonly beside?: string;
}

const DRAWINGS: Readonly<Record<PieceKind, Drawing>> = {
  bomb: {
    body: 'M7 22a17 17 0 0 1 34 0zM7 26h34a17 17 0 0 1-34 0z',
    lines: 'M19 31v4M25 32v5M31 30v4',
  },
  bonbon: {
    body: 'M5 35c0-13 5-20 11-20h16c6 0 11 7 11 20z',
    lines: 'M5 35h38M14 22c3-2 7-3 11-3',
  },
  cup: {
    body: 'M6 14h36l-6 24H12z',
    lines: 'M6 14h36M15 19l2 15M24 19v15M33 19l-2 15',
  },
  tile: {
    body: 'M4 30 18 14h27L31 30zM4 30h27v5H4zM31 30l14-16v5L31 35z',
    lines: 'M4 30h27l14-16M31 30v5',
  },
  lollipop: {
    body: 'M24 4a13 13 0 1 1 0 26 13 13 0 0 1 0-26z',
    lines: 'M18 13c3-3 8-3 11-1',
    beside: 'M24 30v15',
  },
  ball: {
    body: 'M24 6a18 18 0 1 1 0 36 18 18 0 0 1 0-36z',
    lines: 'M6 24c9 4 27 4 36 0M14 14c2-2 4-3 7-4',
  },
  egg: {
    body: 'M24 4c9 0 15 13 15 22a15 18 0 0 1-30 0C9 17 15 4 24 4z',
    lines: 'M24 4c4 12 4 28 0 40M16 14c1-2 2-3 4-5',
  },
  figure: {
    body: 'M14 5l7 4h6l7-4-1 11c5 4 7 9 7 15 0 8-7 12-16 12S8 39 8 31c0-6 2-11 7-15z',
    lines: 'M19 18h.1M29 18h.1M22 23l2 2 2-2M24 30v13',
  },
  pressed: {
    body: 'M7 19C8 10 15 6 24 6s16 4 17 13zM10 21h28c0 11-6 20-14 23-8-3-14-12-14-23z',
    lines: 'M7 20h34',
    beside: 'M24 6V2',
  },
  vessel: {
    body: 'M20 4h8v10c7 3 10 8 10 15v11c0 2-1 4-4 4H14c-3 0-4-2-4-4V29c0-7 3-12 10-15z',
    lines: 'M18 4h12M16 28c0-4 2-7 5-9',
  },
  former: {
    body: 'M5 20c4 3 6-2 10 1s6-2 10 1 6-2 9 0 6-1 9-2c0 14-8 23-19 23S5 34 5 20z',
    lines: 'M13 28c1 4 3 7 7 9',
    beside: 'M9 15a15 13 0 0 1 30 0',
  },
  leaf: {
    body: 'M6 42C4 22 16 7 43 5c0 24-13 38-33 35z',
    lines: 'M6 42C14 30 24 20 36 12M19 28v-9M25 22l9 1M15 34l9 1',
  },
};

/** A kind of piece, drawn small. */
@Component({
  selector: 'ks-piece-kind-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 48 48" aria-hidden="true">
      <path class="body" [attr.d]="drawing().body" />
      <path class="lines" [attr.d]="drawing().lines" />
      <path class="lines beside" [attr.d]="drawing().beside" />
    </svg>
  `,
  styles: `
    :host,
    svg {
      display: block;
      width: 100%;
      height: 100%;
    }
    .body {
      fill: #7b5440;
    }
    .lines {
      fill: none;
      stroke: #f3e6d8;
      stroke-width: 1.6;
      stroke-linecap: round;
    }
    .beside {
      stroke: #b9ac9b;
      stroke-width: 2;
    }
  `,
})
export class PieceKindDrawing {
  readonly kind = input.required<PieceKind>();
  protected readonly drawing = computed(() => DRAWINGS[this.kind()]);
}
