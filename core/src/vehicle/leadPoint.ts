/**
 * Where an added lead is probed: at its far end with the load on, the same with the original fuse out or with its own fuse out,
 * at the original circuit behind its fuse, between the device’s ground and the battery’s minus, and at what the device’s converter
 * gives.
 */
export const LEAD_SPOTS = [
  'end',
  'endOriginalOut',
  'endAddedOut',
  'original',
  'ground',
  'output',
] as const;
/** One of them. */
export type LeadSpot = (typeof LEAD_SPOTS)[number];

/** What every id of a point on an added lead begins with; no source of a car does. */
export const LEAD_POINT = 'lead:';

/**
 * The id that readings at an added lead go by. It names the source that the lead is joined to: joined elsewhere, it is another
 * point, and what was read before says nothing of it.
 *
 * @example leadPointId('end', 'memory', 'dash/F3') // 'lead:end:memory:dash/F3'
 */
export function leadPointId(spot: LeadSpot, feedId: string, sourceId: string): string {
  return `${LEAD_POINT}${spot}:${feedId}:${sourceId}`;
}

/** Whether readings under an id were taken at an added lead, not at a source of the car. */
export function isLeadPoint(id: string): boolean {
  return id.startsWith(LEAD_POINT);
}
