import { TestBed } from '@angular/core/testing';
import { MessageChannel, type MessagePort } from 'node:worker_threads';
import { expose } from 'comlink';
import papaparse from 'papaparse';
import { delimiterOf, readLog } from '../../core/melt/read-log';
import { Bench, closeWorkers, openDemo, until, wait } from '../../testing/bench';
import type { CastingStore } from '../state/casting-store';
import { PlanService } from '../state/plan-service';
import { START_LOG_WORKER } from './log-worker';
import { ThermometerPage } from './thermometer-page';

let store: CastingStore;
let bench: Bench<ThermometerPage>;
let delay: number | undefined = 0;
const ports: MessagePort[] = [];

/** The worker's own reading over a message channel, after a delay; undefined: it never answers. */
function startWorker(): Worker {
  const { port1, port2 } = new MessageChannel();
  ports.push(port1, port2);
  const read = async (text: string) => {
    await new Promise((resolve) => delay !== undefined && setTimeout(resolve, delay));
    return readLog(papaparse.parse<string[]>(text, { delimiter: delimiterOf(text) }).data);
  };
  expose({ read }, port2 as never);
  port1.start();
  return Object.assign(port1, { terminate: () => port1.close() }) as unknown as Worker;
}

beforeEach(async () => {
  delay = 0;
  TestBed.configureTestingModule({ providers: [{ provide: START_LOG_WORKER, useValue: startWorker }] });
  store = await openDemo();
  await until(() => TestBed.inject(PlanService).chillSource() === 'worker');
  bench = await Bench.of(ThermometerPage, { id: 'demo-bombs' });
});
afterEach(() => {
  document.body.replaceChildren();
  ports.splice(0).forEach((port) => port.close());
  closeWorkers();
});

const log = () => store.current()?.melts[0].thermometer;
const note = async (typed: string): Promise<void> => {
  await bench.type('It reads', typed);
  await bench.press('Note it');
};
const choose = async (text: string, name = 'log.csv', size = text.length): Promise<void> => {
  const input = bench.all<HTMLInputElement>('#log-file')[0];
  Object.defineProperty(input, 'files', {
    configurable: true,
    value: [{ name, size, text: () => Promise.resolve(text) }],
  });
  input.dispatchEvent(new Event('change'));
  await wait(60);
  await bench.settle();
  // Unless the reader is held back on purpose, its answer is waited for, however busy the machine is.
  for (let k = 0; k < 200 && delay === 0 && bench.text.includes('Reading “'); k++) {
    await wait(50);
    await bench.settle();
  }
};

describe('readings by hand', () => {
  it('are kept with the casting, and say what to do now', async () => {
    expect(bench.text).toContain('Melt first');
    await note('38');
    expect(bench.text).toContain('Melt on to 45 °C');
    await note('113 F');
    expect(bench.text).toContain('Seed now');
    expect(log()?.readings).toMatch(/^0,(38\n\d,)?45$/);
    store.undo();
    await bench.settle();
    expect(bench.text).toContain('Melt on to 45 °C');
  });

  it.each(['-300', '900', 'hot', '', '31,555', 'x'.repeat(41)])(
    '“%s” is refused with a sentence, kept as typed, and nothing is noted',
    async (typed) => {
      await note(typed);
      expect(log()).toBeUndefined();
      expect(bench.field('It reads').value).toBe(typed);
      expect(bench.all('.problem')[0].textContent?.length).toBeGreaterThan(10);
    },
  );

  it('are listed latest first, and can be taken out again', async () => {
    store.edit(
      'log',
      (casting) =>
        (casting.melts[0].thermometer = {
          name: '',
          startedAt: new Date().toISOString(),
          readings: '0,45\n60,33\n125,31.5',
        }),
    );
    await bench.settle();
    expect(bench.all('tbody tr').map((row) => row.textContent?.replace('take out', '').trim())).toEqual([
      '2:0531.5 °C',
      '1:0033 °C',
      '0:0045 °C',
    ]);
    await bench.press('Take the reading at 1:00 out');
    expect(log()?.readings).toBe('0,45\n125,31.5');
    await bench.press('Clear them');
    expect(log()).toBeUndefined();
  });
});

describe('readings from a file', () => {
  it('are looked at first, with what was odd, and kept only when taken', async () => {
    await choose('Uhrzeit;Fühler\n18:00:00;20,0\n18:02:00;45,0\n18:01:00;44\n18:03:00;900\n');
    expect(bench.text).toContain('3 readings over 3 min: time from “Uhrzeit”, temperature from “Fühler” in °C.');
    expect(bench.text).toContain('Line 4: the time goes back (“18:01:00”). Left out.');
    expect(bench.text).toContain('Line 5: 900 is nothing a thermometer can read. A gap is left there.');
    expect(log()).toBeUndefined();
    await bench.press('Keep them with this casting');
    expect(log()).toMatchObject({ name: 'log.csv', readings: '0,20\n120,45\n180,' });
    expect(bench.text).toContain('2 readings over 3 min, from “log.csv”');
    expect(bench.text).toContain('Seed now');
    // Readings by hand go on from the end of the file.
    await note('31,9');
    expect(log()?.readings).toMatch(/^0,20\n120,45\n18[0-9],(\n18[0-9],)?31\.9$/);
  });

  it.each([
    ['hello', 'is no table'],
    ['', 'is empty'],
    ['name,colour\na,red\nb,blue\n', 'reads as a time'],
  ])('%j is refused with a sentence, and the readings stay', async (text, says) => {
    await note('31');
    await choose(text);
    expect(bench.text).toContain(says);
    expect(bench.text).toContain('Your readings are as they were');
    expect(log()?.readings).toBe('0,31');
  });

  it('far too large is not even read, and reading can be cancelled', async () => {
    await choose('', 'big.csv', 50_000_000);
    expect(bench.text).toContain('far too many rows');
    delay = undefined;
    await choose('s,c\n0,20\n1,21\n');
    expect(bench.text).toContain('Reading “log.csv”…');
    await bench.press('Cancel');
    expect(bench.text).not.toContain('Reading “');
  });
});

describe('the temper test', () => {
  it('keeps each result with the casting, and says what follows', async () => {
    await bench.press('soft or bendy');
    expect(store.current()?.melts[0].tests).toMatchObject([{ way: 'paper', result: 'soft' }]);
    expect(bench.text).toMatch(/Too few crystals\..*stir in \d+ g more seed/);
    await bench.press('in the freezer');
    await bench.press('matt, firm, snaps');
    expect(store.current()?.melts[0].tests.at(-1)).toMatchObject({ way: 'freezer', result: 'firm' });
    expect(bench.text).toContain('In temper: cast now.');
    await bench.press('streaked or grainy');
    expect(bench.text).toContain('start over at 45 °C');
  });

  it('counts five minutes from a start', async () => {
    await bench.press('Start five minutes');
    await until(() => /0:0[1-9]/.test(bench.text));
    await bench.settle();
    expect(bench.text).toMatch(/0:0[1-9]/);
    expect(bench.text).not.toContain('Look at it');
    await bench.press('Again from 0');
    expect(bench.text).toContain('0:00');
  });
});
