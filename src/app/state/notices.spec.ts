import { Notices } from './notices';

describe('notices', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  it('go by themselves, but for one that is all there is to see', () => {
    const notices = new Notices();
    notices.say({ text: 'Copied.' });
    jest.advanceTimersByTime(7000);
    expect(notices.notice()?.text).toBe('Copied.');
    jest.advanceTimersByTime(2000);
    expect(notices.notice()).toBeUndefined();
    notices.say({ text: 'That page could not be loaded.', stays: true });
    jest.advanceTimersByTime(3_600_000);
    expect(notices.notice()?.text).toBe('That page could not be loaded.');
  });

  it('are over with what they were said about, and what was said since stands', () => {
    const notices = new Notices();
    const missing = { text: 'That page could not be loaded.', stays: true };
    notices.say(missing);
    notices.over(missing);
    expect(notices.notice()).toBeUndefined();
    notices.say(missing);
    notices.say({ text: 'Copied.' });
    notices.over(missing);
    expect(notices.notice()?.text).toBe('Copied.');
  });
});
