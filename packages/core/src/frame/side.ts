/** Of a part: in the middle plane or across it, or one of a pair. */
export type Side = 'middle' | 'left' | 'right';
