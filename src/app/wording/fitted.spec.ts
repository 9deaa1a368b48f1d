import { answer } from '../../core/quantity/answer';
import { fittedText } from './fitted';

const job = (endS: number, leastS: number) => ({
  total: answer(endS, 'duration', 'batch.fitted'),
  leastS,
  inTurnS: 169 * 60,
});

describe('what fitting the rounds into the waits comes to', () => {
  it('says what it saves, how sure that is, and what another mold would do', () => {
    const said = fittedText(job(150 * 60, 150 * 60), 96 * 60, 'metric');
    expect(said).toContain('Instead of 2 h 49 min');
    expect(said).toContain('They cannot be fitted closer.');
    expect(said).toContain('With one more of each mold: 96 min.');
  });

  it('says that it takes longer where chocolate is melted anew', () => {
    expect(fittedText(job(199 * 60, 180 * 60), undefined, 'metric')).toContain(
      '30 min more than the rounds by themselves',
    );
  });

  it('says that nothing is saved where there is nothing to do meanwhile, and how far off the least may be', () => {
    const said = fittedText(job(169 * 60, 100 * 60), 169 * 60, 'us');
    expect(said).toContain('takes as long as one after the other');
    expect(said).toContain('They cannot be fitted closer than 100 min.');
    expect(said).not.toContain('more of each mold');
  });
});
