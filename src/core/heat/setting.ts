/**
 * Equilibrium set fraction, 0 to 1, linear from `fromC` down over `spanK`.
 * Linear in temperature is linear in enthalpy, since specific and latent heat are constant over the interval.
 */
export function setFractionAt(temperatureC: number, fromC: number, spanK: number): number {
  const share = (fromC - temperatureC) / spanK;
  return share <= 0 ? 0 : share >= 1 ? 1 : share;
}
