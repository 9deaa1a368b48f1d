/** The closed lists a record chooses from. */
export const PLACES = ['fridge', 'freezer', 'room'] as const;
export type Place = (typeof PLACES)[number];

export const METHODS = ['spoon', 'brush', 'dump'] as const;
export type Method = (typeof METHODS)[number];

export const WAYS_UP = ['upright', 'upsideDown'] as const;
export type WayUp = (typeof WAYS_UP)[number];

/** Where a spooned or brushed coat is laid. */
export const COAT_AREAS = ['all', 'sides', 'rim'] as const;
export type CoatArea = (typeof COAT_AREAS)[number];

/** What a mold wants before or while it is used. */
export const MOLD_CARE = ['buff', 'tray', 'flex', 'dryWell', 'coolWater'] as const;
export type MoldCare = (typeof MOLD_CARE)[number];

export const ALLERGENS = ['milk', 'soy', 'nuts', 'peanuts', 'wheat', 'egg', 'sesame', 'gelatine'] as const;
export type Allergen = (typeof ALLERGENS)[number];
