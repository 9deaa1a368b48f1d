import { writeFileSync } from 'node:fs';
import {
  PRACTICE,
  PRACTICE_KITCHEN,
  practiceAnswer,
  practiceSummary,
  type PracticeAnswer,
} from '../src/testing/practice';
import { METHOD_AMOUNTS, amountAnswer } from '../src/testing/practice-amounts';
import { JOB_AMOUNTS } from '../src/testing/practice-job';

// The trade's intervals and amounts beside the engine's answers; printed, and kept in docs/practice.md.
const minutes = (value: number): string => (Number.isFinite(value) ? value.toFixed(1) : 'never');
const answers = PRACTICE.map(practiceAnswer);
const summary = practiceSummary(answers);
const percent = (share: number): string => `${Math.round(share * 100)} %`;

function why({ row, ratio, readyMinutes, latestMinutes, inside }: PracticeAnswer): string {
  if (inside) return '';
  if (row.minutes > latestMinutes) return 'longer than is of use: cold through by then';
  return ratio < 0.8
    ? `at the short end people go on a bare touch, the engine waits for ${row.waitsFor === 'touch' ? 'touch-set through' : 'three quarters set'} at ${minutes(readyMinutes)} min`
    : '';
}

const intervals = answers.map((answer) => {
  const { row, readyMinutes, latestMinutes, ratio, inside } = answer;
  return `| ${row.what} | ${row.kind} | ${row.minutes} | ${minutes(readyMinutes)} | ${minutes(latestMinutes)} | ${ratio.toFixed(2)} | ${inside ? 'yes' : '**no**'} | ${why(answer)} |`;
});
const amounts = [...METHOD_AMOUNTS, ...JOB_AMOUNTS].map((row) => {
  const { engine, unit, low, high, inside } = amountAnswer(row);
  return `| ${row.what} | ${low === high ? low : `${low} to ${high}`} ${unit} | ${engine.toFixed(2)} ${unit} | ${inside ? 'yes' : '**no**'} | ${row.note} |`;
});
const { roomC, fridgeC, freezerC } = PRACTICE_KITCHEN;
const text = `# The trade's figures beside the engine's

Written by \`npm run practice\`. Common practice, no source; people's intervals are round and carry a margin. Kitchen: room ${roomC} °C, fridge ${fridgeC} °C, freezer ${freezerC} °C; one set of constants, calibrated once on all rows together.

${percent(summary.inside)} of ${summary.rows} intervals lie inside the window from ready to latest sensible, widened by a fifth; ${percent(summary.within16)} of the ratios lie within a factor of 1.6, ${percent(summary.within13)} within 1.3.

| interval | chocolate | people, min | ready, min | latest, min | ratio | inside | why not |
|---|---|---|---|---|---|---|---|
${intervals.join('\n')}

| amount | people | engine | inside | how it is compared |
|---|---|---|---|---|
${amounts.join('\n')}
`;
console.log(text);
writeFileSync('docs/practice.md', text);
