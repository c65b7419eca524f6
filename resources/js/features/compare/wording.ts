/** Texts that this feature shows in several places, so that they are changed in one. */
export const wording = {
  similarityPerPair: 'Similarity per pair',
} as const;
