/** A tube or small jar for details, and a bag for bulk, kg: a pound. Common practice, no source; the tube's weight is from memory. */
const TUBE_KG = 0.02;
const BAG_KG = 0.454;
/** Packs in which chocolate, colours and dusts are sold, kg. Common practice, no source. */
const USUAL_PACKS_KG = [TUBE_KG, 0.1, 0.25, BAG_KG, 1, 2.5] as const;
/** A pack so many times as large as what is to be bought is too large, and so many packs are too many. */
const TOO_LARGE = 4;
const TOO_MANY = 3;

/** The smallest usual pack that holds so much, else the largest, kg. */
export function usualPackKg(kg: number): number {
  return USUAL_PACKS_KG.find((pack) => pack >= kg) ?? USUAL_PACKS_KG[USUAL_PACKS_KG.length - 1];
}

/** A pack that is better bought than the one that was chosen, or than none, and how many of them; `kg` of it are to be bought. */
export interface BetterPack {
  readonly of: 'tube' | 'bag';
  readonly packKg: number;
  readonly packs: number;
}

/** A small tube where details alone are made of it, a bag where it takes many small packs. Undefined where the pack does. @param packKg undefined where none has been chosen */
export function betterPack(kg: number, packKg: number | undefined): BetterPack | undefined {
  if (!(kg > 0)) return undefined;
  if (kg <= TUBE_KG)
    return packKg === undefined || packKg >= TOO_LARGE * TUBE_KG
      ? { of: 'tube', packKg: TUBE_KG, packs: 1 }
      : undefined;
  const many = packKg === undefined ? kg >= BAG_KG : packKg < BAG_KG && kg > (TOO_MANY - 1) * packKg;
  return many && kg > BAG_KG / 2 ? { of: 'bag', packKg: BAG_KG, packs: Math.ceil(kg / BAG_KG - 1e-9) } : undefined;
}
