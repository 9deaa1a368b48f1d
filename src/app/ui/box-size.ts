import { DestroyRef, ElementRef, afterNextRender, inject, signal, type Signal } from '@angular/core';

/** A box on the page, px. */
export interface BoxSize {
  readonly width: number;
  readonly height: number;
}

/**
 * The size of the component that asks, or of the part of it that `selector` finds, as it changes. To be called where a component is made.
 * @param first stands until the page is drawn; @param least is what a drawing can do with at least
 */
export function boxSize(first: BoxSize, least: BoxSize, selector?: string): Signal<BoxSize> {
  const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  const destroyed = inject(DestroyRef);
  const size = signal(first);
  afterNextRender(() => {
    const box = (selector && host.querySelector(selector)) || host;
    const observer = new ResizeObserver(([entry]) =>
      size.set({
        width: Math.max(least.width, entry.contentRect.width),
        height: Math.max(least.height, entry.contentRect.height),
      }),
    );
    observer.observe(box);
    destroyed.onDestroy(() => observer.disconnect());
  });
  return size;
}
