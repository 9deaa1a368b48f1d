import { gridOf } from './mold-cavities';

type Raw = Record<string, unknown>;

/**
 * Brings a raw casting of an older version up to the present one, step by step; anything else comes back as it is.
 * Runs on what the browser stored and on what is imported alike, before the record is checked.
 */
export function upgradeCasting(raw: Raw): Raw {
  return raw['schemaVersion'] === 1 ? secondVersion(raw) : raw;
}

/** Version 2: molds say how their cavities lie in rows and columns, how they come together, and how they are cared for. */
function secondVersion(raw: Raw): Raw {
  const parts = listOf(raw['parts']);
  const molds = listOf(raw['molds']).map((mold) => {
    const halves = parts.some((part) => part['moldId'] === mold['id'] && part['perPiece'] === 2);
    const cavities = listOf(mold['cavities']).map(({ count, ...cavity }) => ({ ...cavity, name: 'Cavity', ...(typeof count === 'number' && count >= 1 && Number.isInteger(count) ? gridOf(count) : { rows: count, columns: 1 }) }));
    return { ...mold, cavities, composition: { kind: halves ? 'halves' : 'single' }, care: mold['material'] === 'polycarbonate' ? ['buff'] : ['tray'], notes: '' };
  });
  return { ...raw, schemaVersion: 2, molds };
}

function listOf(value: unknown): Raw[] {
  return Array.isArray(value) ? value.filter((entry): entry is Raw => typeof entry === 'object' && entry !== null) : [];
}
