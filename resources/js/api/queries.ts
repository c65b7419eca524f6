/** One description per endpoint; query keys stand nowhere else. */
import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { api } from './client';
import type {
  Advertising,
  BenchSummary,
  Brief,
  ComparisonState,
  CompetitorCandidate,
  Curve,
  Distribution,
  ImportEntry,
  KeywordDossier,
  KeywordRow,
  LedgerRow,
  Lenses,
  MovementReport,
  Noise,
  OpportunityGroup,
  OpportunityMap,
  OpportunityPage,
  Page,
  PageOneRow,
  RulebookChange,
  PageRow,
  Person,
  PlanProposal,
  RelatedKeyword,
  Roadmap,
  Setting,
  Study,
  Task,
  Token,
  WeightPreset,
  Track,
  Steadiness,
  Vocabulary,
} from './types';

const pageSize = 300;

export interface BenchView {
  show: string;
  sort: string;
  dir: string;
}

export const sessionQuery = () =>
  queryOptions({
    queryKey: ['session'],
    queryFn: ({ signal }) => api.get<{ person: Person | null }>('session', {}, signal),
    staleTime: Infinity,
  });

/** The studies by name, a page at a time. */
export const studiesQuery = (name: string) =>
  infiniteQueryOptions({
    queryKey: ['studies', name],
    queryFn: ({ pageParam, signal }) => api.get<{ studies: Study[]; next: string | null }>('studies', { name, cursor: pageParam }, signal),
    initialPageParam: '',
    getNextPageParam: (last: { next: string | null }) => last.next,
    placeholderData: (before) => before,
  });

export const studiesKey = ['studies'] as const;

/** What everything is called, the same as long as the server runs. */
export const vocabularyQuery = () =>
  queryOptions({
    queryKey: ['vocabulary'],
    queryFn: ({ signal }) => api.get<Vocabulary>('vocabulary', {}, signal),
    staleTime: Infinity,
    gcTime: Infinity,
  });

export const studyKey = (slug: string) => ['study', slug] as const;

export const studyQuery = (slug: string) =>
  queryOptions({ queryKey: [...studyKey(slug), 'itself'], queryFn: ({ signal }) => api.get<Study>(`studies/${slug}`, {}, signal) });

/** Asks every second and a half while a comparison is being made. */
export const comparisonQuery = (slug: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'comparison'],
    queryFn: ({ signal }) => api.get<ComparisonState>(`studies/${slug}/comparison`, {}, signal),
    refetchInterval: (query) => (query.state.data?.is_current === false ? 1500 : false),
  });

export const ledgerQuery = (slug: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'ledger'],
    queryFn: ({ signal }) => api.get<LedgerRow[]>(`studies/${slug}/domains`, {}, signal),
  });

export const importsQuery = (slug: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'imports'],
    queryFn: ({ signal }) => api.get<ImportEntry[]>(`studies/${slug}/imports`, {}, signal),
  });

/** Asks every second while any work goes on. */
export const tasksQuery = (slug: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'tasks'],
    queryFn: ({ signal }) => api.get<Task[]>(`studies/${slug}/tasks`, {}, signal),
    refetchInterval: (query) => (query.state.data?.some(isActive) === true ? 1000 : false),
  });

/** One piece of work, asked for until it is over. */
export const taskQuery = (slug: string, id: number) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'task', id],
    queryFn: ({ signal }) => api.get<Task>(`studies/${slug}/tasks/${id}`, {}, signal),
    refetchInterval: (query) => (query.state.data === undefined || isActive(query.state.data) ? 600 : false),
  });

export function isActive(task: Task): boolean {
  return task.status === 'waiting' || task.status === 'running';
}

export const sourcesQuery = () =>
  queryOptions({ queryKey: ['sources'], queryFn: ({ signal }) => api.get<string[]>('sources', {}, signal), staleTime: Infinity });

export const candidatesQuery = (slug: string, look: { source: string; further: boolean; keywords: string }) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'candidates', look],
    queryFn: ({ signal }) =>
      api.get<CompetitorCandidate[]>(
        `studies/${slug}/candidates`,
        { source: look.source, further: look.further ? 1 : 0, keywords: look.keywords },
        signal,
      ),
    placeholderData: (before) => before,
  });

export const relatedQuery = (slug: string, keyword: string, source: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'related', keyword, source],
    queryFn: ({ signal }) => api.get<RelatedKeyword[]>(`studies/${slug}/related`, { keyword, source }, signal),
    enabled: keyword !== '' && source !== '',
  });

export const pagesQuery = (slug: string, comparison: number, show: string, domain: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'pages', comparison, show, domain],
    queryFn: ({ signal }) => api.get<PageRow[]>(`studies/${slug}/bench/pages`, { show, domain }, signal),
    placeholderData: (before) => before,
  });

export const movementQuery = (slug: string, look: { domain: number; from: string; to: string; only: string }) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'movement', look],
    queryFn: ({ signal }) => api.get<MovementReport>(`studies/${slug}/bench/movement`, look, signal),
    placeholderData: (before) => before,
  });

export const pageOneQuery = (slug: string, comparison: number, show: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'page-one', comparison, show],
    queryFn: ({ signal }) => api.get<PageOneRow[]>(`studies/${slug}/bench/page-one`, { show }, signal),
    placeholderData: (before) => before,
  });

export const advertisingQuery = (slug: string, comparison: number, show: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'advertising', comparison, show],
    queryFn: ({ signal }) => api.get<Advertising>(`studies/${slug}/bench/advertising`, { show }, signal),
    placeholderData: (before) => before,
  });

export const noiseQuery = (slug: string, comparison: number, show: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'noise', comparison, show],
    queryFn: ({ signal }) => api.get<Noise>(`studies/${slug}/bench/noise`, { show }, signal),
  });

export const weightPresetsQuery = (slug: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'weight-presets'],
    queryFn: ({ signal }) => api.get<WeightPreset[]>(`studies/${slug}/weight-presets`, {}, signal),
  });

export const lensesQuery = (slug: string) =>
  queryOptions({ queryKey: [...studyKey(slug), 'lenses'], queryFn: ({ signal }) => api.get<Lenses>(`studies/${slug}/lenses`, {}, signal) });

export const tagsQuery = (slug: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'tags'],
    queryFn: ({ signal }) => api.get<{ tag: string; keywords: number }[]>(`studies/${slug}/tags`, {}, signal),
  });

export const tokensQuery = () => queryOptions({ queryKey: ['tokens'], queryFn: ({ signal }) => api.get<Token[]>('tokens', {}, signal) });

/** The agreed plan, or a draft by its number. */
export const planQuery = (slug: string, draft: string | null = null) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'plan', draft],
    queryFn: ({ signal }) => api.get<Roadmap>(`studies/${slug}/plan`, { draft: draft ?? '' }, signal),
    placeholderData: (before) => before,
  });

/** The same roadmap with a forecast that leaves one item out. */
export const planWithoutQuery = (slug: string, item: number | undefined, draft: string | null) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'plan', draft, 'without', item],
    queryFn: ({ signal }) => api.get<Roadmap>(`studies/${slug}/plan`, { without: item ?? '', draft: draft ?? '' }, signal),
    enabled: item !== undefined,
  });

export const proposalQuery = (slug: string, draft: string | null) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'proposal', draft],
    queryFn: ({ signal }) => api.get<PlanProposal>(`studies/${slug}/plan/proposal`, { draft: draft ?? '' }, signal),
    staleTime: 0,
    gcTime: 0,
  });

export const briefQuery = (slug: string, item: number) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'brief', item],
    queryFn: ({ signal }) => api.get<Brief>(`studies/${slug}/plan/items/${item}/brief`, {}, signal),
  });

export const trackQuery = (slug: string) =>
  queryOptions({ queryKey: [...studyKey(slug), 'track'], queryFn: ({ signal }) => api.get<Track>(`studies/${slug}/track`, {}, signal) });

export const curveQuery = (slug: string) =>
  queryOptions({ queryKey: [...studyKey(slug), 'curve'], queryFn: ({ signal }) => api.get<Curve>(`studies/${slug}/curve`, {}, signal) });

export const rulebookQuery = (slug: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'rulebook'],
    queryFn: ({ signal }) => api.get<Setting[]>(`studies/${slug}/rulebook`, {}, signal),
  });

export const benchQuery = (slug: string, comparison: number, view: BenchView) =>
  infiniteQueryOptions({
    queryKey: [...studyKey(slug), 'bench', comparison, view],
    queryFn: ({ pageParam, signal }) =>
      api.get<Page<KeywordRow>>(`studies/${slug}/bench`, { ...view, cursor: pageParam, limit: pageSize }, signal),
    initialPageParam: '',
    getNextPageParam: (last: Page<KeywordRow>) => last.next,
    placeholderData: (before) => before,
  });

export const opportunitiesQuery = (slug: string, comparison: number, show: string, weights: string) =>
  infiniteQueryOptions({
    queryKey: [...studyKey(slug), 'opportunities', comparison, show, weights],
    queryFn: ({ pageParam, signal }) =>
      api.get<OpportunityPage>(`studies/${slug}/opportunities`, { show, weights, cursor: pageParam, limit: pageSize }, signal),
    initialPageParam: '',
    getNextPageParam: (last: OpportunityPage) => last.next,
    placeholderData: (before) => before,
  });

export const groupsQuery = (slug: string, comparison: number, show: string, by: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'groups', comparison, show, by],
    queryFn: ({ signal }) => api.get<OpportunityGroup[]>(`studies/${slug}/opportunities/groups`, { show, by }, signal),
    placeholderData: (before) => before,
  });

export const mapQuery = (slug: string, comparison: number, show: string, weights: string, by: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'map', comparison, show, weights, by],
    queryFn: ({ signal }) => api.get<OpportunityMap>(`studies/${slug}/opportunities/map`, { show, weights, by }, signal),
    placeholderData: (before) => before,
  });

export const steadinessQuery = (slug: string, comparison: number, show: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'steadiness', comparison, show],
    queryFn: ({ signal }) => api.get<Steadiness>(`studies/${slug}/opportunities/steadiness`, { show }, signal),
    placeholderData: (before) => before,
  });

export const rulebookHistoryQuery = (slug: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'rulebook-history'],
    queryFn: ({ signal }) => api.get<RulebookChange[]>(`studies/${slug}/rulebook/history`, {}, signal),
  });

export const summaryQuery = (slug: string, comparison: number, show: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'summary', comparison, show],
    queryFn: ({ signal }) => api.get<BenchSummary>(`studies/${slug}/bench/summary`, { show }, signal),
    placeholderData: (before) => before,
  });

export const distributionQuery = (slug: string, comparison: number, show: string, field: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'distribution', comparison, show, field],
    queryFn: ({ signal }) => api.get<Distribution>(`studies/${slug}/bench/distribution`, { show, field }, signal),
    placeholderData: (before) => before,
  });

export const keywordQuery = (slug: string, comparison: number, keyword: string) =>
  queryOptions({
    queryKey: [...studyKey(slug), 'keyword', comparison, keyword],
    queryFn: ({ signal }) => api.get<KeywordDossier>(`studies/${slug}/keyword`, { keyword }, signal),
  });
