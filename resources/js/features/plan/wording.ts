/** Texts that this feature shows in several places, so that they are changed in one. */
export const wording = {
  keywordsOfThePage: 'Keywords of the page',
  pageNow: 'Page now',
  pagesThatShouldLink: 'Our pages that should link to it',
  linkProspects: 'Link prospects',
  plansCompared: 'Plans compared',
} as const;
