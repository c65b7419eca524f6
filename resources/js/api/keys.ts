/** Under which names answers are kept; nowhere else is one spelt. */

/** Parts of a study that are asked for by themselves. */
export type StudyPart =
  | 'advertising'
  | 'annotations'
  | 'bench'
  | 'brief'
  | 'candidates'
  | 'comparison'
  | 'curve'
  | 'digest'
  | 'distribution'
  | 'effect'
  | 'findings'
  | 'groups'
  | 'hidden'
  | 'imports'
  | 'itself'
  | 'keyword'
  | 'ledger'
  | 'lenses'
  | 'map'
  | 'movement'
  | 'noise'
  | 'opportunities'
  | 'our-pages'
  | 'page-one'
  | 'pages'
  | 'plan'
  | 'preview'
  | 'proposal'
  | 'reasons'
  | 'related'
  | 'rulebook'
  | 'rulebook-history'
  | 'steadiness'
  | 'steps'
  | 'summary'
  | 'tags'
  | 'task'
  | 'tasks'
  | 'topics'
  | 'track'
  | 'troubled-pages'
  | 'weight-presets';

/** What shows or hides what is on the roadmap. */
export const onRoadmap: StudyPart[] = ['itself', 'opportunities', 'topics', 'groups', 'map', 'hidden', 'steadiness'];

export const keys = {
  session: ['session'] as const,
  tokens: ['tokens'] as const,
  ownSessions: ['own-sessions'] as const,
  people: ['people'] as const,
  invited: (link: string) => ['invited', link] as const,
  sources: ['sources'] as const,
  vocabulary: ['vocabulary'] as const,
  audit: (filter: unknown) => ['audit', filter] as const,
  studies: ['studies'] as const,
  deletedStudies: ['deleted-studies'] as const,
  studiesListed: (wanted: string, group: string | null) => ['studies', wanted, group] as const,
  /** Decisions on their way to the server. */
  decisions: (slug: string) => ['decisions', slug] as const,
  /** Everything about a study. */
  study: (slug: string) => ['study', slug] as const,
  /** One part of it; without more, all that was asked of that part. */
  part: (slug: string, part: StudyPart, ...asked: unknown[]) => ['study', slug, part, ...asked] as const,
};
