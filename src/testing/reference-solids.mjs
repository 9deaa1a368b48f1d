// Bodies built by manifold-3d, for tests: reads [{ facets, radiusMm, corners: [[share, heightMm], …] } or { outline, depthMm }, …] and
// prints [{ volume, wall }, …].
// A process of its own, since the package is an ES module with WebAssembly.
import process from 'node:process';
import Module from 'manifold-3d';

const manifold = await Module();
manifold.setup();
const { CrossSection, Manifold } = manifold;

const polygon = (facets, radius) =>
  Array.from({ length: facets }, (_, k) => [
    radius * Math.cos((2 * Math.PI * k) / facets),
    radius * Math.sin((2 * Math.PI * k) / facets),
  ]);

const lid = (facets, radius) => (facets / 2) * radius ** 2 * Math.sin((2 * Math.PI) / facets);

/** What stands straight up from an outline [[xMm, yMm], …]: its volume, and the upright wall with the floor. */
function upright({ outline, depthMm }) {
  const section = new CrossSection([outline]);
  const solid = section.extrude(depthMm);
  return { volume: solid.volume(), wall: solid.surfaceArea() - section.area() };
}

/** Volume and side walls of the frusta between the corners, one on another, with the floor. */
function body({ facets, radiusMm, corners }) {
  let volume = 0;
  let wall = lid(facets, radiusMm * corners.find(([, height]) => height === 0)[0]);
  for (let i = 1; i < corners.length; i++) {
    const [[from, low], [to, high]] = [corners[i - 1], corners[i]];
    if (high <= low) {
      wall = lid(facets, radiusMm * to);
      continue;
    }
    // Built standing on its wider end: a pyramid then ends in a true point.
    const [wide, narrow] = from > to ? [from, to] : [to, from];
    const solid = Manifold.extrude([polygon(facets, radiusMm * wide)], high - low, 0, 0, [
      narrow / wide,
      narrow / wide,
    ]);
    volume += solid.volume();
    wall += solid.surfaceArea() - lid(facets, radiusMm * from) - lid(facets, radiusMm * to);
  }
  return { volume, wall };
}

process.stdout.write(
  JSON.stringify(JSON.parse(process.argv[2]).map((one) => (one.outline ? upright(one) : body(one)))),
);
