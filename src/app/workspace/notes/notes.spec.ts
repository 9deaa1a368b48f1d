import { Bench, MONDAY, clockAt, wait, withDemo } from '../../../testing/bench';
import { Notes } from './notes';

const { store } = withDemo();
beforeEach(() => clockAt(MONDAY));
afterEach(() => void jest.useRealTimers());

describe('notes', () => {
  it('name what is wrong with a figure, and go when their advice is taken', async () => {
    store().edit('one coat', (casting) => casting.parts[0].coats.splice(1));
    const bench = await Bench.of(Notes);
    await wait(120);
    await bench.settle();
    const heads = (): (string | null)[] => bench.all('h3').map((head) => head.textContent?.trim() ?? null);
    expect(heads()).toContainEqual(expect.stringMatching(/^The rim comes out at 1.\d mm/));
    await bench.press('Make it thicker');
    await wait(120);
    await bench.settle();
    expect(heads()).not.toContainEqual(expect.stringMatching(/rim/i));
    store().undo();
    await wait(120);
    await bench.settle();
    expect(heads()).toContainEqual(expect.stringMatching(/rim/i));
  });

  it('say so when there is nothing to mend', async () => {
    store().edit('few', (casting) => (casting.pieces = 2));
    const bench = await Bench.of(Notes);
    await wait(120);
    await bench.settle();
    expect(bench.text).toContain('Nothing to mend');
  });
});
