import { addDays, format, nextSaturday } from 'date-fns';
import type { Mold } from '../core/record/mold';
import { partsOfMold } from '../core/edit/parts';
import { SHIPPED_MOLDS } from './mold-library';
import { OCCASION_SCHEMA_VERSION, type Occasion } from '../core/record/occasion';
import { CASTING_SCHEMA_VERSION, type Casting, type Coat, type Filling, type Melt } from '../core/record/casting';
import type { Kitchen } from '../core/record/kitchen';
import { USUAL_KITCHEN } from './kitchen-usual';
import { SHIPPED_FILLINGS } from './fillings-shipped';
import { SHIPPED_CHOCOLATES } from './pantry-shipped';

/** Fillings that a casting starts with; the pantry has more. */
export const DEMO_FILLINGS: readonly Filling[] = SHIPPED_FILLINGS.filter(({ id }) =>
  ['spice', 'mallows', 'hazelnut', 'ganache', 'lentils'].includes(id),
);

function coat(id: string, method: Coat['method'], doseM3: number, wayUp: Coat['wayUp']): Coat {
  return {
    id,
    method,
    doseM3,
    wayUp,
    shares: [{ meltId: 'melt-1', share: 1 }],
    dwellSeconds: 10,
    standsIn: 'fridge',
    drainSeconds: 20,
    tappingSeconds: 10,
    turnSeconds: 20,
    volumeShare: 1,
    uprightSeconds: 0,
    where: 'all',
    sets: [{ place: 'fridge' }],
    then: [],
  };
}

function melt(chocolateId: string, workingC: number, school: Melt['school'], { bowls }: Kitchen): Melt {
  return {
    id: 'melt-1',
    source: { kind: 'chocolate', chocolateId },
    workingC,
    way: 'microwave',
    school,
    power: 0.8,
    bowlId: bowls[0].id,
    coolBowl: false,
    jacket: 'none',
    tests: [],
  };
}

/** A casting's own copy of a shipped mold. */
function castMold(id: string, atHand: number): Mold {
  const mold = SHIPPED_MOLDS.find((candidate) => candidate.id === id);
  if (!mold) throw new Error(`no shipped mold ${id}`);
  return { ...structuredClone(mold), atHand };
}

/** What every new casting starts from: two tipped-out coats in a 64 mm silicone mold of six. */
export function newCasting(id: string, name: string, now: Date, kitchen: Kitchen = USUAL_KITCHEN): Casting {
  return {
    schemaVersion: CASTING_SCHEMA_VERSION,
    id,
    name,
    createdAt: now.toISOString(),
    pieces: 12,
    due: supper(now),
    spareRule: { by: 'confidence', confidence: 0.95 },
    kitchen: structuredClone(kitchen),
    molds: [castMold('bombs', 1)],
    chocolates: SHIPPED_CHOCOLATES.map((chocolate) => structuredClone(chocolate)),
    tints: [],
    fillings: DEMO_FILLINGS.map((filling) => structuredClone(filling)),
    melts: [melt('quarry', 31.5, 'seeding', kitchen)],
    parts: [
      {
        id: 'half',
        name: 'Half',
        role: 'shell',
        perPiece: 2,
        filled: 'one',
        heaped: false,
        moldId: 'bombs',
        cavityId: 'cavity-1',
        prep: [],
        coatsBy: { by: 'count' },
        coats: [coat('coat-1', 'dump', 7.4e-6, 'upsideDown'), coat('coat-2', 'dump', 7.4e-6, 'upsideDown')],
        coveredRest: false,
      },
    ],
    fill: [],
    closure: {
      kind: 'warmPlate',
      meltId: 'melt-1',
      plateC: 45,
      seconds: 4,
      levelS: 0,
      rims: 'empty',
      sets: [{ place: 'room' }],
    },
    finishes: [],
    variants: [],
    onHand: [],
  };
}

/** A casting of the supper in another mold: one part a piece, or as many as its mold says, unfilled and open. */
function supperCasting(now: Date, id: string, name: string, pieces: number, moldId: string, coats: Coat[]): Casting {
  const casting = newCasting(id, name, now);
  casting.pieces = pieces;
  casting.molds = [castMold(moldId, 1)];
  const [mold] = casting.molds;
  casting.parts = partsOfMold(mold).map((one, i) => ({
    ...structuredClone(casting.parts[0]),
    ...one,
    id: i === 0 ? 'part' : `part-${i + 1}`,
    moldId,
    coats: structuredClone(coats),
  }));
  casting.closure = null;
  return casting;
}

/** The rest of the supper: one casting by each of the other ways of working. */
function furtherCastings(now: Date): Casting[] {
  const bonbons = supperCasting(now, 'demo-bonbons', 'Hazelnut bonbons', 24, 'bonbons', [
    {
      ...coat('coat-1', 'dump', 1e-6, 'upsideDown'),
      dwellSeconds: 30,
      sets: [{ place: 'room' }],
    },
  ]);
  bonbons.fill = [{ id: 'layer-1', partId: 'part', fillingId: 'hazelnut', amount: { by: 'line', belowRimM: 0.0025 } }];
  bonbons.closure = {
    kind: 'cap',
    meltId: 'melt-1',
    sets: [{ place: 'room', seconds: 1200 }, { place: 'fridge' }],
  };
  const cups = supperCasting(
    now,
    'demo-oat-cups',
    'Oat cups',
    8,
    'oat-cups',
    [coat('coat-1', 'spreadUp', 3.7e-6, 'upright'), coat('coat-2', 'spreadUp', 3.7e-6, 'upright')].map((one) => ({
      ...one,
      sets: [{ place: 'freezer' as const }],
    })),
  );
  cups.molds[0].atHand = 8;
  cups.fillings.push(...SHIPPED_FILLINGS.filter(({ id }) => id === 'custard').map((one) => structuredClone(one)));
  cups.fill = [{ id: 'layer-1', partId: 'part', fillingId: 'custard', amount: { by: 'share', share: 0.7 } }];
  cups.melts = [melt('fallow', 29.5, 'seeding', USUAL_KITCHEN)];
  const half = { ...coat('coat-1', 'solid', 7e-6, 'upright'), volumeShare: 0.92 };
  const owls = supperCasting(now, 'demo-owls', 'Standing owls', 4, 'owls', [
    half,
    { ...half, id: 'coat-2', method: 'clamp', volumeShare: 0.08 },
  ]);
  owls.melts = [melt('pebble', 36, 'meltOnly', USUAL_KITCHEN)];
  const acorns = supperCasting(now, 'demo-acorns', 'Pressed acorns', 6, 'acorns', [
    coat('coat-1', 'spoon', 7e-6, 'upright'),
  ]);
  acorns.melts = [melt('pebble', 36, 'meltOnly', USUAL_KITCHEN)];
  const layer = { ...coat('coat-1', 'solid', 7e-6, 'upright'), volumeShare: 0.45 };
  const tiles = supperCasting(now, 'demo-tiles', 'Seed-and-petal tiles', 12, 'seed-tiles', [
    layer,
    { ...layer, id: 'coat-2' },
  ]);
  tiles.melts = [melt('pebble', 36, 'meltOnly', USUAL_KITCHEN)];
  tiles.finishes = [
    { id: 'finish-1', kind: 'sprinkle', name: 'Seeds and petals', fillingId: 'seeds', share: 0.25, sets: [] },
  ];
  tiles.fillings.push(...SHIPPED_FILLINGS.filter(({ id }) => id === 'seeds').map((one) => structuredClone(one)));
  return [bonbons, smashedPears(now), cups, owls, acorns, tiles, foundBottle(now)];
}

/** A vessel: turned twice in a plastic bottle with its neck closed, set in the room, and cut out of it. */
function foundBottle(now: Date): Casting {
  const turned: Coat = { ...coat('coat-1', 'turn', 24e-6, 'upright'), sets: [{ place: 'room' }] };
  return supperCasting(now, 'demo-bottle', 'Perry bottle', 1, 'bottle', [turned, { ...turned, id: 'coat-2' }]);
}

/** Pears to be smashed: a blush brushed into one half of the mold, a light skin poured, and a dark coat brushed into it; filled through the opening that they stand on, and closed with a flat round. */
function smashedPears(now: Date): Casting {
  const light = coat('coat-1', 'dump', 7e-6, 'upsideDown');
  const dark = [{ meltId: 'melt-2', share: 1 }];
  const pears = supperCasting(now, 'demo-pears', 'Faceted pears', 6, 'pears', [
    light,
    { ...light, id: 'coat-2', method: 'brush', doseM3: 7e-6, shares: dark },
  ]);
  pears.melts = [
    melt('linen', 29.5, 'seeding', USUAL_KITCHEN),
    { ...melt('quarry', 31.5, 'seeding', USUAL_KITCHEN), id: 'melt-2' },
  ];
  pears.fill = [{ id: 'layer-1', partId: 'part', fillingId: 'lentils', amount: { by: 'share', share: 0.5 } }];
  pears.molds.push(castMold('rounds', 1));
  pears.parts[0].name = 'Pear';
  pears.parts[0].prep = [
    {
      id: 'prep-1',
      kind: 'brushed',
      name: 'Blush cocoa butter',
      colour: '#c4574a',
      pattern: 'half',
      share: 0.2,
      count: 12,
      spotM: 0.003,
      thickM: 0.00015,
      sets: [{ place: 'fridge' }],
    },
  ];
  pears.parts.push({
    ...structuredClone(pears.parts[0]),
    id: 'part-2',
    name: 'Base',
    role: 'base',
    moldId: 'rounds',
    prep: [],
    coats: [{ ...coat('coat-1', 'solid', 7e-6, 'upright'), volumeShare: 0.5, shares: dark }],
  });
  pears.closure = { kind: 'pipedSeam', meltId: 'melt-2', lineM: 0.003, sets: [{ place: 'room' }] };
  return pears;
}

/** The castings a first visit opens on: the supper's, the bombs first, and small bites by spoon. */
export function demoCastings(now: Date): Casting[] {
  const bombs = newCasting('demo-bombs', 'Cider-spice bombs', now);
  bombs.pieces = 18;
  bombs.mugDiameterM = 0.082;
  bombs.fill = [
    { id: 'layer-1', partId: 'half', fillingId: 'spice', amount: { by: 'volume', m3: 1.5 * 14.78676478125e-6 } },
    { id: 'layer-2', partId: 'half', fillingId: 'mallows', amount: { by: 'line', belowRimM: 0.003 } },
  ];

  const bites = newCasting('demo-bites', 'Pebble bites', now);
  bites.pieces = 24;
  bites.molds = [castMold('bites', 2)];
  bites.melts = [melt('pebble', 36, 'meltOnly', USUAL_KITCHEN)];
  bites.parts[0].moldId = 'bites';
  bites.parts[0].coats = [coat('coat-1', 'spoon', 1.85e-6, 'upright'), coat('coat-2', 'spoon', 1.85e-6, 'upright')];
  bites.parts[0].coveredRest = true;
  bites.fill = [
    { id: 'layer-1', partId: 'half', fillingId: 'ganache', amount: { by: 'volume', m3: 4.92892159375e-6 } },
  ];
  return [bombs, bites, ...furtherCastings(now)];
}

/** The next Saturday at 18:00, in the zone the person is in. */
function supper(now: Date): Casting['due'] {
  return {
    local: `${format(nextSaturday(now), 'yyyy-MM-dd')}T18:00`,
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  };
}

/** The hedgerow supper: all demo castings, made on the evening before and on the day. */
export function demoOccasions(now: Date): Occasion[] {
  const [{ due }] = demoCastings(now);
  const eve = format(addDays(new Date(`${due.local.slice(0, 10)}T00:00`), -1), 'yyyy-MM-dd');
  const day = due.local.slice(0, 10);
  return [
    {
      schemaVersion: OCCASION_SCHEMA_VERSION,
      id: 'demo-supper',
      name: 'Hedgerow supper',
      createdAt: now.toISOString(),
      due,
      castingIds: demoCastings(now).map(({ id }) => id),
      people: 1,
      stays: [
        { from: `${eve}T18:00`, to: `${eve}T21:00` },
        { from: `${day}T14:00`, to: `${day}T17:30` },
      ],
      holds: [],
      breakS: 0,
      inTurn: false,
      fromLeft: [],
      sets: [],
    },
  ];
}
