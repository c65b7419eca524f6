/** Texts that this feature shows in several places, so that they are changed in one. */
export const wording = {
  noOpportunityMatchesThisSentence: 'No opportunity matches this sentence',
  ourPositionNowAndTheTarget: 'Our position now and the target.',
} as const;
