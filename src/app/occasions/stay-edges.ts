import { ChangeDetectionStrategy, Component, ElementRef, computed, inject, input, signal } from '@angular/core';
import { dueSeconds, localTime } from '../../core/record/due';
import { within } from '../../core/record/limits';
import { Occasions } from '../state/occasions';
import { dayText, timeText } from '../wording/times';
import { followPointer } from './follow-pointer';
import { OccasionView } from './occasion-view';
import type { TimetableScale } from './timetable-scale';

type End = 'from' | 'to';

/** Where a stay begins or ends, on the axis beside what is done in it. */
interface Edge {
  readonly stay: number;
  readonly end: End;
  /** Where it stands, % of the whole, and how many seconds a per cent are there. */
  readonly at: number;
  readonly secondsPerShare: number;
  readonly seconds: number;
  /** Between what it can be moved, minutes since 1970 UTC: a day either way, and not past the other end. */
  readonly leastMinutes: number;
  readonly mostMinutes: number;
}

/** Stays begin and end at such minutes, s, and are no shorter than that by dragging. */
const STEP_S = 300;
const SHORTEST_S = 900;
const DAY_S = 86_400;
/** What a key moves an edge by, s. */
const KEYS: Readonly<Record<string, number>> = { ArrowLeft: -900, ArrowRight: 900, ArrowDown: -900, ArrowUp: 900 };

/** The ends of the stays, to be dragged longer or shorter, by pointer or by arrow keys: a quarter of an hour a key. */
@Component({
  selector: 'ks-stay-edges',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (edge of edges(); track edge.stay + edge.end) {
      <div
        role="slider"
        tabindex="0"
        [class.ends]="edge.end === 'to'"
        [style.left.%]="edge.at + shift(edge)"
        [attr.aria-label]="'Stay ' + (edge.stay + 1) + (edge.end === 'from' ? ' begins' : ' ends')"
        [attr.aria-valuenow]="minutes(edge)"
        [attr.aria-valuemin]="edge.leastMinutes"
        [attr.aria-valuemax]="edge.mostMinutes"
        [attr.aria-valuetext]="said(edge)"
        [title]="(edge.end === 'from' ? 'You come at ' : 'You stay until ') + said(edge) + ': drag to change'"
        (pointerdown)="grab($event, edge)"
        (keydown)="press($event, edge)"
      >
        @if (drag()?.edge === edge) {
          <span>{{ said(edge) }}</span>
        }
      </div>
    }
  `,
  styleUrl: './stay-edges.less',
})
export class StayEdges {
  private readonly view = inject(OccasionView);
  private readonly occasions = inject(Occasions);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  readonly scale = input.required<TimetableScale>();
  protected readonly drag = signal<{ readonly edge: Edge; readonly share: number } | undefined>(undefined);
  private readonly stays = computed(() => {
    const [occasion, zone] = [this.view.occasion(), this.view.zone()];
    return (occasion?.stays ?? []).map(({ from, to }) => ({
      from: dueSeconds({ local: from, zone }),
      to: dueSeconds({ local: to, zone }),
    }));
  });
  protected readonly edges = computed(() =>
    this.scale().drawn.flatMap((span): Edge[] => {
      const middle = (span.from + span.to) / 2;
      const stay = this.stays().findIndex(({ from, to }) => from <= middle && middle <= to);
      if (stay < 0) return [];
      const own = this.stays()[stay];
      const edge = (end: End, at: number, least: number, most: number): Edge => ({
        stay,
        end,
        at,
        secondsPerShare: (span.to - span.from) / span.width,
        seconds: own[end],
        leastMinutes: Math.round(least / 60),
        mostMinutes: Math.round(most / 60),
      });
      return [
        edge('from', span.at, own.from - DAY_S, own.to - SHORTEST_S),
        edge('to', span.at + span.width, own.from + SHORTEST_S, own.to + DAY_S),
      ];
    }),
  );

  protected shift(edge: Edge): number {
    const drag = this.drag();
    return drag?.edge === edge ? drag.share : 0;
  }

  protected minutes(edge: Edge): number {
    return Math.round(this.moved(edge) / 60);
  }

  protected said(edge: Edge): string {
    const seconds = this.moved(edge);
    return `${dayText(seconds, this.view.zone())}, ${timeText(seconds, this.view.zone())}`;
  }

  protected grab(event: PointerEvent, edge: Edge): void {
    if (event.button !== 0) return;
    const shareOf = (px: number): number => (100 * px) / (this.host.parentElement?.clientWidth || 1);
    followPointer(
      event,
      (px) => this.drag.set({ edge, share: shareOf(px) }),
      (px) => {
        this.drag.set(undefined);
        if (px !== undefined) this.set(edge, edge.seconds + shareOf(px) * edge.secondsPerShare);
      },
    );
  }

  protected press(event: KeyboardEvent, edge: Edge): void {
    const by = KEYS[event.key];
    if (by === undefined || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    event.stopPropagation();
    this.set(edge, edge.seconds + by);
  }

  /** Where an edge stands, or is dragged to, s. */
  private moved(edge: Edge): number {
    return this.held(edge, edge.seconds + this.shift(edge) * edge.secondsPerShare);
  }

  /** At full five minutes, and no nearer to the other end than a stay is short. */
  private held({ stay, end }: Edge, seconds: number): number {
    const { from, to } = this.stays()[stay];
    const full = Math.round(seconds / STEP_S) * STEP_S;
    return end === 'from'
      ? within({ low: from - DAY_S, high: to - SHORTEST_S }, full)
      : within({ low: from + SHORTEST_S, high: to + DAY_S }, full);
  }

  private set(edge: Edge, seconds: number): void {
    const local = localTime(this.held(edge, seconds), this.view.zone());
    const what = `stay ${edge.stay + 1}`;
    this.occasions.edit(
      this.view.id(),
      what,
      ({ stays }) => void (stays[edge.stay] = { ...stays[edge.stay], [edge.end]: local }),
      `${this.view.id()} ${what}`,
    );
  }
}
