import type { Type } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import fc from 'fast-check';
import { MELTING_WAYS, JACKETS, PLACES, THINNERS, WAYS_UP, COAT_AREAS } from '../../core/record/choices';
import type { Casting } from '../../core/record/casting';
import { LIMITS, type LimitName } from '../../core/record/limits';
import { readCasting } from '../../core/record/read-casting';
import { FLUIDITY_CLASSES } from '../../core/matter/chocolate';
import { MOLD_MATERIALS } from '../../core/matter/mold-material';
import { layersOf } from '../../core/plan/needs';
import { anyShape } from '../../testing/arbitrary-shape';
import { closeWorkers, openDemo } from '../../testing/bench';
import { demoCastings } from '../../data/demo';
import { plannedUnchilled } from '../../testing/planned';
import { Keys } from '../frame/keys';
import { makeCoatBy } from '../../core/edit/methods';
import { METHODS } from '../../core/record/method';
import { CastingStore } from '../state/casting-store';
import { OpenPart } from '../state/open-part';
import { PlanService } from '../state/plan-service';
import { BatchStation } from './batch/batch-station';
import { CastBefore } from './batch/cast-before';
import { VariantList } from './batch/variant-list';
import { ChillKitchen } from './chill/chill-kitchen';
import { ChillPlaces } from './chill/chill-places';
import { ChillStation } from './chill/chill-station';
import { CloseFields } from './close/close-fields';
import { CoatChocolate } from './coat/coat-chocolate';
import { CoatLayers } from './coat/coat-layers';
import { CoatExtras } from './coat/coat-extras';
import { CoatMaking } from './coat/coat-making';
import { CoatWay } from './coat/coat-way';
import { CoatNumbers } from './coat/coat-numbers';
import { FillLayers } from './fill/fill-layers';
import { FillStation } from './fill/fill-station';
import { FinishList } from './finish/finish-list';
import { FinishStation } from './finish/finish-station';
import { MeltChocolate } from './melt/melt-chocolate';
import { MeltMaking } from './melt/melt-making';
import { MoldStation } from './mold/mold-station';
import { PrepList } from './mold/prep-list';
import { PATTERNS, PREP_KINDS } from '../../core/record/prep';
import { MugFields } from './mold/mug-fields';
import { Notes } from './notes/notes';
import { PartList } from './parts/part-list';
import { sectionGeometry } from '../drawing/section-geometry';
import { weighOutTables } from './weigh-out/weigh-out-table';

/** As many sequences as are tried; each begins with a casting of the demo. */
const SEQUENCES = Number(process.env['SEQUENCES'] ?? 2000);

/** Choices at random, so that they shrink with the numbers they come from. */
class Chance {
  private next = 0;
  constructor(private readonly numbers: readonly number[]) {}

  share(): number {
    return this.numbers[this.next++ % this.numbers.length];
  }

  of<T>(list: readonly T[]): T {
    return list[Math.min(list.length - 1, Math.floor(this.share() * list.length))];
  }

  /** An amount within a limit; its ends now and then. */
  within(name: LimitName): number {
    const { low, high, dimension } = LIMITS[name];
    const share = this.share();
    const at = share < 0.08 ? low : share > 0.92 ? high : low + (high - low) * share ** 2;
    return dimension === 'count' ? Math.round(at) : at;
  }
}

type Loose = Readonly<Record<string, (...args: unknown[]) => unknown>>;
interface Hands {
  readonly store: CastingStore;
  readonly of: <T>(station: Type<T>) => Loose;
  readonly casting: () => Casting;
  readonly chance: Chance;
}
const values = (options: unknown): string[] =>
  (options as () => readonly { readonly value: string }[])().map(({ value }) => value);

/** Everything that the interface can do to a casting, by what it does it with. */
const DEEDS: Readonly<Record<string, (hands: Hands) => void>> = {
  more: ({ of }) => of(Keys as never)['pressed']('+'),
  less: ({ of }) => of(Keys as never)['pressed']('-'),
  undo: ({ store }) => void store.undo(),
  redo: ({ store }) => void store.redo(),
  method: ({ of, chance }) => of(CoatWay)['setMethod'](chance.of(values(of(CoatWay)['methods']))),
  count: ({ of, chance }) => of(CoatMaking)['setCount'](chance.of(values(of(CoatMaking)['counts']))),
  wanted: ({ of, chance }) => of(CoatMaking)['setWanted'](chance.within('wantedRimM')),
  chocolate: ({ of, chance, casting }) =>
    of(CoatChocolate)['setChocolate'](
      chance.share() < 0.5 ? [0] : partOf(casting()).coats.map((_, i) => i),
      sourceOf(of, chance),
    ),
  streak: ({ of, chance }) => of(CoatChocolate)['setStreak']([0], sourceOf(of, chance), chance.of([0, 0.1, 0.5])),
  stirIn: ({ of }) => of(CoatExtras)['stirIn'](),
  stirred: ({ of, chance }) => of(CoatExtras)['setMixed'](fillingOf(of, chance), chance.within('mixInShare')),
  notStirred: ({ of }) => of(CoatExtras)['clearMixed'](),
  stick: ({ of, chance }) =>
    of(CoatExtras)['setStick'](
      chance.of([undefined, { thickM: chance.within('stickM'), insideM: chance.within('stickInsideM') }]),
    ),
  fluidity: ({ of, chance }) => of(CoatChocolate)['setFluidity'](chance.of(FLUIDITY_CLASSES)),
  dose: ({ of, chance }) => of(CoatNumbers)['set']('doseM3', { value: chance.within('doseM3'), dimension: 'volume' }),
  dwell: ({ of, chance }) =>
    of(CoatNumbers)['set']('dwellSeconds', { value: chance.within('dwellSeconds'), dimension: 'duration' }),
  drain: ({ of, chance }) =>
    of(CoatNumbers)['set']('drainSeconds', { value: chance.within('drainSeconds'), dimension: 'duration' }),
  tapping: ({ of, chance }) =>
    of(CoatNumbers)['set']('tappingSeconds', { value: chance.within('tappingSeconds'), dimension: 'duration' }),
  turn: ({ of, chance }) =>
    of(CoatNumbers)['set']('turnSeconds', { value: chance.within('turnSeconds'), dimension: 'duration' }),
  wayUp: ({ of, chance }) => of(CoatWay)['setWayUp'](chance.of(WAYS_UP)),
  upright: ({ of, chance }) => of(CoatWay)['setUpright'](chance.within('uprightSeconds')),
  where: ({ of, chance }) => of(CoatWay)['setWhere'](chance.of(COAT_AREAS)),
  standsIn: ({ of, chance }) => of(CoatWay)['setStandsIn'](chance.of(PLACES)),
  which: ({ of, chance }) => of(CoatMaking)['setWhich'](chance.of(values(of(CoatMaking)['each'])) ?? 'alike'),
  moldC: ({ of, chance }) => of(CoatMaking)['setMold'](chance.of([undefined, chance.within('moldC')])),
  ownWay: ({ store, chance, casting }) =>
    void store.edit('one coat', (draft) => {
      const plan = TestBed.inject(PlanService).draft();
      const at = Math.floor(chance.share() * partOf(casting()).coats.length);
      if (plan) makeCoatBy(draft, at, chance.of(METHODS), plan);
    }),
  filled: ({ of, chance, casting }) =>
    of(CoatLayers)['fill'](chance.of(partOf(casting()).coats.map((_, i) => i)), {
      value: chance.within('volumeShare'),
      dimension: 'share',
    }),
  mold: ({ of, chance }) => of(MoldStation)['choose'](chance.of(values(of(MoldStation)['molds']))),
  cavity: ({ of, chance }) => of(MoldStation)['chooseCavity'](chance.of(values(of(MoldStation)['cavities']))),
  shape: ({ of, chance }) => of(MoldStation)['setShape']({ shape: chance.of(SHAPES), key: 'kind' }),
  cavities: ({ of, chance }) => of(MoldStation)['setCavities'](chance.within('cavities')),
  atHand: ({ of, chance }) => of(MoldStation)['setAtHand'](chance.within('moldsAtHand')),
  wall: ({ of, chance }) => of(MoldStation)['setWall'](chance.within('moldWallM')),
  gap: ({ of, chance }) => of(MoldStation)['setGap'](chance.within('gapM')),
  material: ({ of, chance }) => of(MoldStation)['setMaterial'](chance.of(MOLD_MATERIALS)),
  mug: ({ of, chance }) => of(MugFields)['set'](chance.of([undefined, 0.08])),
  prep: ({ of, chance }) => of(PrepList)['add'](chance.of(PREP_KINDS)),
  prepOut: ({ of, chance, casting }) => of(PrepList)['remove'](stepOf(casting(), chance)),
  prepKind: ({ of, chance, casting }) => of(PrepList)['setKind'](stepOf(casting(), chance), chance.of(PREP_KINDS)),
  prepOrder: ({ of, chance, casting }) => of(PrepList)['earlier'](stepOf(casting(), chance)),
  prepName: ({ of, chance, casting }) =>
    of(PrepList)['setName'](stepOf(casting(), chance), chance.of(['', '\u200b', 'x'.repeat(300), 'Pale red'])),
  prepColour: ({ of, chance, casting }) => of(PrepList)['setColour'](stepOf(casting(), chance), '#336699'),
  prepOf: ({ of, chance, casting }) => of(PrepList)['setSource'](stepOf(casting(), chance), sourceOf(of, chance)),
  prepPattern: ({ of, chance, casting }) => of(PrepList)['setPattern'](stepOf(casting(), chance), chance.of(PATTERNS)),
  prepShare: ({ of, chance, casting }) =>
    of(PrepList)['setNumber'](stepOf(casting(), chance), 'share', chance.within('prepShare')),
  prepSpots: ({ of, chance, casting }) =>
    of(PrepList)['setNumber'](stepOf(casting(), chance), 'count', Math.round(chance.within('spots'))),
  prepThick: ({ of, chance, casting }) =>
    of(PrepList)['setNumber'](stepOf(casting(), chance), 'thickM', chance.within('paintedM')),
  prepPlace: ({ of, chance, casting }) => of(PrepList)['setPlace'](stepOf(casting(), chance), chance.of(PLACES)),
  prepRest: ({ of, chance, casting }) => of(PrepList)['setRest'](stepOf(casting(), chance), chance.of([0, 600])),
  prepOwn: ({ of, chance, casting }) =>
    of(PrepList)['setOwn'](stepOf(casting(), chance), chance.of([undefined, chance.within('setMinutesS')])),
  part: ({ of, chance }) => of(PartList)['add'](chance.of(['secondHalf', 'size', 'lid', 'base', 'ornament'])),
  partOut: ({ of, chance, casting }) => of(PartList)['remove'](chance.of(casting().parts).id),
  perPiece: ({ of, chance }) => of(PartList)['setPerPiece'](1 + Math.floor(chance.share() * 23)),
  partName: ({ of, chance }) => of(PartList)['rename'](chance.of(['', '\u200b', 'x'.repeat(300), 'A half'])),
  otherPart: ({ chance, casting }) => TestBed.inject(OpenPart).open(chance.of(casting().parts).id),
  melt: ({ of, chance }) => of(MeltChocolate)['choose'](sourceOf(of, chance)),
  renew: ({ of }) => of(MeltChocolate)['renew'](),
  way: ({ of, chance }) => of(MeltMaking)['setWay'](chance.of(MELTING_WAYS)),
  school: ({ of, chance }) => of(MeltMaking)['setSchool'](chance.of(values(of(MeltMaking)['schools']))),
  working: ({ of, chance }) => of(MeltMaking)['setWorking'](chance.within('workingC')),
  power: ({ of, chance }) => of(MeltMaking)['setPower'](chance.within('microwavePower')),
  bowl: ({ of, chance }) => of(MeltMaking)['setBowl'](chance.of(values(of(MeltMaking)['bowls']))),
  coolBowl: ({ of, chance }) => of(MeltMaking)['setCoolBowl'](chance.of(['yes', 'no'])),
  jacket: ({ of, chance }) => of(MeltMaking)['setJacket'](chance.of(JACKETS)),
  thinner: ({ of, chance }) => of(MeltMaking)['setThinner'](chance.of(['none', ...THINNERS])),
  thinned: ({ of, chance }) => of(MeltMaking)['setThinnerShare'](chance.within('thinnerShare')),
  place: ({ of, chance, casting }) =>
    of(ChillPlaces)['setPlace'](chance.of(partOf(casting()).coats.map((_, i) => i)), chance.of(PLACES)),
  own: ({ of, chance }) => of(ChillPlaces)['setOwn'](0, chance.within('setMinutesS')),
  notOwn: ({ of }) => of(ChillPlaces)['setOwn'](0, undefined),
  rest: ({ of, chance }) => of(ChillPlaces)['setRest'](0, chance.of([0, 1200])),
  then: ({ of, chance }) => of(ChillPlaces)['setThen'](0, chance.within('afterColdS')),
  covered: ({ of, chance }) => of(ChillStation)['setCovered'](chance.of(['yes', 'no'])),
  degrees: ({ of, chance }) => of(ChillKitchen)['set']('fridgeC', chance.within('fridgeC')),
  layer: ({ of }) => of(FillLayers)['add'](),
  layerOut: ({ of, chance, casting }) => of(FillLayers)['remove'](chance.of(casting().fill)?.id),
  layerMoved: ({ of, casting }) => casting().fill.length > 1 && of(FillLayers)['move'](0, 1),
  filling: ({ of, chance, casting }) =>
    of(FillLayers)['setFilling'](chance.of(casting().fill)?.id, fillingOf(of, chance)),
  dip: ({ of, chance, casting }) =>
    of(FillLayers)['setDip'](chance.of(casting().fill)?.id, chance.share() < 0.3 ? '' : sourceOf(of, chance)),
  amount: ({ of, chance, casting }) =>
    of(FillLayers)['setAmount'](chance.of(casting().fill)?.id, {
      value: chance.within('fillMassKg'),
      dimension: 'mass',
    }),
  filledHalves: ({ of, chance }) => of(FillStation)['setFilled'](chance.of(['one', 'all'])),
  heaped: ({ of, chance }) => of(FillStation)['setHeaped'](chance.of(['yes', 'no'])),
  closing: ({ of, chance }) => of(CloseFields)['choose'](chance.of(values(of(CloseFields)['kinds']))),
  closingFrom: ({ of, chance }) => of(CloseFields)['setSource'](sourceOf(of, chance)),
  closingSets: ({ of, chance }) => of(CloseFields)['setPlace'](chance.of(PLACES)),
  closingChoice: ({ of, chance }) => of(CloseFields)['setChoice']('rims', chance.of(['empty', 'both', 'else'])),
  levelled: ({ of, chance }) => of(CloseFields)['setNumber']('levelS', chance.within('levelSeconds')),
  capDose: ({ of, chance }) => of(CloseFields)['setNumber']('doseM3', chance.within('doseM3')),
  plug: ({ of, chance }) => of(CloseFields)['setNumber']('thicknessM', chance.within('plugM')),
  closingRest: ({ of, chance }) => of(CloseFields)['setRest'](chance.of([0, 600, 1200])),
  closingOwn: ({ of, chance }) => of(CloseFields)['setOwn'](chance.of([undefined, 300, 900])),
  plate: ({ of, chance }) => of(CloseFields)['setNumber']('seconds', chance.within('plateSeconds')),
  finish: ({ of, chance }) => of(FinishStation)['add'](chance.of(['drizzle', 'sprinkle', 'dust', 'paint', 'stickOn'])),
  finishOut: ({ of, chance, casting }) => of(FinishList)['remove'](chance.of(casting().finishes)?.id),
  finishFrom: ({ of, chance, casting }) =>
    of(FinishList)['setSource'](chance.of(casting().finishes)?.id, sourceOf(of, chance)),
  stuck: ({ of, chance, casting }) =>
    of(FinishList)['setStuck'](chance.of(casting().finishes)?.id, chance.of(values(of(FinishList)['stuckOn']))),
  finished: ({ of, chance, casting }) =>
    of(FinishList)['setAmount'](chance.of(casting().finishes)?.id, 'share', chance.within('finishShare')),
  pieces: ({ of, chance }) => of(BatchStation)['setPieces'](chance.within('pieces')),
  variant: ({ of }) => of(VariantList)['add'](),
  variantOut: ({ of, chance, casting }) => of(VariantList)['remove'](variantOf(casting(), chance)),
  variantName: ({ of, chance, casting }) =>
    of(VariantList)['setName'](variantOf(casting(), chance), chance.of(['', '\u200b', 'x'.repeat(300), 'Pale ones'])),
  variantPieces: ({ of, chance, casting }) =>
    of(VariantList)['setPieces'](variantOf(casting(), chance), chance.within('pieces')),
  variantOf: ({ of, chance }) => {
    const rows = of(VariantList)['rows'] as unknown as () => readonly { readonly choices: readonly VariantChoice[] }[];
    const choice = chance.of(rows().flatMap(({ choices }) => choices)) as VariantChoice | undefined;
    if (choice) choice.choose(chance.of(choice.options).value);
  },
  variantPlain: ({ of, chance, casting }) =>
    of(VariantList)['setExtras'](
      variantOf(casting(), chance),
      [...casting().parts.flatMap(({ prep }) => prep), ...casting().finishes]
        .map(({ id }) => id)
        .filter(() => chance.share() < 0.5),
    ),
  there: ({ of, chance, casting }) =>
    of(CastBefore)['set'](
      partOf(casting()).id,
      chance.of([undefined, { parts: Math.round(chance.within('partsThere')) }, { parts: 4, on: '2026-10-10' }]),
    ),
  due: ({ of, chance }) =>
    of(BatchStation)['setDue'](chance.of(['2026-10-17T18:00', '2027-03-28T02:30', '2026-02-31T10:00'])),
  spares: ({ of, chance }) => of(BatchStation)['setRule'](chance.of(['share', 'confidence'])),
  onHand: ({ of, chance, casting }) =>
    of(BatchStation)['setOnHand'](chance.of(casting().chocolates).id, chance.of([undefined, 0, 1.2])),
  broke: ({ of, chance }) =>
    of(BatchStation)['setBreakages'](chance.of([undefined, { cast: 20, broken: 2 }, { cast: 2, broken: 5 }])),
  name: ({ store, chance }) =>
    store.edit('name', (casting) => (casting.name = chance.of(['', 'x'.repeat(121), 'Bombs', '🍫']))),
  advice: ({ of, chance, casting }) => {
    const problem = chance.of(plannedUnchilled(casting()).problems.filter(({ remedy }) => remedy));
    if (problem) of(Notes)['take'](problem);
  },
};

const SHAPES = fc.sample(anyShape, { numRuns: 60, seed: 7 });
const partOf = (casting: Casting): Casting['parts'][number] =>
  casting.parts.find(({ id }) => id === TestBed.inject(OpenPart).id()) ?? casting.parts[0];
const sourceOf = (of: Hands['of'], chance: Chance): string =>
  chance.of(values((of(CoatChocolate)['sources'] as unknown as { options: unknown }).options));
/** What a variant is chosen of. */
interface VariantChoice {
  readonly options: readonly { readonly value: string }[];
  readonly choose: (value: string) => void;
}
const variantOf = (casting: Casting, chance: Chance): string => chance.of(casting.variants)?.id ?? '';
const stepOf = (casting: Casting, chance: Chance): string => chance.of(partOf(casting).prep)?.id ?? '';
const fillingOf = (of: Hands['of'], chance: Chance): string =>
  chance.of(values((of(FillLayers)['fillings'] as unknown as { options: unknown }).options));

/** What has to be true of what is shown, whatever was done. */
function holds(casting: Casting): void {
  const plan = plannedUnchilled(casting);
  for (const system of ['metric', 'us'] as const) {
    for (const { rows } of weighOutTables(plan, system)) {
      for (const of of ['jobKg', 'perRoundKg'] as const) {
        const shown = rows.map((row) => row[of] ?? 0);
        expect(shown.slice(0, -1).reduce((sum, kg) => sum + kg, 0)).toBeCloseTo(shown[shown.length - 1], 9);
      }
    }
  }
  for (const { made, layer, count } of layersOf(plan)) {
    const { choice, mass } = layer;
    const need = plan.fillings.find(({ fillingId }) => fillingId === choice.filling.id)?.mass.value ?? 0;
    const film = made.dips.find(({ layerId }) => layerId === choice.id)?.dip.chocolateShare ?? 0;
    expect(need).toBeGreaterThanOrEqual((1 - film) * mass.value * count * (1 - 1e-9));
  }
  for (const part of plan.parts) {
    expect(
      JSON.stringify(
        sectionGeometry({ ...part, cap: undefined } as Parameters<typeof sectionGeometry>[0], 600, 400, false),
      ),
    ).not.toMatch(/NaN|null,null/);
  }
  expect(plan.piece.mass.value).toBeGreaterThanOrEqual(0);
  const made = new Set<string>();
  for (const { kind, meltIds = [] } of plan.batch.timeline.oneRound) {
    if (kind === 'melt') meltIds.forEach((id) => made.add(id));
    else for (const id of meltIds) expect([kind, id, made.has(id)]).toEqual([kind, id, true]);
  }
}

describe('whatever is done to a casting, in any order', () => {
  afterAll(closeWorkers);

  it('it reads back as it is, what is shown adds up, and nothing is drawn that is no number', async () => {
    const store = await openDemo('demo-bombs', () => undefined);
    const stations = new Map<unknown, Loose>();
    const of = <T>(station: Type<T>): Loose => {
      if (!stations.has(station))
        stations.set(
          station,
          (station === (Keys as unknown)
            ? TestBed.inject(Keys)
            : TestBed.runInInjectionContext(() => new station())) as unknown as Loose,
        );
      return new Proxy(stations.get(station) as object, {
        get: (target, key) => {
          const value = Reflect.get(target, key) as unknown;
          return typeof value === 'function' ? value.bind(target) : value;
        },
      }) as Loose;
    };
    const demo = demoCastings(new Date('2026-10-12T08:00:00Z'));
    const names = Object.keys(DEEDS);
    const done = new Set<string>();
    let run = 0;
    const casting = (): Casting => store.current() as Casting;
    fc.assert(
      fc.property(
        fc.constantFrom(...demo),
        fc.array(fc.constantFrom(...names), { minLength: 1, maxLength: 6 }),
        fc.array(fc.double({ min: 0, max: 1, noNaN: true, maxExcluded: true }), { minLength: 5, maxLength: 12 }),
        (first, deeds, numbers) => {
          const id = `run-${++run}`;
          store.add([{ ...first, id }], 'begin');
          store.open(id);
          const hands: Hands = { store, of, casting, chance: new Chance(numbers) };
          for (const deed of deeds) {
            // Undone to before it was there, it is begun again.
            if (!store.current()) store.add([{ ...first, id }], 'begin');
            DEEDS[deed](hands);
            done.add(deed);
            const now = store.current();
            if (!now) continue;
            const read = readCasting(JSON.parse(JSON.stringify(now)));
            expect(read.ok ? read.casting : read).toEqual(now);
          }
          if (store.current()) holds(casting());
          store.remove(id);
        },
      ),
      // A sequence is short enough to be read as it is.
      { numRuns: SEQUENCES, endOnFailure: true },
    );
    expect(names.filter((name) => !done.has(name))).toEqual([]);
  });
});
