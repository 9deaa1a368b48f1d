import { demoCastings } from '../../data/demo';
import { cavityOf } from '../cavity/cavity';
import { depthCurve } from '../cavity/depth-curve';
import { closeStation } from '../close/close';
import { usualClosing } from '../edit/closing';
import { CastingSchema } from './casting';
import {
  CLOSING_ROWS,
  CLOSURES,
  closingChoices,
  closingNumber,
  closingNumbers,
  isCap,
  isLid,
  isOnPlate,
  type Closure,
} from './closing';
import { LIMITS } from './limits';

const bombs = demoCastings(new Date('2026-10-10T12:00:00Z')).find(({ id }) => id === 'demo-bombs')!;
const closedBy = (closure: object): boolean => CastingSchema.safeParse({ ...bombs, closure }).success;

describe('ways of closing', () => {
  it.each(CLOSURES)(
    '%s as it is usually begun can be stored, and not with a number missing or past its limit',
    (kind) => {
      const usual = usualClosing(bombs, kind);
      expect(closedBy(usual)).toBe(true);
      for (const [key, { limit }] of closingNumbers(kind)) {
        expect(closedBy({ ...usual, [key]: undefined })).toBe(false);
        expect(closedBy({ ...usual, [key]: LIMITS[limit].high * 1.01 })).toBe(false);
      }
      for (const [key, options] of closingChoices(kind)) {
        for (const value of options) expect(closedBy({ ...usual, [key]: value })).toBe(true);
        expect(closedBy({ ...usual, [key]: 'else' })).toBe(false);
      }
      expect(closedBy({ ...usual, sets: [] })).toBe(false);
    },
  );

  it('a lid says which part it is, and nothing else does', () => {
    for (const kind of CLOSURES) expect('partId' in usualClosing(bombs, kind)).toBe(isLid(usualClosing(bombs, kind)));
    expect(closedBy({ ...usualClosing(bombs, 'lid'), partId: undefined })).toBe(false);
  });

  it('has no number of another', () => {
    expect(closingNumber(usualClosing(bombs, 'cap'), 'plateC')).toBeUndefined();
    expect([isCap(null), isLid(null), isOnPlate(null)]).toEqual([false, false, false]);
  });

  it('adds chocolate unless it says that it adds none, and more of it the wider or thicker it is', () => {
    const kgOf = (closure: Closure): number =>
      closeStation({
        closure,
        depthM: 0.03,
        rimLengthM: 0.2,
        rimThicknessM: 0.003,
        partKg: 0.03,
        rimColours: 1,
        inside: depthCurve(cavityOf({ kind: 'cylinder', diameterM: 0.06, depthM: 0.03 }).profile),
        filledToM: 0.02,
        rims: 2,
        squared: true,
        melt: { kind: 'dark', fatShare: 0.38, workingC: 31.5 },
        shell: { kind: 'dark', fatShare: 0.38 },
        kitchen: { roomC: 20, fridgeC: 5, freezerC: -18, fridgeFan: false, freezerFan: false },
        pieces: 12,
      }).mass.value;
    for (const kind of CLOSURES) {
      const usual = usualClosing(bombs, kind);
      const adds = CLOSING_ROWS[kind].adds !== 'nothing';
      expect(kgOf(usual) > 0).toBe(adds);
      for (const [key] of adds ? closingNumbers(kind) : [])
        expect(kgOf({ ...usual, [key]: closingNumber(usual, key)! * 1.5 })).toBeGreaterThan(kgOf(usual));
    }
  });
});
