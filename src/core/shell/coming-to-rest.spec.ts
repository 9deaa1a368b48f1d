import { ComingToRest } from './coming-to-rest';

/** Follows a film whose pull falls away as given, by steps that grow from short ones to at most so many seconds. */
function followed(
  pullAt: (seconds: number) => number,
  longestS: number,
  setDownS = 100,
): { readonly rest: ComingToRest; readonly steps: number } {
  const rest = new ComingToRest();
  rest.setDown(setDownS);
  let now = setDownS;
  let steps = 0;
  let grown = 0.02;
  for (; now < setDownS + 600; steps++) {
    const pull = pullAt(now - setDownS);
    rest.before(pull, now);
    const dt = rest.longestStep(pull, Math.min(grown, longestS));
    grown = 1.7 * dt;
    now += dt;
    rest.after(now);
  }
  return { rest, steps };
}

describe('when a film comes to rest', () => {
  it.each([0.5, 5, 60])('is told from steps of up to %s s: where its pull falls to its yield', (longestS) => {
    // Falls to 1 after 40 ln 3 seconds, and on.
    const { rest } = followed((seconds) => 3 * Math.exp(-seconds / 40), longestS);
    expect(rest.flows).toBe(false);
    expect(Math.abs(rest.stillAfterSeconds - 40 * Math.log(3))).toBeLessThan(0.1);
  });

  it('takes few steps more for it', () => {
    expect(followed((seconds) => 3 * Math.exp(-seconds / 40), 5).steps).toBeLessThan(600 / 5 + 20);
  });

  it('never rests while it is pulled, and at once where it holds as it is set down', () => {
    expect(followed(() => 1.01, 10).rest.stillAfterSeconds).toBe(Infinity);
    expect(followed(() => 0.99, 10).rest.stillAfterSeconds).toBe(0);
  });
});
