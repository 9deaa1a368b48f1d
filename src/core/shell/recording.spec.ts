import { usualCoat } from '../../testing/coat-choice';
import { cavityOf } from '../cavity/cavity';
import { readings } from './laid-film';
import { recordShell } from './recording';
import { simulateShell } from './shell';
import type { ShellInput } from './shell-types';

const cavity = cavityOf({ kind: 'hemisphere', diameterM: 0.064 });
const kitchen = { roomC: 19.5, fridgeC: 5, freezerC: -18, fridgeFan: false, freezerFan: false };
const input: ShellInput = {
  cavity,
  material: 'silicone',
  moldWallM: 0.0025,
  roomC: 19.5,
  kitchen,
  coats: ['a', 'b'].map((id) => ({
    choice: usualCoat({ id, doseM3: 7e-6 }),
    handlingSeconds: 60,
    sets: [{ place: 'fridge', seconds: 600 }],
  })),
};

describe('pictures of a shell', () => {
  const frames = recordShell(input);

  it('follow one another, close together while it drains, from the first coat to the end', () => {
    for (let i = 1; i < frames.length; i++) expect(frames[i].seconds).toBeGreaterThanOrEqual(frames[i - 1].seconds);
    const drain = frames.filter((frame) => frame.coat === 0 && frame.phase === 'drain');
    expect(drain.length).toBeGreaterThan(40);
    expect(frames.length).toBeLessThan(600);
    const { seconds } = simulateShell(input);
    expect(frames[frames.length - 1].seconds).toBeCloseTo(seconds, 6);
  });

  it('end on what the simulation gives', () => {
    const { coats } = simulateShell(input);
    const total = readings(
      cavity.profile,
      coats[0].thicknessM.map((t, i) => t + coats[1].thicknessM[i]),
    );
    expect(frames[frames.length - 1].readings.rimM).toBeCloseTo(total.rimM, 6);
    expect(frames[frames.length - 1].readings.baseM).toBeCloseTo(total.baseM, 6);
  });

  it('thin the film while it drains, and set it while it stands', () => {
    const drain = frames.filter((frame) => frame.coat === 0 && frame.phase === 'drain');
    for (let i = 1; i < drain.length; i++)
      expect(drain[i].readings.rimM).toBeLessThanOrEqual(drain[i - 1].readings.rimM + 1e-9);
    const set = frames.filter((frame) => frame.coat === 0 && frame.phase === 'set');
    for (let i = 1; i < set.length; i++)
      expect(set[i].filmSet[20]).toBeGreaterThanOrEqual(set[i - 1].filmSet[20] - 1e-6);
    expect(set[set.length - 1].filmSet[20]).toBeGreaterThan(0.7);
    expect(set[set.length - 1].flows).toBe(false);
  });
});
