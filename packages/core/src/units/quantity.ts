/** What a value is: lengths are mm, angles degrees. */
export type Quantity = 'length' | 'angle';
