declare module 'ml-regression-theil-sen' {
  /** Median of the slopes between all pairs of points. */
  export class TheilSenRegression {
    constructor(x: readonly number[], y: readonly number[]);
    readonly slope: number;
    readonly intercept: number;
  }
}
