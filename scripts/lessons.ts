import { madeCooks, type CookWays } from '../src/testing/made-cooks';

// What the lessons of made-up cooks come to beside their hidden truth: for many cooks of each kind, after 1, 3 and 10 runs.
const COOKS = 200;
const KINDS: Readonly<Record<string, CookWays>> = {
  'looks nearly always, and often before the bell': { looks: 0.95, early: 0.4, strays: 0.02 },
  'looks mostly, seldom before the bell': { looks: 0.8, early: 0.2, strays: 0.05 },
  'never looks, and goes on when the bell goes': { looks: 0, early: 0, strays: 0 },
  'notes at random': { looks: 0.5, early: 0.2, strays: 1 },
};
const percent = (share: number): string => `${(100 * share).toFixed(0)} %`;

console.log(
  '| cooks | runs | ranges of 80 % that hold the truth | waits off the truth, median cook | at first | all cooks beside at first | as sure as at first |',
);
console.log('|---|---|---|---|---|---|---|');
for (const [name, ways] of Object.entries(KINDS)) {
  const { before, after } = madeCooks(COOKS, ways);
  for (const { runs, holds, off, ratio, sure } of after)
    console.log(
      `| ${name} | ${runs} | ${percent(holds)} | ${percent(Math.expm1(off))} | ${percent(Math.expm1(before))} | ${ratio.toFixed(2)} | ${sure.toFixed(2)} |`,
    );
}
