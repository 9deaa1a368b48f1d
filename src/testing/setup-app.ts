import { deserialize, serialize } from 'node:v8';
import { MessageChannel as NodeMessageChannel } from 'node:worker_threads';
import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless';

setupZonelessTestEnv();
// Browsers have had it for years; this page without a browser has not.
globalThis.structuredClone ??= <T>(value: T): T => deserialize(serialize(value)) as T;

globalThis.MessageChannel ??= NodeMessageChannel as unknown as typeof MessageChannel;

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

// Whoever reads this writes the day first and tells the time by 24 hours, wherever it is tried.
Object.defineProperty(navigator, 'language', { configurable: true, value: 'en-GB' });

// A canvas that cannot be drawn on, as the drawing is looked at in a real browser.
HTMLCanvasElement.prototype.getContext = () => null;

// The page's watching for what comes into sight, where nothing ever does.
globalThis.IntersectionObserver ??= class {
  observe(): void {
    // Nothing is in sight here.
  }
  unobserve(): void {
    // Nothing was observed.
  }
  disconnect(): void {
    // Nothing was observed.
  }
} as unknown as typeof IntersectionObserver;

// A list in a window of its own scrolls in it: here it is tall enough for all of them, and stays where it is.
Element.prototype.scrollTo = () => undefined;
Object.defineProperty(HTMLElement.prototype, 'clientHeight', {
  configurable: true,
  get(this: HTMLElement): number {
    return this.tagName === 'CDK-VIRTUAL-SCROLL-VIEWPORT' ? 5000 : 0;
  },
});
