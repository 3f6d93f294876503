/**
 * Where a steady function crosses zero between two places, by the Illinois form of false position: some eight steps to a
 * rounding error where halving takes forty. Without a change of sign it comes to the end that is nearer to zero.
 */
export function rootBetween(f: (x: number) => number, from: number, to: number): number {
  let [a, b] = [from, to];
  let [fa, fb] = [f(a), f(b)];
  if (fa * fb > 0) return Math.abs(fa) < Math.abs(fb) ? a : b;
  for (let round = 0; round < 60 && Math.abs(b - a) > 1e-13; round += 1) {
    const x = (a * fb - b * fa) / (fb - fa);
    const fx = f(x);
    if (fx === 0 || !Number.isFinite(x)) return x;
    if (fx * fb < 0) [a, fa] = [b, fb];
    else fa /= 2;
    if (Math.abs(x - b) < 1e-13) return x;
    [b, fb] = [x, fx];
  }
  return b;
}
