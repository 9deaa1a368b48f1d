import { execFileSync } from 'node:child_process';
import { cavityOf } from './cavity';
import { meridianOf } from './meridian';
import { FACETED_FORMS } from './shape';

const CASES = FACETED_FORMS.flatMap((form) =>
  [3, 5, 8, 12].map((facets) => ({ kind: 'faceted' as const, form, facets, diameterM: 0.06, depthM: 0.07 })),
);

/** Volume, mm³, and wall with floor, mm², as manifold-3d has them. */
const reference = JSON.parse(
  execFileSync(
    process.execPath,
    [
      'src/testing/reference-solids.mjs',
      JSON.stringify(
        CASES.map((shape) => {
          const { share, heightM } = meridianOf(shape);
          return {
            facets: shape.facets,
            radiusMm: (shape.diameterM * 1000) / 2,
            corners: Array.from(share, (s, i) => [s, heightM[i] * 1000]),
          };
        }),
      ),
    ],
    { encoding: 'utf8' },
  ),
) as { volume: number; wall: number }[];

describe('faceted bodies, against manifold-3d', () => {
  it.each(CASES.map((shape, i) => [shape.form, shape.facets, i] as const))(
    '%s of %i facets: volume and wall',
    (_, __, i) => {
      const cavity = cavityOf(CASES[i]);
      expect((cavity.volumeM3 * 1e9) / reference[i].volume).toBeCloseTo(1, 6);
      expect((cavity.wallAreaM2 * 1e6) / reference[i].wall).toBeCloseTo(1, 6);
    },
  );
});
