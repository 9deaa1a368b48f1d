import fc from 'fast-check';
import { FACETED_FORMS, OUTLINE_FORMS, type CavityShape } from '../core/cavity/shape';

const m = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });
/** Any shape within its limits. */
export const anyShape: fc.Arbitrary<CavityShape> = fc.oneof(
  m(0.01, 0.4).map((diameterM): CavityShape => ({ kind: 'hemisphere', diameterM })),
  fc.record({ diameterM: m(0.01, 0.4), share: m(0.05, 0.5) }).map(({ diameterM, share }): CavityShape => ({
    kind: 'cap',
    diameterM,
    depthM: Math.max(0.003, share * diameterM),
  })),
  fc.record({ kind: fc.constant('egg' as const), lengthM: m(0.01, 0.4), widthM: m(0.01, 0.4), depthM: m(0.01, 0.2) }),
  fc.record({ kind: fc.constant('cylinder' as const), diameterM: m(0.01, 0.4), depthM: m(0.003, 0.4) }),
  fc
    .record({ diameterM: m(0.01, 0.4), share: m(0, 1), depthM: m(0.003, 0.4) })
    .map(({ diameterM, share, depthM }): CavityShape => ({
      kind: 'cup',
      diameterM,
      baseDiameterM: share * diameterM,
      depthM,
    })),
  fc
    .record({ diameterM: m(0.01, 0.4), share: m(0.1, 1), depthM: m(0.003, 0.1), pleatFactor: m(1, 2) })
    .map(({ diameterM, share, depthM, pleatFactor }): CavityShape => ({
      kind: 'liner',
      diameterM,
      baseDiameterM: share * diameterM,
      depthM,
      pleatFactor,
    })),
  fc
    .record({
      kind: fc.constantFrom('tile' as const, 'pillow' as const),
      lengthM: m(0.01, 0.4),
      widthM: m(0.01, 0.4),
      depthM: m(0.003, 0.1),
      corner: m(0, 1),
    })
    .map(({ corner, ...shape }): CavityShape => ({
      ...shape,
      cornerM: (corner * Math.min(shape.lengthM, shape.widthM)) / 2,
    })),
  fc.record({
    kind: fc.constant('faceted' as const),
    form: fc.constantFrom(...FACETED_FORMS),
    diameterM: m(0.01, 0.4),
    facets: fc.integer({ min: 3, max: 24 }),
    depthM: m(0.01, 0.3),
  }),
  fc.record({
    kind: fc.constant('heart' as const),
    form: fc.constantFrom(...OUTLINE_FORMS),
    widthM: m(0.01, 0.4),
    lengthM: m(0.01, 0.4),
    depthM: m(0.003, 0.1),
  }),
  fc.record({
    kind: fc.constant('star' as const),
    form: fc.constantFrom(...OUTLINE_FORMS),
    diameterM: m(0.01, 0.4),
    tips: fc.integer({ min: 4, max: 12 }),
    waist: m(0.3, 0.9),
    depthM: m(0.003, 0.1),
  }),
  // Four points on a bulging half outline.
  fc
    .record({
      form: fc.constantFrom(...OUTLINE_FORMS),
      lengthM: m(0.02, 0.4),
      out: fc.tuple(m(0.006, 0.05), m(0.006, 0.05)),
      depthM: m(0.003, 0.1),
    })
    .map(({ form, lengthM, out: [low, high], depthM }): CavityShape => ({
      kind: 'drawn',
      form,
      points: [
        { radiusM: 0, heightM: 0 },
        { radiusM: low, heightM: 0.3 * lengthM },
        { radiusM: high, heightM: 0.7 * lengthM },
        { radiusM: 0, heightM: lengthM },
      ],
      depthM,
    })),
  fc
    .record({ diameterM: m(0.03, 0.4), share: m(0.2, 0.9) })
    .map(({ diameterM, share }): CavityShape => ({ kind: 'ball', diameterM, openingM: share * diameterM })),
  fc
    .record({ diameterM: m(0.01, 0.4), depthM: m(0.01, 0.2), share: m(0.2, 0.98) })
    .map(({ diameterM, depthM, share }): CavityShape => ({
      kind: 'measured',
      diameterM,
      depthM,
      volumeM3: share * (Math.PI / 4) * diameterM ** 2 * depthM,
    })),
  fc
    .array(fc.record({ radiusM: m(0.004, 0.1), rise: m(0.0015, 0.02) }), { minLength: 2, maxLength: 30 })
    .map((steps): CavityShape => {
      let heightM = 0;
      return {
        kind: 'turned',
        points: [
          { radiusM: 0, heightM: 0 },
          ...steps.map(({ radiusM, rise }) => ({ radiusM, heightM: (heightM += rise) })),
        ],
      };
    }),
);
