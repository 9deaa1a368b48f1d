/** The closed lists a record chooses from. */
export const PART_ROLES = ['shell', 'lid', 'base', 'ornament'] as const;
export type PartRole = (typeof PART_ROLES)[number];
/** A shell or a lid: a part that is joined to another by its rim. */
export const hasRim = ({ role }: { readonly role: PartRole }): boolean => role === 'shell' || role === 'lid';

/** Which of several alike in a piece take the filling. */
export const FILLED_PARTS = ['one', 'all'] as const;

export const PLACES = ['fridge', 'freezer', 'room'] as const;
export type Place = (typeof PLACES)[number];

export const WAYS_UP = ['upright', 'upsideDown'] as const;
export type WayUp = (typeof WAYS_UP)[number];

/** Where a spooned or brushed coat is laid; thin spots are filled up, the thinnest first. */
export const COAT_AREAS = ['all', 'sides', 'rim', 'thin'] as const;
export type CoatArea = (typeof COAT_AREAS)[number];

/** How chocolate is melted. */
export const MELTING_WAYS = ['microwave', 'doubleBoiler', 'bag', 'tube'] as const;
export type MeltingWay = (typeof MELTING_WAYS)[number];

/** What keeps a bowl warm. */
export const JACKETS = ['none', 'mitt', 'warmWater'] as const;
export type Jacket = (typeof JACKETS)[number];

/** Fats that thin chocolate; never water. */
export const THINNERS = ['cocoaButter', 'shortening', 'coconutOil'] as const;
export type Thinner = (typeof THINNERS)[number];
/** What each is called among what is bought. */
export const THINNER_GOODS: Readonly<Record<Thinner, string>> = {
  cocoaButter: 'Cocoa butter',
  shortening: 'Vegetable shortening',
  coconutOil: 'Coconut oil',
};

/** What a colour for chocolate is based on; one based on water seizes it, and gel mostly does. */
export const COLOUR_BASES = ['oil', 'cocoaButter', 'gel'] as const;
export type ColourBase = (typeof COLOUR_BASES)[number];

/** How temper is tried, and how the try comes out. */
export const TEST_WAYS = ['paper', 'freezer'] as const;
export type TestWay = (typeof TEST_WAYS)[number];
export const TEST_RESULTS = ['firm', 'soft', 'streaked'] as const;
export type TestResult = (typeof TEST_RESULTS)[number];

/** What holds a part that is stuck on. */
export const STUCK_BY = ['dot', 'melted'] as const;
export type StuckBy = (typeof STUCK_BY)[number];

/** What a mold wants before or while it is used. */
export const MOLD_CARE = ['buff', 'tray', 'flex', 'dryWell', 'coolWater', 'hotWater'] as const;
export type MoldCare = (typeof MOLD_CARE)[number];

export const ALLERGENS = ['milk', 'soy', 'nuts', 'peanuts', 'wheat', 'egg', 'sesame', 'gelatine'] as const;
export type Allergen = (typeof ALLERGENS)[number];

/** What pieces are packed in: a bag; a bag, each piece in a paper liner; a box, each piece in a liner. */
export const WRAPS = ['bag', 'linerBag', 'box'] as const;
export type Wrap = (typeof WRAPS)[number];

/** What is counted and not weighed. */
export const SUPPLIES = ['stick', 'liner', 'bag', 'tie', 'box', 'tag', 'gloves'] as const;
export type SupplyKind = (typeof SUPPLIES)[number];
