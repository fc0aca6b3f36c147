export const PROOF_SCHOOLS = ['warm', 'room', 'cold', 'cold-after-start', 'levain'] as const;
/**
 * Schools of the final proof: in a warm proofer; at room temperature; overnight in the cold, then warmed up while the oven
 * heats; the same after a start at room temperature; a levain's long one in a cool room.
 */
export type ProofSchool = (typeof PROOF_SCHOOLS)[number];
