/** What a route is to be good at. */
export const ROUTE_AIMS = ['balanced', 'short', 'quick', 'clear'] as const;
/** One aim: all three together, the least lead, the least work, the fewest hazards. */
export type RouteAim = (typeof ROUTE_AIMS)[number];
