/** Shapes of the API's answers. Field names are those of the OpenAPI document. */

export type Standing = 'gap' | 'behind' | 'level' | 'ahead' | 'alone' | 'unclaimed';
export type Horizon = 'quick win' | 'short term' | 'long term';
export type Intent = 'buy' | 'compare' | 'learn' | 'open';
export type Mark = 'shortlisted' | 'set aside';
export type Movement = 'entered' | 'left' | 'climbed' | 'slipped' | 'steady';
export type ImportKind = 'rankings' | 'keywords' | 'results' | 'performance' | 'domains';

export interface Person {
  name: string;
  email: string;
  is_administrator: boolean;
}

export interface ComparedDomain {
  id: number;
  entry: string;
  authority: number | null;
  snapshot: string | null;
  previous: string | null;
}

export interface Combination {
  combination: number;
  keywords: number;
}

export interface Comfort {
  value: number;
  keywords: number;
  isAssumed: boolean;
  p50: number | null;
  p75: number | null;
  p90: number | null;
}

export interface Comparison {
  id: number;
  channel: string;
  within: number;
  as_of: string | null;
  domains: ComparedDomain[];
  summary: {
    keywords: number;
    standings: Record<Standing, number>;
    overlap: Combination[];
    similarity: (number | null)[][];
    comfort?: Comfort;
    win_model?: WinModel;
    /** By what ten points more multiply the odds of page one. */
    odds: { difficulty: number; authority: number | null } | null;
    topics?: number;
  };
  made_at: string;
}

export interface Study {
  slug: string;
  name: string;
  country: string;
  language: string;
  device: string;
  currency: string;
  as_of: string | null;
  domain: string | null;
  competitors: string[];
  may_edit: boolean;
  stages: {
    gather: { domains: number; without_rankings: number; stale: number };
    compare: { keywords: number; gaps: number } | null;
    weigh: { quick_wins: number; shortlisted: number } | null;
    plan: { items: number; overdue: number; done: number };
  };
  comparison: Comparison | null;
  is_current: boolean;
}

export interface StudyDraft {
  slug?: string;
  name?: string;
  domain?: string;
  competitors?: string[];
  country?: string;
  language?: string;
  device?: string;
  as_of?: string;
}

/** What one source says about a domain. */
export interface DomainSaid {
  kind: 'lists' | 'pulls';
  day: string;
  file: string | null;
  authority: number | null;
  referring_domains: number | null;
}

export interface LedgerRow {
  id: number;
  role: 'own' | 'competitor' | 'candidate';
  entry: string;
  scope: string;
  authority: number | null;
  peer: 'comparable' | 'giant' | 'stronger' | 'weaker' | null;
  referring_domains: number | null;
  said: DomainSaid[];
  brand_terms: string[];
  keywords: number | null;
  first_page: number | null;
  visits: number | null;
  value: number | null;
  share_of_clicks: number | null;
  why: Record<'visits' | 'value' | 'share_of_clicks', Explanation> | null;
  snapshots: { day: string; channel: string; keywords: number }[];
}

export interface KeywordRow {
  keyword: string;
  standing: Standing;
  positions: (number | null)[];
  previous: (number | null)[];
  own_url: string | null;
  competitors_ranking: number;
  competitors_above: number;
  movement: Movement | null;
  volume: number | null;
  volume_derived: boolean;
  difficulty: number | null;
  cpc: number | null;
  target: number | null;
  visits_now: number | null;
  potential: number | null;
  gain: number | null;
  win_chance: number | null;
  expected_gain: number | null;
  horizon: Horizon | null;
  tactic: string | null;
  links_to_earn: number | null;
  intent: Intent | null;
  topic: string | null;
  advertiser_competition: number | null;
  words: number;
  season: 'steady' | 'seasonal' | null;
  peak: number | null;
  page_conflict: boolean;
  /** Whether our page bears the keyword's words in its path; null when we have none. */
  page_is_meant: boolean | null;
  mark: Mark | null;
  reason: string | null;
  fit: number | null;
  note: string | null;
  wanted_target: number | null;
  own_intent: Intent | null;
  pinned: boolean;
  own_difficulty: number | null;
  tags: string[];
}

/** Criterion → its score, null where its input is unknown. */
export type Scores = Partial<Record<string, number | null>>;

export interface Opportunity extends KeywordRow {
  rank: number;
  priority: number | null;
  scores: Scores;
}

export interface Page<Row> {
  rows: Row[];
  next: string | null;
}

export interface OpportunityPage extends Page<Opportunity> {
  total: number;
  weights: Record<string, number>;
  presets: Record<string, Record<string, number>>;
}

export interface BenchSummary {
  keywords: number;
  of: number;
  volume: number | null;
  visits_now: number | null;
  gain: number | null;
  hidden_brands: number;
  standings: Partial<Record<Standing, number>>;
  overlap: Combination[];
  steps: { clause: string; keywords: number }[];
}

export interface PageRow {
  domain: number;
  url: string;
  keywords: number;
  visits: number;
  traffic_leader: string;
  we_lack: number;
  share: number | null;
}

export interface MovementReport {
  days: string[];
  from: string | null;
  to: string | null;
  counts: Partial<Record<Movement, number>>;
  rows: { keyword: string; before: number | null; after: number | null; volume: number | null; movement: Movement }[];
}

export interface OpportunityGroup {
  name: string | null;
  keywords: number;
  volume: number | null;
  visits_now: number | null;
  gain: number | null;
  expected_gain: number | null;
  difficulty: number | null;
  win_chance: number | null;
  links_to_earn: number | null;
  /** Shows the group's rows; null where a sentence cannot say it. */
  clause: string | null;
}

export interface MapPoint {
  name: string;
  keywords: number;
  difficulty: number;
  expected_gain: number;
  volume: number;
  win_chance: number;
  links_to_earn: number | null;
  priority: number | null;
}

export interface OpportunityMap {
  points: MapPoint[];
  left_out: number;
  comfort: number | null;
  contours: { chance: number; difficulty: number }[];
}

export interface Steadiness {
  top: number;
  draws: number;
  shares: Record<string, { share: number; meaning: string }>;
  /** What it means for the others, which never come into the top. */
  otherwise: string;
}

export interface WinModel {
  intercept: number;
  difficulty: number;
  authority: number | null;
  rows: number;
  brier_score: number | null;
  calibration: { from: number; to: number; rows: number; predicted: number | null; observed: number | null }[];
  assumed: boolean;
}

export interface RulebookPreview {
  keywords: number;
  horizons: { from: string | null; to: string | null; keywords: number }[];
  gain: { before: number; after: number };
  before: string[];
  after: string[];
  not_shown: string[];
}

export interface RulebookChange {
  change: number;
  who: string | null;
  when: string;
  settings: { key: string; from: string | null; to: string }[];
  /** What would bring back the rulebook from before the change. */
  restores: Record<string, string>;
}

export interface Advertising {
  domains: { entry: string; day: string | null }[];
  counts: { both: number; only_we: number; only_they: number };
  rows: {
    keyword: string;
    volume: number | null;
    cpc: number | null;
    advertiser_competition: number | null;
    organic: (number | null)[];
    paid: (number | null)[];
  }[];
}

export interface PageOneRow {
  keyword: string;
  volume: number | null;
  difficulty: number | null;
  own_position: number | null;
  weak: number;
  results: (PageOneResult & { title: string | null })[];
}

export interface Noise {
  clauses: { clause: string; what: string; keywords: number }[];
  brand_terms: { word: string; domain: number; keywords: number }[];
}

export interface Lenses {
  own: { id: number; name: string; show: string }[];
  ready: { name: string; show: string }[];
}

export interface Decision {
  mark?: Mark | null;
  reason?: string | null;
  fit?: number | null;
  intent?: Intent | null;
  target?: number | null;
  note?: string | null;
  topic?: string | null;
  pinned?: boolean;
  difficulty?: number | null;
  tag?: string;
  untag?: string;
}

export interface Distribution {
  field: string;
  bins: { from: number; keywords: number }[];
  unknown: number;
}

export interface PageOneResult {
  position: number;
  url: string;
  authority: number | null;
  page_strength: number | null;
  referring_domains: number | null;
  day: string;
  is_weak: boolean;
}

export interface Explanation {
  figure: string;
  rule: string;
  inputs: { name: string; value: number | string | null; unit: string; source: string }[];
  steps: string[];
  assumptions: string[];
}

export interface EvidenceFact {
  code: string;
  encouraging: boolean;
  sentence: string;
}

export interface KeywordDossier extends KeywordRow {
  log: { change: number; who: string | null; at: string; what: string; undone: boolean }[];
  scores: Scores;
  history: { domain: number; day: string; position: number | null }[];
  pages: { domain: number; day: string; position: number; url: string | null }[];
  sources: {
    kind: string;
    day: string;
    domain: string | null;
    file: string;
    volume: number | null;
    difficulty: number | null;
    cpc: number | null;
  }[];
  disputed_authority: { domain: number; said: DomainSaid[] }[];
  monthly: (number | null)[] | null;
  topic_keywords: { keyword: string; volume: number | null; own_position: number | null }[];
  page_one: PageOneResult[];
  why: Partial<Record<string, Explanation>>;
  money: Partial<Record<string, number | null>>;
  evidence: EvidenceFact[];
}

export interface BadRow {
  line: number;
  column: string;
  value: string;
  reason: string;
}

export interface BadRows {
  total: number;
  rows: BadRow[];
}

export interface ImportOutcome {
  kept: number;
  dropped: number;
  bad_rows: BadRows;
  numbers: string;
  numbers_ambiguous: boolean;
  same_file: boolean;
  notes: string[];
  changes: { new: number; updated: number; gone: number } | null;
}

export interface Upload {
  id: string;
  file: string;
  bytes: number;
  proposal: { kind: ImportKind; domain: string; date: string; channel: string };
}

export type TaskStatus = 'waiting' | 'running' | 'done' | 'failed' | 'cancelled';

export interface Task {
  id: number;
  kind: 'preview' | 'import' | 'pull';
  status: TaskStatus;
  title: string;
  stage: string;
  done: number;
  total: number | null;
  remaining_seconds: number | null;
  message: string;
  result: { preview?: ImportPreview; outcome?: ImportOutcome; bad_rows?: BadRows; rows?: number } | null;
  cancel_wanted: boolean;
  at: string;
  finished_at: string | null;
}

export interface CompetitorCandidate {
  domain: string;
  in_common: number;
  we_lack: number;
  they_lack: number;
  authority: number | null;
  peer: LedgerRow['peer'];
  role: LedgerRow['role'] | null;
  found: string[];
}

export interface Curve {
  in_use: string;
  bins: { position: number; clicks: number; impressions: number; rate: number | null }[];
  curves: Partial<Record<'default' | '2006' | 'fitted' | 'own', number[]>>;
}

export interface Term {
  term: string;
  occurrences: number;
  is_known: boolean;
}

export interface RelatedKeyword {
  keyword: string;
  volume: number | null;
  difficulty: number | null;
  is_question: boolean;
}

export interface ImportPreview {
  format: string;
  headers: string[];
  sample: { line: number; cells: string[] }[];
  fields: { name: string; required: boolean }[];
  mapping: Record<string, string>;
  problem: string | null;
  outcome: ImportOutcome | null;
  bad_rows: BadRows | null;
}

export interface ImportEntry {
  id: number;
  kind: ImportKind;
  file: string;
  format: string;
  day: string;
  kept: number;
  dropped: number;
  bad: number;
  at: string;
}

export type ItemStatus = 'planned' | 'writing' | 'published' | 'done' | 'dropped';

export interface RoadmapItem {
  id: number;
  keyword: string;
  month: string | null;
  status: ItemStatus;
  tactic: string;
  effort_days: number;
  links_to_earn: number | null;
  owner: string;
  due: string | null;
  is_pinned: boolean;
  brief: Partial<Record<'angle' | 'call_to_action' | 'notes', string>>;
  done_month: string | null;
  version: number;
  topic: string | null;
  gain: number;
  win_chance: number | null;
  expected_gain: number | null;
  own_position: number | null;
  own_url: string | null;
  publish_by: string | null;
  /** The work ends after that month. */
  is_late: boolean;
  /** The keyword was set aside, and why ('' where no reason was given). */
  set_aside: { reason: string } | null;
  why: { effort: Explanation; season: Explanation };
  /** Month → days of work; more than one month when it is larger than a month. */
  spread: Record<string, number>;
}

export interface ForecastMonth {
  month: string;
  p10: number;
  p50: number;
  p90: number;
  mean: number;
}

/** The agreed plan (id null) or a draft, in short. */
export interface PlanSum {
  id: number | null;
  name: string;
  items: number;
  days: number;
  last: string;
  /** Mean visits added in the last month of the plan. */
  visits: number;
}

export interface Roadmap {
  start: string;
  months: number;
  capacity: number;
  /** The draft that is shown; null for the agreed plan. */
  draft: { id: number; name: string; version: number } | null;
  plans: PlanSum[];
  /** Domain → items planned from its side, of other sides than the one shown. */
  elsewhere: Record<string, number>;
  loads: Partial<Record<string, number>>;
  items: RoadmapItem[];
  forecast: ForecastMonth[];
  /** Why the forecast of the last month is what it is. */
  why: Explanation | null;
  conversion_rate: number;
  value_per_conversion: number | null;
  assumptions: string[];
}

export interface PlanProposal {
  changes: { keyword: string; from: string | null; to: string | null; tactic: string; effort_days: number; expected_gain: number }[];
  unchanged: number;
  left_out: number;
}

export interface Brief {
  item: { id: number; keyword: string; tactic: string; month: string | null };
  topic: string | null;
  intent: Intent | null;
  stage: string | null;
  our_page: string | null;
  our_position: number | null;
  target: number | null;
  gain: number;
  keywords: { keyword: string; volume: number | null; own_position: number | null }[];
  traffic_leader: string;
  page_one: PageOneResult[];
  rivals: { url: string; headings: string[] }[];
  questions: string[];
  publish_by: string | null;
  written: Partial<Record<'angle' | 'call_to_action' | 'notes', string>>;
}

export interface TrackItem {
  id: number;
  keyword: string;
  tactic: string;
  done_month: string;
  promised_gain: number;
  win_chance: number;
  position_then: number | null;
  position_now: number | null;
  target: number | null;
  added: number;
  p10: number | null;
  p50: number | null;
  p90: number | null;
  outcome: 'above' | 'inside' | 'below' | 'too early' | null;
  why: Explanation | null;
  history: { day: string; position: number | null }[];
  /** Our own clicks and impressions by month, each of them as of its newest day, the earliest first. */
  clicks: { day: string; clicks: number; impressions: number }[];
  /** Of the last month measured before it was done, and of the newest since. */
  clicks_before: number | null;
  clicks_since: number | null;
}

export interface SinceGap {
  keyword: string;
  volume: number | null;
  own_position: number | null;
  best_position: number | null;
  best: string | null;
}

export interface Since {
  from: string;
  to: string;
  moved: Partial<Record<Movement, number>>;
  slipped: { keyword: string; before: number | null; after: number | null; volume: number | null }[];
  opened: { keywords: number; first: SinceGap[] };
  closed: { keywords: number; first: SinceGap[] };
  undecided: number;
}

export interface Track {
  since: Since | null;
  elsewhere: Record<string, number>;
  newest: string | null;
  items: TrackItem[];
  calibration: { items: number; said: number; happened: number; inside: number } | null;
  shares: { day: string; shares: (number | null)[] }[];
  published: string[];
}

export interface Setting {
  key: string;
  value: unknown;
  default: unknown;
  bounds: string;
  meaning: string;
}

export interface ComparisonState {
  is_current: boolean;
  keywords_done: number | null;
  comparison: Comparison | null;
}

/** Weights that people of a study keep under a name. */
export interface WeightPreset {
  id: number;
  name: string;
  weights: Record<string, number>;
}

/** A personal token for scripts, without the token itself. */
export interface Token {
  id: number;
  name: string;
  abilities: string[];
  last_used_at: string | null;
  expires_at: string | null;
}

export type ClauseForm =
  | 'range'
  | 'choices'
  | 'choice'
  | 'competitors'
  | 'position'
  | 'words'
  | 'text'
  | 'tags'
  | 'day'
  | 'domains'
  | 'combination'
  | 'page'
  | 'topic';

/** A clause that a sentence can have, as the server knows it. */
export interface ClauseSpec {
  name: string;
  form: ClauseForm;
  title: string;
  meaning: string;
  example: string;
  lead: string;
  operators: string[];
  choices: { value: string; words: string }[];
  /** How it begins when it is added; empty where a person has to say something first. */
  start: string;
  steps: number[];
  noun: string;
  has_distribution: boolean;
  is_share: boolean;
  label: string;
  help: string;
  tail: string;
  is_always: boolean;
  is_offered: boolean;
}

/** Everything that has a name, the same for every study. */
export interface Vocabulary {
  clauses: ClauseSpec[];
  /** About single domains: N stands for the number, DOMAIN for the name. */
  domain_clauses: { p: ClauseSpec; m: ClauseSpec };
  columns: { name: string; type: string; heading: string; unit: string; meaning: string; order: string | null }[];
  criteria: { name: string; meaning: string }[];
  import_kinds: { name: string; fields: { name: string; is_required: boolean }[] }[];
  intents: { name: string; stage: string | null }[];
  statuses: string[];
}
