import type { Vocabulary } from '../../api/schema';
import type { Column } from '../../shared/Bench';
import type { About } from '../../shared/Heading';
import { commonWording } from '../../shared/wording';
import { wording } from './wording';

const said = (meaning: string, unit: string, source: string): About => ({ meaning, unit, source });
const rules = 'calculated by the rulebook';
const rankings = 'rankings of the compared days';
const curve = 'calculated with the CTR curve';

/** While the vocabulary is on its way. */
export const noColumns: Vocabulary['columns'] = [];

/** What the lists call a column of the catalogue. */
const named: Record<string, string> = {
  keyword: 'keyword',
  volume: 'volume',
  difficulty: 'difficulty',
  gain: 'gain',
  chance: 'win_chance',
  expected: 'expected_gain',
  horizon: 'horizon',
  tactic: 'tactic',
  links: 'links_to_earn',
  page: 'own_url',
};

/** What stands in no catalogue, as it is worked out for the list. */
const own: Record<string, About> = {
  topic: said('Keywords that one page can serve, named by the primary keyword.', '', rules),
  keywords: said('Open keywords of the page, and how many are shortlisted.', 'keywords', 'keywords that match the sentence and can be won'),
  priority: said('Weighted mean of all scores, 0 to 5.', '0–5', 'calculated with the weights beside the list'),
  steady: said(
    'How often it stays at the top when the weights vary.',
    'share of simulations',
    'calculated with the weights beside the list',
  ),
  move: said(wording.ourPositionNowAndTheTarget, 'position', `${rankings}, and the rulebook’s target`),
  share: said(commonWording.itsShareOfAllOurVisits, 'share', curve),
  worth: said('Expected extra visits per day of work.', 'visits a month per day', rules),
  days: said(commonWording.estimatedDaysOfWork, 'days', rules),
};

/** Of our own pages. */
export const ofOurPages: Record<string, About> = {
  page: said('URL of the page, most visits first.', '', rankings),
  visits: said(commonWording.estimatedVisitsFromItsPositions, 'visits a month', curve),
  six: said('How its visits changed in half a year.', 'share', `${rankings}, at current volumes`),
  year: said('How its visits changed in a year.', 'share', `${rankings}, at current volumes`),
  keywords: said(commonWording.keywordsItRanksFor, 'keywords', rankings),
  striking: said('Keywords in striking distance.', 'keywords', rankings),
  gain: said('Extra visits if all its keywords reach their targets.', 'visits a month', curve),
  expected: said('Expected extra visits from its keywords.', 'visits a month', 'calculated with the position model'),
  topics: said('Topics of the page.', '', rules),
  conflicts: said('Keywords that another of our pages also ranks for.', 'keywords', rankings),
  titles: said('Keywords with fewer clicks than their position should bring.', 'keywords', 'our measured clicks'),
};

/** The columns of a list, each with what its heading explains. */
export function explained<Row>(columns: Column<Row>[], spoken: Vocabulary['columns']): Column<Row>[] {
  return columns.map((column) => {
    const entry = spoken.find(({ name }) => name === named[column.key]);
    const found = entry === undefined ? own[column.key] : said(entry.meaning, entry.unit, entry.source);
    return found === undefined ? column : { ...column, about: found };
  });
}
