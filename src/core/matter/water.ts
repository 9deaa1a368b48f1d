/**
 * Density of water at normal pressure, kg/m³. Kell, J. Chem. Eng. Data 20 (1975) 97, equation 16; 0 to 100 °C, to 0.001 %.
 */
export function waterDensity(temperatureC: number): number {
  const t = temperatureC;
  const above =
    999.83952 + t * (16.945176 + t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 - t * 280.54253e-12))));
  return above / (1 + 16.87985e-3 * t);
}

/** Air and the scale's own weights, kg/m³. From memory. */
const AIR_DENSITY = 1.2;
const WEIGHTS_DENSITY = 8000;

/**
 * Volume of water from what a scale shows, m³: its density at its temperature, and the lift of the air it displaces.
 * @param shownKg difference of full and empty as shown, kg
 */
export function waterVolumeM3(shownKg: number, temperatureC: number): number {
  const density = waterDensity(temperatureC);
  return (shownKg * (1 - AIR_DENSITY / WEIGHTS_DENSITY)) / (density - AIR_DENSITY);
}
