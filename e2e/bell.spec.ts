import type { Page } from '@playwright/test';
import { begun, cast, counts, done, withClock } from './at-the-bench';
import { expect, test } from './kitchen';

/** What a microphone at the loudspeaker would have. */
interface Listened {
  /** The loudest tone now, Hz; 0 where it is silent. */
  loudestHz(): number;
  /** How often the screen was asked to stay on. */
  readonly askedForScreen: number;
}

/** The chime's two notes, e'' and a'' at 660 and 880 Hz. */
const NOTES_HZ = [660, 880];

/** Listens to all that goes to the loudspeaker, by the browser's own analyser. */
async function listen(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const connect = AudioNode.prototype.connect as (this: AudioNode, to: AudioNode) => AudioNode;
    let analyser: AnalyserNode | undefined;
    AudioNode.prototype.connect = function (this: AudioNode, to: AudioNode) {
      if (to instanceof AudioDestinationNode) {
        analyser ??= new AnalyserNode(to.context, { fftSize: 8192, smoothingTimeConstant: 0 });
        connect.call(this, analyser);
      }
      return connect.call(this, to);
    } as AudioNode['connect'];
    const loudestHz = (): number => {
      if (!analyser) return 0;
      const levels = new Float32Array(analyser.frequencyBinCount);
      analyser.getFloatFrequencyData(levels);
      const loudest = Math.max(...levels);
      return loudest < -60 ? 0 : (levels.indexOf(loudest) * analyser.context.sampleRate) / analyser.fftSize;
    };
    Object.assign(window, { loudestHz });
  });
}

const loudestHz = (page: Page) => page.evaluate(() => (window as unknown as Listened).loudestHz());

test('the bell can be tried before the start: two notes, one after the other, then silence', async ({ page }) => {
  await listen(page);
  await page.goto('/bench/casting/demo-bites');
  await page.getByRole('button', { name: 'Try it' }).click();
  for (const note of NOTES_HZ)
    await expect
      .poll(async () => Math.abs((await loudestHz(page)) - note), { intervals: [20], message: `${note} Hz` })
      .toBeLessThan(10);
  await expect.poll(() => loudestHz(page)).toBe(0);
});

test('where the browser lets nothing be heard and the screen go dark, it says so, and calls in writing', async ({
  page,
}) => {
  test.slow();
  await withClock(page);
  await page.addInitScript(() => {
    const refused = () => Promise.reject(new DOMException('Not here', 'NotAllowedError'));
    let asked = 0;
    Object.defineProperty(navigator, 'wakeLock', { value: { request: () => (asked++, refused()) } });
    Object.defineProperty(window, 'askedForScreen', { get: () => asked });
    AudioContext.prototype.resume = refused;
    Object.defineProperty(AudioContext.prototype, 'state', { get: () => 'suspended' });
  });
  await begun(page);
  await expect(page.getByText('This browser does not keep the screen on')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Sound: press to hear it' })).toBeVisible();
  await cast(page);
  await expect(counts(page)).toHaveText(/^[23]:\d\d$/);
  await page.clock.fastForward('04:00');
  await expect(page.getByText('Coat 1 sets: time is up. Next: Coat 2.')).toBeVisible();
  await expect(done(page)).toBeVisible();
  expect(await page.evaluate(() => (window as unknown as Listened).askedForScreen)).toBeGreaterThan(0);
});
