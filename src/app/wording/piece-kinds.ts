import type { PieceKind } from '../../core/edit/piece-kinds';

/** What a kind of piece is called, what a casting of it is named until it gets a name, and what its mold's two measures are. */
interface PieceKindWording {
  readonly name: string;
  readonly casting: string;
  readonly measures: readonly [string, string];
  /** What is said of it where it is chosen. */
  readonly hint: string;
}

export const PIECE_NAMES: Readonly<Record<PieceKind, PieceKindWording>> = {
  bomb: {
    name: 'Cocoa bomb',
    casting: 'Cocoa bombs',
    measures: ['Width of a half', 'Depth of a half'],
    hint: 'Two halves, filled loosely and joined on a warm plate.',
  },
  bonbon: {
    name: 'Bonbon',
    casting: 'Bonbons',
    measures: ['Width of a cavity', 'Depth of a cavity'],
    hint: 'A thin shell, filled to just below the rim and capped in the mold.',
  },
  cup: {
    name: 'Cup',
    casting: 'Cups',
    measures: ['Width of a cup', 'Depth of a cup'],
    hint: 'Spooned or spread up the side, filled and left open.',
  },
  tile: {
    name: 'Tile or bar',
    casting: 'Tiles',
    measures: ['Length of a tile', 'Thickness of a tile'],
    hint: 'Filled from below and tapped level.',
  },
  lollipop: {
    name: 'Lollipop',
    casting: 'Lollipops',
    measures: ['Width of one', 'Thickness of one'],
    hint: 'Filled from below; the stick is turned in while it is wet, so that it is coated all round.',
  },
  ball: {
    name: 'Ball',
    casting: 'Balls',
    measures: ['Width of a half', 'Depth of a half'],
    hint: 'Two hollow halves, joined on a warm plate.',
  },
  egg: {
    name: 'Egg',
    casting: 'Eggs',
    measures: ['Length of a half', 'Width of a half'],
    hint: 'Two hollow halves, joined on a warm plate.',
  },
  figure: {
    name: 'Figure',
    casting: 'Figures',
    measures: ['Height of the figure', 'Width of the figure'],
    hint: 'Hollow, in one mold or in two halves joined by a seam.',
  },
  pressed: {
    name: 'Pressed figure',
    casting: 'Pressed figures',
    measures: ['Width of a cavity', 'Depth of a cavity'],
    hint: 'An insert presses the shell to the gap.',
  },
  vessel: {
    name: 'Vessel',
    casting: 'Vessels',
    measures: ['Width inside', 'Width of its mouth'],
    hint: 'Dosed, closed and turned until it runs no more.',
  },
  former: {
    name: 'Over a former',
    casting: 'Bowls over a former',
    measures: ['Width of the former', 'Width of its opening'],
    hint: 'Poured over the outside; the former comes out through the opening.',
  },
  leaf: {
    name: 'Leaf',
    casting: 'Leaves',
    measures: ['Length of a leaf', 'Width of a leaf'],
    hint: 'Brushed thin, two coats, and peeled off.',
  },
};
