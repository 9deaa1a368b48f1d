import { placesAlong, stretchOfArea, type LinePlace } from '../../../core/cavity/along-line';
import type { Line } from '../../../core/cavity/profile';
import { assembled, outsideLine, type AssembledPiece, type PlacedPart } from '../../../core/plan/assembled';
import { outsideOf } from '../../../core/plan/draft';
import type { Finish } from '../../../core/record/casting';
import { fillingOf } from '../../../core/record/references';
import { closed, cutCap, cutThrough, type Cut, type CutCap, type Place, type Spot } from '../../drawing/cut';
import { finishedLine, formOf, strewnAlong, stuckAlong, threadsAlong, type Form } from './finish-places';
import { coverPath, paintsOf, type DrawnPaint } from './cover-path';
import type { PlanDraft } from '../../../core/plan/plan-types';

/** Inner edge of a cap: what lies toward the filling. */
export interface CapEdge {
  readonly y: number;
  readonly halfWidth: number;
}

/** One part as drawn. */
export interface DrawnPart {
  readonly placed: PlacedPart;
  readonly cut: Cut;
  /** Where its name points: the middle of its wall, on the right. */
  readonly at: Spot;
  /** The same for each layer that it holds. */
  readonly layersAt: readonly Spot[];
  readonly cap: CapEdge | undefined;
}

/** What a finish puts on the piece. */
export interface DrawnFinish {
  readonly finish: Finish;
  /** Threads and pieces as outlines to fill, dust and paint as a line to draw. */
  readonly path: string;
  readonly at: Spot;
}

/** Everything the drawing of a piece shows, px; all of it at one scale. */
export interface PieceGeometry {
  readonly piece: AssembledPiece;
  readonly pxPerM: number;
  readonly axisX: number;
  readonly groundY: number;
  readonly topY: number;
  readonly halfWidth: number;
  readonly parts: readonly DrawnPart[];
  /** What was painted into the molds, in the order in which it was. */
  readonly paints: readonly DrawnPaint[];
  readonly finishes: readonly DrawnFinish[];
  /** Beads of a piped line at the seam, or a plug. */
  readonly closingPath: string | undefined;
  readonly closingAt: Spot | undefined;
  readonly cap: CapEdge | undefined;
}

/** Room kept free around the piece, px. */
export interface PieceMargin {
  readonly top: number;
  readonly bottom: number;
  readonly left: number;
  readonly right: number;
}

/** How far into a body or a wall the line to its name reaches, px. */
const INTO_BODY_PX = 7;
const INTO_WALL_PX = 2;
/** Lays a finished piece out in a box of `width` by `height` px. Pure; knows nothing of the page. */
export function pieceGeometry(plan: PlanDraft, width: number, height: number, margin: PieceMargin): PieceGeometry {
  const piece = assembled(plan);
  const widestM = Math.max(
    ...piece.placed.map(({ draft }) => outsideLine(draft).radiusM.reduce((most, r) => Math.max(most, r), 0)),
  );
  const tallM = piece.height.value;
  const standsOff = standingOff(plan);
  // On a part that is turned over it may stand on top, and on any at its sides.
  const onTopM = piece.top.turned || piece.topped ? standsOff : 0;
  const pxPerM = Math.max(
    1,
    Math.min(
      (width - margin.left - margin.right) / (2 * (widestM + standsOff)),
      (height - margin.top - margin.bottom) / (tallM + onTopM),
    ),
  );
  const axisX = (margin.left + width - margin.right) / 2;
  const groundY = margin.top + (height - margin.top - margin.bottom + (tallM + onTopM) * pxPerM) / 2;
  const placeOf = placing(axisX, groundY, pxPerM);
  const cap = cutCap(plan.close);
  const parts = piece.placed.map((placed) => drawn(placed, placeOf(placed), pxPerM, cap));
  const top = placeOf(piece.top);
  return {
    piece,
    pxPerM,
    axisX,
    groundY,
    parts,
    topY: groundY - tallM * pxPerM,
    halfWidth: widestM * pxPerM,
    paints: piece.placed.flatMap((placed) => paintsOf(plan.casting, placed, placeOf(placed))),
    finishes: plan.finishes.flatMap(({ finish }) => finishDrawn(plan, finish, piece, top, pxPerM)),
    ...closing(plan, piece, placeOf, pxPerM),
    cap: parts.find(({ cap }) => cap)?.cap,
  };
}

/** How far what is strewn or stuck on stands off the piece, m. */
function standingOff({ casting, finishes }: PlanDraft): number {
  return finishes.reduce((most, { finish }) => {
    if ((finish.kind !== 'stickOn' && finish.kind !== 'sprinkle') || finish.fillingId === undefined) return most;
    return Math.max(most, formOf(fillingOf(casting, finish.fillingId)).tallM);
  }, 0);
}

/** Puts points of a part's cut, as told with its opening up, where they stand in the piece. */
function placing(axisX: number, groundY: number, pxPerM: number): (placed: PlacedPart) => Place {
  return ({ draft: { cavity }, turned, openingM }) =>
    (r, z) => ({ x: axisX + r * pxPerM, y: groundY - (openingM + (turned ? 1 : -1) * (cavity.depthM - z)) * pxPerM });
}

function drawn(placed: PlacedPart, place: Place, pxPerM: number, cap: CutCap | undefined): DrawnPart {
  const { cavity, coat, fill } = placed.draft;
  const holds = { ...fill, layers: placed.layers, heapM: placed.layers.length > 0 && !placed.turned ? fill.heapM : 0 };
  const capped = cap && !coat.body && placed.layers.length > 0 ? cap : undefined;
  const cut = cutThrough({ cavity, coat, fill: holds, cap: capped }, pxPerM, 1, place);
  const { radiusM, heightM } = outsideLine(placed.draft);
  const middle = halfUp(
    heightM,
    coat.body
      ? coat.coats.reduce((most, { levels }) => Math.max(most, levels?.toM ?? 0), 0)
      : cavity.depthM - heightM[0],
  );
  const wall = place(radiusM[middle], heightM[middle]);
  const layersAt = holds.layers.map(({ fromM, toM }, i) => {
    const floor = cavity.depthM - fill.depthM;
    return { x: place(0, 0).x + 0.6 * (cut.layers[i]?.halfWidth ?? 0), y: place(0, floor + (fromM + toM) / 2).y };
  });
  const { radiusM: inner } = fill.inside;
  const handle = capped && {
    y: place(0, cavity.depthM - capped.belowM - capped.thicknessM).y,
    halfWidth: inner[inner.length - 1] * pxPerM,
  };
  return {
    placed,
    cut,
    layersAt,
    cap: handle,
    at: { x: wall.x - (coat.body ? INTO_BODY_PX : INTO_WALL_PX), y: wall.y },
  };
}

/** Where a rising line is half as high as a level above its lowest point. */
function halfUp(heightM: Float64Array, levelM: number): number {
  return Math.max(
    0,
    heightM.findIndex((z) => z - heightM[0] >= levelM / 2),
  );
}

function closing(
  { close, closure }: PlanDraft,
  piece: AssembledPiece,
  placeOf: (placed: PlacedPart) => Place,
  pxPerM: number,
): Pick<PieceGeometry, 'closingPath' | 'closingAt'> {
  const body = piece.placed.find(({ draft }) => draft.part.role !== 'base') ?? piece.placed[0];
  const { cavity } = body.draft;
  const place = placeOf(body);
  const rimR = cavity.profile.radiusM[cavity.profile.radiusM.length - 1];
  const rim = place(rimR, cavity.depthM);
  switch (closure?.kind) {
    case undefined:
      return { closingPath: undefined, closingAt: undefined };
    case 'warmPlate':
      return { closingPath: undefined, closingAt: rim };
    case 'pipedSeam':
    case 'lid': {
      const r = (closure.lineM / 2) * pxPerM;
      return {
        closingPath: [place(-rimR, cavity.depthM), rim].map((at) => disc(at, r, r, 0)).join(''),
        closingAt: rim,
      };
    }
    case 'cap':
    case 'dosedCap': {
      const { thicknessM = 0, belowM = 0 } = cutCap(close) ?? {};
      return { closingPath: undefined, closingAt: place(rimR * 0.5, cavity.depthM - belowM - thicknessM / 2) };
    }
    case 'plug': {
      const half = closure.holeM / 2;
      // In the opening of a vessel, or where the lower half was bored at its lowest point.
      const from = body.turned ? cavity.depthM : outsideLine(body.draft).heightM[0];
      const to = from + (body.turned ? -1 : 1) * closure.thicknessM;
      const corners = [place(-half, from), place(half, from), place(half, to), place(-half, to)];
      return { closingPath: closed(corners), closingAt: place(half * 0.6, (from + to) / 2) };
    }
  }
}

/** What a finish looks like on the outside of the topmost part: from its highest point down, which is the rim of one that stands with its opening up. */
function finishDrawn(
  plan: PlanDraft,
  finish: Finish,
  { top, topped }: AssembledPiece,
  place: Place,
  pxPerM: number,
): DrawnFinish[] {
  const outside = finishedLine(top, topped);
  const areaM2 = outsideOf(plan.parts);
  // Gone along backwards a line looks the other way.
  const looks = (at: LinePlace): number => (top.turned ? at.looks : at.looks - Math.PI);
  const on = (at: LinePlace, side: number, offM: number): Spot => {
    const spot = place(side * at.radiusM, at.heightM);
    return {
      x: spot.x + side * Math.sin(looks(at)) * offM * pxPerM,
      y: spot.y + (top.turned ? -1 : 1) * Math.cos(looks(at)) * offM * pxPerM,
    };
  };
  const tilt = (at: LinePlace, side: number): number => ((top.turned ? 1 : -1) * side * looks(at) * 180) / Math.PI;
  /** Bits of one size on one or both sides of the axis. */
  const bits = (at: LinePlace, sides: readonly number[], { wideM, tallM }: Form): string =>
    sides
      .map((side) => disc(on(at, side, tallM / 2), (wideM / 2) * pxPerM, (tallM / 2) * pxPerM, tilt(at, side)))
      .join('');
  switch (finish.kind) {
    case 'drizzle': {
      const r = (finish.lineM / 2) * pxPerM;
      return drawnOn(
        finish,
        threadsAlong(outside, finish, areaM2),
        (at) => [-1, 1].map((side) => disc(on(at, side, 0), r, r, 0)).join(''),
        (at) => on(at, 1, 0),
      );
    }
    case 'sprinkle': {
      const form = formOf(fillingOf(plan.casting, finish.fillingId));
      // An open face is strewn alike all over.
      const places = topped
        ? strewnAlong(outside, form, finish.share)
        : placesAlong(stretchOfArea(outside, finish.share * areaM2), form.wideM);
      return drawnOn(
        finish,
        places,
        (at) => bits(at, [-1, 1], form),
        (at) => on(at, 1, form.tallM / 2),
      );
    }
    case 'stickOn': {
      // A part that is cast stands in the piece itself.
      if (finish.fillingId === undefined) return [];
      const form = formOf(fillingOf(plan.casting, finish.fillingId));
      const { places, single } = stuckAlong(outside, finish.count, form, top.turned);
      return drawnOn(
        finish,
        places,
        (at) => bits(at, at === single ? [1] : [-1, 1], form),
        (at) => on(at, 1, form.tallM / 2),
      );
    }
    case 'dust':
    case 'paint':
      return coverDrawn(finish, stretchOfArea(outside, finish.share * areaM2), top.turned, place);
  }
}

/** What covers a stretch of the outside. */
function coverDrawn(finish: Finish, line: Line, turned: boolean, place: Place): DrawnFinish[] {
  const middle = Math.floor(line.radiusM.length / 2);
  const at = place(line.radiusM[middle], line.heightM[middle]);
  return [{ finish, path: coverPath(line, turned, place), at }];
}

function drawnOn(
  finish: Finish,
  places: readonly LinePlace[],
  shape: (at: LinePlace) => string,
  spot: (at: LinePlace) => Spot,
): DrawnFinish[] {
  return places.length === 0
    ? []
    : [{ finish, path: places.map(shape).join(''), at: spot(places[Math.floor(places.length / 2)]) }];
}

/** An ellipse as a path, turned by so many degrees. */
function disc({ x, y }: Spot, rx: number, ry: number, degrees: number): string {
  const [dx, dy] = [rx * Math.cos((degrees * Math.PI) / 180), rx * Math.sin((degrees * Math.PI) / 180)];
  const n = (value: number): string => value.toFixed(2);
  const arc = (to: string): string => `A${n(rx)} ${n(ry)} ${n(degrees)} 0 1 ${to}`;
  return `M${n(x - dx)} ${n(y - dy)}${arc(`${n(x + dx)} ${n(y + dy)}`)}${arc(`${n(x - dx)} ${n(y - dy)}`)}Z`;
}
