const LANCZOS = [
  676.5203681218851, -1259.1392167224028, 771.3234287776531, -176.6150291621406, 12.507343278686905,
  -0.13857109526572012, 9.984369578019572e-6, 1.5056327351493116e-7,
];

/** Natural logarithm of the gamma function for x ≥ 1, to about 1e-13 (Lanczos 1964, with g = 7 and nine terms). */
export function logGamma(x: number): number {
  const y = x - 1;
  const base = y + 7.5;
  const sum = LANCZOS.reduce((total, weight, i) => total + weight / (y + i + 1), 0.9999999999998099);
  return 0.5 * Math.log(2 * Math.PI) + (y + 0.5) * Math.log(base) - base + Math.log(sum);
}
