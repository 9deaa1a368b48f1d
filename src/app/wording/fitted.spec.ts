import { fittedText } from './fitted';

const job = { stretches: [], endS: 150 * 60, leastS: 150 * 60, inTurnS: 169 * 60, withMoreS: undefined };

describe('what fitting the rounds into the waits comes to', () => {
  it('says what it saves, how sure that is, and what another mold would do', () => {
    const said = fittedText({ ...job, withMoreS: 96 * 60 }, 'metric');
    expect(said).toContain('Instead of 2 h 49 min');
    expect(said).toContain('They cannot be fitted closer.');
    expect(said).toContain('With one more of each mold: 96 min.');
  });

  it('says that nothing is saved where there is nothing to do meanwhile, and how far off the least may be', () => {
    const said = fittedText({ ...job, endS: job.inTurnS, leastS: 100 * 60 }, 'us');
    expect(said).toContain('takes as long as one after the other');
    expect(said).toContain('They cannot be fitted closer than 100 min.');
    expect(said).not.toContain('more of each mold');
  });
});
