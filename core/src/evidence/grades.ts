/** How sure an entry is by its source, best first. */
export const EVIDENCE_GRADES = ['probed', 'probedByOther', 'legend', 'forum', 'asserted'] as const;
/** One grade of evidence. */
export type EvidenceGrade = (typeof EVIDENCE_GRADES)[number];
