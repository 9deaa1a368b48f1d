import { TestBed } from '@angular/core/testing';
import type { Subscription } from 'rxjs';
import { Bench, closeWorkers, openDemo, until } from '../../testing/bench';
import { StandInLink } from '../../testing/stand-in-link';
import { DEVICE_LINKS, OPENED, serverLink, workerLink, type DeviceLink } from './device-link';
import { DeviceDesk } from './device-desk';
import { Devices } from './devices';

let link: StandInLink;
let devices: Devices;
let listening: Subscription | undefined;

async function open(links: readonly DeviceLink[] = [link]): Promise<void> {
  TestBed.overrideProvider(DEVICE_LINKS, { useValue: links });
  await openDemo();
  devices = TestBed.inject(Devices);
}

beforeEach(() => (link = new StandInLink()));
afterEach(() => {
  listening?.unsubscribe();
  document.body.replaceChildren();
  closeWorkers();
});

describe('the devices', () => {
  it('are heard while somebody listens, and say nothing any more when the last has left', async () => {
    await open();
    const [one, other] = [devices.listening.subscribe(), devices.listening.subscribe()];
    link.pass(8);
    expect(devices.probe()).toMatchObject({ standing: 'settled', name: 'Simulated probe' });
    expect(devices.scale()).toMatchObject({ standing: 'settled', settled: 0 });
    one.unsubscribe();
    expect(devices.probe().standing).toBe('settled');
    other.unsubscribe();
    expect(devices.probe().standing).toBe('silent');
  });

  it('are told the job anew when their line is there again, and not what was done at the desk', async () => {
    await open();
    listening = devices.listening.subscribe();
    devices.tell({ kind: 'speed', speed: 10 });
    devices.tell({ kind: 'things', things: [{ name: 'A dose', kg: 0.01, byHand: true }] });
    devices.tell({ kind: 'scenario', scenario: 'warmRoom' });
    link.told.length = 0;
    link.openAgain();
    expect(link.told.map(({ kind }) => kind)).toEqual(['speed', 'things']);
  });

  it('go on by the next link that answers, and are silent where none does', async () => {
    const broken = new StandInLink();
    await open([broken, link]);
    listening = devices.listening.subscribe();
    broken.break();
    link.pass(8);
    expect(devices.probe().standing).toBe('settled');
    link.break();
    expect(devices.probe().standing).toBe('silent');
  });

  it('are silent once nothing has come for three seconds', async () => {
    await open();
    listening = devices.listening.subscribe();
    link.pass(8);
    expect(devices.scale().standing).toBe('settled');
    await until(() => devices.scale().standing === 'silent');
    expect(devices.scale()).toMatchObject({ standing: 'silent', value: undefined });
  });

  it('believe nothing that is no message of theirs', async () => {
    await open();
    listening = devices.listening.subscribe();
    link.pass(8);
    const before = [devices.probe(), devices.scale(), devices.desk()];
    for (const raw of [
      undefined,
      null,
      'x',
      {},
      { kind: 'reading', device: 'probe', value: 900 },
      { kind: 'desk' },
      [],
    ])
      link.say(raw);
    expect([devices.probe(), devices.scale(), devices.desk()]).toEqual(before);
  });

  it('are driven from the desk', async () => {
    await open();
    const desk = await Bench.of(DeviceDesk);
    devices.tell({ kind: 'things', things: [{ name: 'A dose', kg: 0.01, byHand: false }] });
    link.pass(8);
    await desk.settle();
    expect(desk.text).toMatch(/Probe2[01](\.\d)? °Csettled/);
    await desk.press('Unplug: Probe');
    link.pass(1);
    await desk.settle();
    expect(desk.text).toContain('unplugged: measure by hand');
    await desk.press('Plug in: Probe');
    await desk.choose('On the scale lies', 'A dose');
    link.pass(4);
    await desk.settle();
    expect(devices.scale().settled).toBe(0.01);
    await desk.press('Tare the scale');
    link.pass(4);
    expect(devices.scale().settled).toBe(0);
    await desk.choose('How the kitchen goes', 'warmRoom');
    expect(link.told).toContainEqual({ kind: 'scenario', scenario: 'warmRoom' });
    link.pass(60);
    await desk.settle();
    expect(desk.text).toMatch(/Probe2[67](\.\d)? °C/);
  });
});

describe('links', () => {
  it('to a server hear its events, say that they are opened, and end where it never answers', () => {
    const sources: FakeSource[] = [];
    class FakeSource {
      static readonly CLOSED = 2;
      readyState = 0;
      onopen?: () => void;
      onmessage?: (event: { data: string }) => void;
      onerror?: () => void;
      closed = false;
      constructor(readonly url: string) {
        sources.push(this);
      }
      close(): void {
        this.closed = true;
      }
    }
    const before = globalThis.EventSource;
    globalThis.EventSource = FakeSource as unknown as typeof EventSource;
    try {
      const said: unknown[] = [];
      const heard = serverLink().said.subscribe({ next: (one) => said.push(one), error: () => said.push('ended') });
      sources[0].onopen?.();
      sources[0].onmessage?.({ data: '{"kind":"x"}' });
      sources[0].onmessage?.({ data: 'no json' });
      // A line that was open is opened again by the browser.
      sources[0].onerror?.();
      expect(said).toEqual([OPENED, { kind: 'x' }, undefined]);
      heard.unsubscribe();
      expect(sources[0].closed).toBe(true);
      serverLink().said.subscribe({ error: () => said.push('ended') });
      sources[1].onerror?.();
      expect(said.at(-1)).toBe('ended');
    } finally {
      globalThis.EventSource = before;
    }
  });

  it('to a worker that cannot be made end in an error, so that the next is tried', () => {
    let ended = false;
    workerLink(() => {
      throw new Error('forbidden');
    }).said.subscribe({ error: () => (ended = true) });
    expect(ended).toBe(true);
  });
});
