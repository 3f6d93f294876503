const RATIO = (Math.sqrt(5) - 1) / 2;

/**
 * Where a function that falls and then rises is least between two places, to `within`, by golden section; any
 * numerical-methods text. One evaluation a step.
 */
export function leastBetween(f: (x: number) => number, from: number, to: number, within: number): number {
  let [low, high] = [from, to];
  let left = high - RATIO * (high - low);
  let right = low + RATIO * (high - low);
  let atLeft = f(left);
  let atRight = f(right);
  while (high - low > within) {
    if (atLeft < atRight) {
      [high, right, atRight] = [right, left, atLeft];
      left = high - RATIO * (high - low);
      atLeft = f(left);
    } else {
      [low, left, atLeft] = [left, right, atRight];
      right = low + RATIO * (high - low);
      atRight = f(right);
    }
  }
  return (low + high) / 2;
}
