import { byHalving } from '../quantity/root';

/**
 * Saturation pressure of water vapour, Pa, over ice below 0 °C and over water above.
 * ASHRAE Handbook of Fundamentals 2017, chapter 1, equations 5 and 6; -100 to 200 °C.
 */
export function saturationPressurePa(temperatureC: number): number {
  const t = temperatureC + 273.15;
  const ln =
    temperatureC <= 0.01
      ? -5.6745359e3 / t +
        6.3925247 -
        9.677843e-3 * t +
        6.2215701e-7 * t ** 2 +
        2.0747825e-9 * t ** 3 -
        9.484024e-13 * t ** 4 +
        4.1635019 * Math.log(t)
      : -5.8002206e3 / t +
        1.3914993 -
        4.8640239e-2 * t +
        4.1764768e-5 * t ** 2 -
        1.4452093e-8 * t ** 3 +
        6.5459673 * Math.log(t);
  return Math.exp(ln);
}

/**
 * Dew point of air, °C: the temperature below which a surface sweats. Inverts the saturation pressure.
 * @param temperatureC dry-bulb temperature, 0 to 40 °C
 * @param humidity relative humidity, 0.1 to 1
 */
export function dewPointC(temperatureC: number, humidity: number): number {
  const wanted = saturationPressurePa(temperatureC) * humidity;
  // Halved 36 times, 100 K come down to some billionths.
  return byHalving((c) => saturationPressurePa(c) < wanted, -60, temperatureC, 36);
}

/**
 * Seconds for a thin shell taken out cold to warm above a temperature, by Newton's law of cooling; 0 if it already is.
 *
 * The shell is uniform in itself (its Biot number is about 0.1) and exchanges through both faces.
 * @param capacity heat capacity per wall area, J/(m² K)
 * @param exchange heat transfer coefficient summed over both faces, W/(m² K)
 * @returns Infinity when the air is not warm enough
 */
export function secondsToWarm(
  startC: number,
  airC: number,
  wantedC: number,
  capacity: number,
  exchange: number,
): number {
  if (startC >= wantedC) return 0;
  if (airC <= wantedC) return Infinity;
  return (capacity / exchange) * Math.log((airC - startC) / (airC - wantedC));
}
