/** The closing proofs that every tap needs before it may be logged. */
export const PROOF_KINDS = ['live', 'dead', 'original', 'orientation'] as const;
/** One closing proof. */
export type ProofKind = (typeof PROOF_KINDS)[number];
