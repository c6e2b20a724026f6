/** How a job begins to say that it waits for a proof; it stops saying so once all are shown. */
const PROOF_WAITS = 'Proof of ';
/** Longest reason that a job takes for waiting. */
const LONGEST_REASON = 80;

/** What a job says while it waits for a proof that can't be taken now. */
export function waitsForProof(what: string): string {
  const whole = `${PROOF_WAITS}${what}`;
  if (whole.length <= LONGEST_REASON) return whole;
  // Cut between two words, not within one.
  return `${whole.slice(0, LONGEST_REASON - 1).replace(/[\s,;:.]+\S*$/, '')}…`;
}

/** Whether what a job waits for is a proof. */
export function isProofWaited(waitsFor: string | null): boolean {
  return waitsFor?.startsWith(PROOF_WAITS) === true;
}
