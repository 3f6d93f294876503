import type { Kind, Plan } from '@larchwood/core';

/** The plan with the riders' and seats' points among its own, for drawing them. */
export const withSeats = (plan: Plan): Plan => ({
  ...plan,
  stance: { ...plan.stance, points: { ...plan.stance.points, ...plan.stance.seatPoints } },
});

/** The kind as the seat station draws it: its dimensions, handles and points. */
export const seatSideOf = (kind: Kind): Kind => ({
  ...kind,
  drawn: kind.seat.drawn,
  handles: kind.seat.handles,
  points: (state) => ({ ...kind.points(state), ...kind.seat.points(state) }),
});
