import { CHOCOLATE_KINDS, CHOCOLATE_MATTER, type ChocolateKind } from '../matter/chocolate';
import { USUAL_BOWLS } from './kitchen';
import { gridOf } from './mold-cavities';

type Raw = Record<string, unknown>;

/**
 * Brings a raw casting of an older version up to the present one, step by step; anything else comes back as it is.
 * Runs on what the browser stored and on what is imported alike, before the record is checked.
 */
export function upgradeCasting(raw: Raw): Raw {
  const second = raw['schemaVersion'] === 1 ? secondVersion(raw) : raw;
  const third = second['schemaVersion'] === 2 ? thirdVersion(second) : second;
  const fourth = third['schemaVersion'] === 3 ? fourthVersion(third) : third;
  const fifth = fourth['schemaVersion'] === 4 ? fifthVersion(fourth) : fourth;
  const sixth = fifth['schemaVersion'] === 5 ? sixthVersion(fifth) : fifth;
  const seventh = sixth['schemaVersion'] === 6 ? seventhVersion(sixth) : sixth;
  const eighth = seventh['schemaVersion'] === 7 ? eighthVersion(seventh) : seventh;
  const ninth = eighth['schemaVersion'] === 8 ? ninthVersion(eighth) : eighth;
  // Version 10: heart, star and drawn outlines; sticks, dips and what is stirred in. Nothing of before is told otherwise.
  const tenth = ninth['schemaVersion'] === 9 ? { ...ninth, schemaVersion: 10 } : ninth;
  // Version 11: variants, and parts that were cast before; there were none.
  return tenth['schemaVersion'] === 10 ? { ...tenth, schemaVersion: 11, variants: [] } : tenth;
}

/** The same for an occasion. Version 2: what is packed together, whether colours are made of each other, and what is cast from what is left; before, nothing was. */
export function upgradeOccasion(raw: Raw): Raw {
  const second = raw['schemaVersion'] === 1 ? { ...raw, schemaVersion: 2, inTurn: false, fromLeft: [], sets: [] } : raw;
  // Version 3: which variants are packed; before, all were of the casting as it is chosen.
  const third = second['schemaVersion'] === 2 ? { ...second, schemaVersion: 3 } : second;
  // Version 4: a break; before, none was had.
  return third['schemaVersion'] === 3 ? { ...third, schemaVersion: 4, breakS: 0 } : third;
}

/** Version 2: molds say how their cavities lie in rows and columns, how they come together, and how they are cared for. */
function secondVersion(raw: Raw): Raw {
  const parts = listOf(raw['parts']);
  const molds = listOf(raw['molds']).map((mold) => {
    const halves = parts.some((part) => part['moldId'] === mold['id'] && part['perPiece'] === 2);
    const cavities = listOf(mold['cavities']).map(({ count, ...cavity }) => ({
      ...cavity,
      name: 'Cavity',
      ...(typeof count === 'number' && count >= 1 && Number.isInteger(count)
        ? gridOf(count)
        : { rows: count, columns: 1 }),
    }));
    return {
      ...mold,
      cavities,
      composition: { kind: halves ? 'halves' : 'single' },
      care: mold['material'] === 'polycarbonate' ? ['buff'] : ['tray'],
      notes: '',
    };
  });
  return { ...raw, schemaVersion: 2, molds };
}

/** Version 3: chocolates say what they are melted and seeded to, melts how they are made and in which bowl, the kitchen its bowls and fans. */
function thirdVersion(raw: Raw): Raw {
  const chocolates = listOf(raw['chocolates']);
  const kindOf = (chocolateId: unknown): ChocolateKind => {
    const kind = chocolates.find((chocolate) => chocolate['id'] === chocolateId)?.['kind'];
    return CHOCOLATE_KINDS.find((known) => known === kind) ?? 'dark';
  };
  const melts = listOf(raw['melts']).map(({ chocolateId, ...melt }) => ({
    ...melt,
    source: { kind: 'chocolate', chocolateId },
    way: 'microwave',
    school: kindOf(chocolateId) === 'compound' ? 'meltOnly' : 'seeding',
    power: 0.8,
    bowlId: USUAL_BOWLS[0].id,
    coolBowl: false,
    jacket: 'none',
    tests: [],
  }));
  const kitchen =
    typeof raw['kitchen'] === 'object' && raw['kitchen'] !== null
      ? { ...raw['kitchen'], fridgeFan: false, freezerFan: false, bowls: USUAL_BOWLS.map((bowl) => ({ ...bowl })) }
      : raw['kitchen'];
  return {
    ...raw,
    schemaVersion: 3,
    kitchen,
    melts,
    tints: [],
    chocolates: chocolates.map((chocolate) => ({ ...chocolate, ...bandsOf(chocolate, kindOf(chocolate['id'])) })),
  };
}

/** Version 4: coats say where they stand, how often they are turned and how far they fill, and how long they are in each place but the last. */
function fourthVersion(raw: Raw): Raw {
  // Of several places only the first was ever gone by.
  const parts = listOf(raw['parts']).map((part) => ({
    ...part,
    coats: listOf(part['coats']).map((coat) => ({
      ...coat,
      standsIn: 'fridge',
      turnSeconds: 20,
      volumeShare: 1,
      sets: listOf(coat['sets']).slice(0, 1),
    })),
  }));
  return { ...raw, schemaVersion: 4, parts: Array.isArray(raw['parts']) ? parts : raw['parts'] };
}

/** Version 5: parts have names and say how they are filled, fillings what they are mixed of, closures how they are done. */
function fifthVersion(raw: Raw): Raw {
  const parts = listOf(raw['parts']).map((part) => ({
    ...part,
    name: part['perPiece'] === 2 ? 'Half' : 'Part',
    filled: 'one',
    heaped: false,
  }));
  const closure = raw['closure'] as Raw | null;
  const done =
    closure?.['kind'] === 'pipedSeam'
      ? { ...closure, lineM: 0.003 }
      : closure && typeof closure === 'object'
        ? { ...closure, plateC: 45, seconds: 4 }
        : closure;
  const finishes = listOf(raw['finishes']).map((finish) => ({
    ...finish,
    ...(finish['kind'] === 'drizzle'
      ? { share: 0.2, lineM: 0.002 }
      : finish['kind'] === 'stickOn'
        ? { count: 1 }
        : { share: 0.2 }),
  }));
  return {
    ...raw,
    schemaVersion: 5,
    finishes: Array.isArray(raw['finishes']) ? finishes : raw['finishes'],
    parts: Array.isArray(raw['parts']) ? parts : raw['parts'],
    closure: done,
    fillings: Array.isArray(raw['fillings'])
      ? listOf(raw['fillings']).map((filling) => ({ ...filling, recipe: [] }))
      : raw['fillings'],
  };
}

/** What everyone had on hand before version 6, unless they said otherwise, kg. */
const ON_HAND_BEFORE_KG = 0.4;

/** Version 6: chocolate on hand is told for each, where it is not what the pantry holds; corners of a cavity are no rounder than it is wide. */
function sixthVersion(raw: Raw): Raw {
  const { atHandKg, ...rest } = raw;
  const source = listOf(raw['melts'])[0]?.['source'] as Raw | undefined;
  const tint = listOf(raw['tints']).find(({ id }) => id === source?.['tintId']);
  const chocolateId = source?.['chocolateId'] ?? (tint && listOf(tint['chocolates'])[0]?.['chocolateId']);
  const said = typeof atHandKg === 'number' && atHandKg !== ON_HAND_BEFORE_KG && chocolateId !== undefined;
  return {
    ...rest,
    schemaVersion: 6,
    onHand: said ? [{ chocolateId, kg: atHandKg }] : [],
    ...(Array.isArray(raw['molds']) ? { molds: listOf(raw['molds']).map(cornersWithin) } : {}),
  };
}

/** Version 7: a cap lies on what is in the cavity and is as thick as the room that leaves, and sets in one place at least. */
function seventhVersion(raw: Raw): Raw {
  const closure = raw['closure'] as Raw | null | undefined;
  if (closure?.['kind'] !== 'cap') return { ...raw, schemaVersion: 7 };
  const { kind, meltId, sets } = closure;
  const places = listOf(sets).length > 0 ? sets : [{ place: 'fridge' }];
  return { ...raw, schemaVersion: 7, closure: { kind, meltId, sets: places } };
}

/** Version 8: a coat may stand upright before it is turned over, and stay on in its mold once it has set. */
function eighthVersion(raw: Raw): Raw {
  const parts = listOf(raw['parts']).map((part) => ({
    ...part,
    coats: listOf(part['coats']).map((coat) => ({ ...coat, uprightSeconds: 0, then: [] })),
  }));
  return { ...raw, schemaVersion: 8, parts: Array.isArray(raw['parts']) ? parts : raw['parts'] };
}

/** As many painted and dusted layers as version 9 holds. */
const MOST_PREP = 8;

/**
 * Version 9: what is painted or dusted into a mold says in what pattern, how thick and in which colour, and where it sets; whatever closes a piece sets somewhere; what is stuck on says what
 * holds it. */
function ninthVersion(raw: Raw): Raw {
  const parts = listOf(raw['parts']).map((part) => ({
    ...part,
    prep: listOf(part['prep'])
      .slice(0, MOST_PREP)
      .map(({ id, name, kind }) => ({
        id,
        name,
        share: 0.2,
        count: 12,
        spotM: 0.003,
        ...(kind === 'paint'
          ? { kind: 'brushed', colour: '#a8432c', pattern: 'stripes', thickM: 0.00015, sets: [{ place: 'fridge' }] }
          : { kind, colour: '#c9a24a', pattern: 'all', thickM: 0.00004, sets: [{ place: 'room' }] }),
      })),
  }));
  const closure = raw['closure'] as Raw | null | undefined;
  const sets = listOf(closure?.['sets']);
  return {
    ...raw,
    schemaVersion: 9,
    ...(Array.isArray(raw['finishes'])
      ? {
          finishes: listOf(raw['finishes']).map((finish) =>
            finish['kind'] === 'stickOn' ? { ...finish, by: 'dot' } : finish,
          ),
        }
      : {}),
    parts: Array.isArray(raw['parts']) ? parts : raw['parts'],
    ...(closure && typeof closure === 'object'
      ? {
          closure: {
            ...closure,
            sets: sets.length > 0 ? sets : [{ place: 'room' }],
            ...(closure['kind'] === 'warmPlate' ? { levelS: 0, rims: 'empty' } : {}),
          },
        }
      : {}),
  };
}

/** Brings a raw mold of the library of an older version up to the present one. Version 2: as castings of version 6. */
export function upgradeMold(raw: Raw): Raw {
  return raw['schemaVersion'] === 1 ? { ...cornersWithin(raw), schemaVersion: 2 } : raw;
}

function cornersWithin(mold: Raw): Raw {
  if (!Array.isArray(mold['cavities'])) return mold;
  const cavities = listOf(mold['cavities']).map((cavity) => {
    const shape = cavity['shape'] as Raw | undefined;
    const [lengthM, widthM, cornerM] = [shape?.['lengthM'], shape?.['widthM'], shape?.['cornerM']].map(Number);
    return cornerM > Math.min(lengthM, widthM) / 2
      ? { ...cavity, shape: { ...shape, cornerM: Math.min(lengthM, widthM) / 2 } }
      : cavity;
  });
  return { ...mold, cavities };
}

/** Bands in order: versions before the third did not hold them to it. */
function bandsOf(chocolate: Raw, kind: ChocolateKind): Raw {
  const usual = CHOCOLATE_MATTER[kind];
  const given = (key: 'workFromC' | 'workToC' | 'ceilingC'): number =>
    Math.min(55, Math.max(20, Number(chocolate[key] ?? usual[key]) || usual[key]));
  const workFromC = Math.min(given('workFromC'), given('workToC'));
  const workToC = Math.max(given('workFromC'), given('workToC'));
  const ceilingC = Math.max(workToC, given('ceilingC'));
  if (kind === 'compound') return { workFromC, workToC, ceilingC, meltToC: workToC, seedToC: workFromC };
  const seedToC = Math.max(usual.seedToC, workFromC);
  return { workFromC, workToC, ceilingC, seedToC, meltToC: Math.max(usual.meltToC, ceilingC, seedToC + 1) };
}

function listOf(value: unknown): Raw[] {
  return Array.isArray(value) ? value.filter((entry): entry is Raw => typeof entry === 'object' && entry !== null) : [];
}
