/**
 * Equilibrium set fraction, 0 to 1, linear from `fromC` down over `spanK`.
 * Linear in temperature is linear in enthalpy, since specific and latent heat are constant over the interval.
 */
export function setFractionAt(temperatureC: number, fromC: number, spanK: number): number {
  const share = (fromC - temperatureC) / spanK;
  return share <= 0 ? 0 : share >= 1 ? 1 : share;
}

/** Growth of the set fraction per kelvin of cooling, 1/K; 0 outside the interval. */
export function setFractionSlope(temperatureC: number, fromC: number, spanK: number): number {
  return temperatureC < fromC && temperatureC > fromC - spanK ? 1 / spanK : 0;
}
