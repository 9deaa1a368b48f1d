import { PRACTICE, practiceAnswer, practiceSummary } from '../../testing/practice';
import { METHOD_AMOUNTS, amountAnswer } from '../../testing/practice-amounts';
import { JOB_AMOUNTS } from '../../testing/practice-job';

describe('the trade’s figures (common practice, no source)', () => {
  const answers = PRACTICE.map(practiceAnswer);

  it('lie inside the engine’s windows as often as one set of constants can be asked for', () => {
    const { rows, inside, within16, within13 } = practiceSummary(answers);
    expect(rows).toBeGreaterThanOrEqual(35);
    expect(inside).toBeGreaterThanOrEqual(0.77);
    expect(within16).toBeGreaterThanOrEqual(0.5);
    expect(within13).toBeGreaterThanOrEqual(0.4);
  });

  it('never ask for longer than is of use, but for half an hour in the freezer', () => {
    const longer = answers.filter(({ row, latestMinutes }) => row.minutes > latestMinutes * 1.2);
    expect(longer.map(({ row }) => `${row.what} ${row.minutes}`)).toEqual(['before unmolding, freezer, 76 mm half 30']);
  });

  // One coat of 1.5 tsp is less than a 64 mm half needs (most who crack shells did one thin coat), a spoon more than a small liner does; three quarters are told by eye, and spares as a round fifth.
  it('agree on amounts and on how many coats, but for four of them', () => {
    expect(
      [...METHOD_AMOUNTS, ...JOB_AMOUNTS].filter((row) => !amountAnswer(row).inside).map((row) => row.what),
    ).toEqual([
      'half of 64 mm, one spooned coat',
      'small paper liner, spread up',
      'cap on a bite three quarters full',
      'more than is needed, against breakages',
    ]);
  });
});
