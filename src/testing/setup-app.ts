import { deserialize, serialize } from 'node:v8';
import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless';

setupZonelessTestEnv();
// Browsers have had it for years; this page without a browser has not.
globalThis.structuredClone ??= <T>(value: T): T => deserialize(serialize(value)) as T;

// The page's own measuring of boxes, which the test's page has none of.
globalThis.ResizeObserver ??= class {
  observe(): void {
    // Nothing has a size here.
  }
  unobserve(): void {
    // Nothing was observed.
  }
  disconnect(): void {
    // Nothing was observed.
  }
};

// A canvas that cannot be drawn on, as the drawing is looked at in a real browser.
HTMLCanvasElement.prototype.getContext = () => null;

/** The test page has no viewport: whatever waits to be seen is seen at once. */
class SeenAtOnce implements IntersectionObserver {
  readonly root = null;
  readonly rootMargin = '';
  readonly thresholds: readonly number[] = [];

  constructor(private readonly seen: IntersectionObserverCallback) {}

  observe(target: Element): void {
    queueMicrotask(() => this.seen([{ isIntersecting: true, target } as IntersectionObserverEntry], this));
  }

  unobserve(): void {
    // Nothing is kept.
  }

  disconnect(): void {
    // Nothing is kept.
  }

  takeRecords(): IntersectionObserverEntry[] {
    return [];
  }
}
globalThis.IntersectionObserver = SeenAtOnce;
