/**
 * The constants that no handbook fixes: starting values, calibrated once on all practice rows together,
 * never per case. Each says where it comes from. Later work may learn them from the user's own measurements.
 */
export const WORKING_RULES = {
  /** Gravity, m/s². */
  gravity: 9.81,
  /** Angle by which the hand rocks an upturned mold while it drains, degrees. Working rule. */
  rockingDegrees: 15,
  /** Factor on the yield stress while the mold is tapped. Working rule. */
  tappingYieldFactor: 0.3,
  /** Set fraction at the wall from which a layer stays when the mold is tipped out. Working rule. */
  skinSetFraction: 0.12,
  /** Set fraction from which a shell holds its shape and what is filled into it: half of its fat. Working rule. */
  holdsSet: 0.5,
  /** Set fraction from which chocolate is set to the touch, and firm enough to be unmolded. Calibrated on practice. */
  touchSet: 0.61,
  unmoldSet: 0.76,
  /**
   * A rigid mold lets go of what has shrunk away from it, by setting and by cooling: set fraction, and so much more a kelvin below 20 °C. Set chocolate
   * is some 3 % denser, and shrinks by some 0.03 % of its volume a kelvin more than its mold.
   */
  shrinksPerK: 0.01,
  /** For the closed form: seconds a spooned coat can still run before it holds. Working rule. */
  settleSeconds: 4,
  /** Likewise on the outside of a former, which hangs and is warm for longer. Read off the simulation. */
  formerSettleSeconds: 40,
  /** For the closed form: a vessel turned at least so often sets even, s; turned more seldom it runs for so long. Read off the simulation. */
  turnedOftenSeconds: 75,
  turnedSettleSeconds: 60,
  /** For the closed form: seconds a drained coat still runs after it was set down, and how much stiffer it is by then. Fitted on the simulation. */
  afterDrainSeconds: 30,
  afterDrainStiffness: 1.4,
  /** Spread of a fluidity class: factor either way on viscosity and yield stress. Working rule. */
  fluiditySpread: 1.4,
  /** Likely error of a kitchen temperature, K. Working rule. */
  kitchenSpreadK: 1,
  /** Likely factor either way on how fast the kitchen's air takes heat away. Working rule. */
  coolingSpread: 1.2,
  /** Likely factor either way on seconds that are counted by hand. Working rule. */
  drainSpread: 1.2,
  /** Likely factor either way on a dose given by spoon. Working rule. */
  doseSpread: 1.15,
  /** How much less heat the air inside a shell takes than still air around it: standing open, closed above, or none between two joined halves; over what is level it is still air. Working rule. */
  insideFactor: { open: 0.7, dome: 0.5, joined: 0, level: 1 },
  /** Heat transfer from the flat floor of a mold that bends to what it stands on, W/(m² K): a thin gap of air over what is as cold as its place. Calibrated on practice. */
  contactH: 35,
  /** Heat transfer to still air, radiation included, where it is nearly as warm, W/(m² K). From memory, handbook range 5 to 12. */
  airFlatSurface: 9,
  /** Heat capacity of the tray that a mold which bends stands on, and of its flange, J/(m² K): a share of 0.8 mm steel. Calibrated. */
  trayHeatCapacity: 500,
  /** Share of the exchange with the room that is left under a loose cover. Working rule. */
  coveredShare: 0.5,
  /** Air driven by a fan takes this much more heat. Working rule. */
  fanFactor: 1.6,
  /** Share of a microwave's rated power that reaches a bowl of so many kg, how it grows with the amount, and its most. Fitted on practice. */
  microwaveShare: 0.3,
  microwaveShareKg: 0.227,
  microwaveShareExponent: 0.7,
  microwaveMostShare: 0.6,
  /** Likely factor either way on that share, before and after a known weight was melted. Working rule. */
  microwaveSpread: 1.3,
  calibratedSpread: 1.1,
  /** How much more than the mean the hottest spot of a bowl takes up in a burst, and the coolest less, as a share. Working rule. */
  unevenShare: 0.6,
  /** Share of the cavity filled before tipping out. Common practice, no source. */
  dumpPourShare: 0.5,
  /** Thickest film a dump starts from, m, and as a share of the radius. Working rule. */
  dumpStartThicknessM: 0.008,
  dumpStartRadiusShare: 0.25,
} as const;

/** Hands-on times, seconds. Common practice, no source. */
export const HANDS_ON = {
  /** Tapping a filled mold so that bubbles come up. */
  tapPerMold: 10,
  fillPerPiece: 15,
  closePerPiece: 25,
  stick: 8,
  washPerMold: 120,
} as const;

/** How long the hands take to get parts out of their mold, s: for each part, and for each mold beside that. Working rules. */
export interface OutSeconds {
  readonly perPartS: number;
  readonly perMoldS: number;
}
