let last = 0;

/** Steps that can be taken back are counted over all that is changed in this window: the newest is taken back first. */
export const nextStep = (): number => ++last;
