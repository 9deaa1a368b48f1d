import { ApplicationRef, Injectable, inject } from '@angular/core';

/**
 * Every other animation frame, for what changes many times a second: all changes are made after one frame is drawn and
 * are drawn with the next, so that no frame has to do both. `next` calls back once, within three frames, in the order asked.
 */
@Injectable({ providedIn: 'root' })
export class Turns {
  private readonly app = inject(ApplicationRef);
  private waiting: (() => void)[] = [];
  private underWay = false;

  next(work: () => void): void {
    this.waiting.push(work);
    if (!this.underWay) this.take();
  }

  private take(): void {
    this.underWay = true;
    requestAnimationFrame(() => {
      // A task of its own comes after this frame's drawing; the page follows within it.
      setTimeout(() => {
        if (this.app.destroyed) return;
        for (const work of this.waiting.splice(0)) work();
        this.app.tick();
      });
      requestAnimationFrame(() => {
        this.underWay = false;
        if (this.waiting.length > 0) this.take();
      });
    });
  }
}
