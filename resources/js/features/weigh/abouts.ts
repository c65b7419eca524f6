import type { Vocabulary } from '../../api/schema';
import type { Column } from '../../shared/Bench';
import type { About } from '../../shared/Heading';

const said = (meaning: string, unit: string, source: string): About => ({ meaning, unit, source });
const rules = 'worked out by the rulebook';
const rankings = 'the ranking lists of the compared days';
const curve = 'worked out with the CTR curve';

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
  topic: said('Keywords that one page can serve, by the name of their primary keyword.', '', rules),
  keywords: said('Open keywords of the page; of those shortlisted first.', 'keywords', 'what the sentence and the rulebook leave open'),
  priority: said('The scores of all criteria by their weights.', '0–5', 'worked out with the weights beside the list'),
  steady: said(
    'How often it stays at the top when the weights are shaken.',
    'share of draws',
    'worked out with the weights beside the list',
  ),
  move: said('Our position now, and the position aimed at.', 'position', `${rankings}, and the target of the rulebook`),
  share: said('What it brings now, of all our visits.', 'share', curve),
  worth: said('What a day of work is expected to bring.', 'visits a month for a day', rules),
  days: said('What the work is expected to take.', 'days', rules),
};

/** Of our own pages. */
export const ofOurPages: Record<string, About> = {
  page: said('Address of the page, the most visits first.', '', rankings),
  visits: said('What its positions bring.', 'visits a month', curve),
  six: said('How its visits changed in half a year.', 'share', `${rankings}, at the volumes of now`),
  year: said('How its visits changed in a year.', 'share', `${rankings}, at the volumes of now`),
  keywords: said('For how many keywords it ranks.', 'keywords', rankings),
  striking: said('For how many it stands in striking distance.', 'keywords', rankings),
  gain: said('What all its keywords could bring at their targets.', 'visits a month', curve),
  expected: said('Visits to expect of its keywords.', 'visits a month', 'worked out with the position model'),
  topics: said('Topics that it serves.', '', rules),
  conflicts: said('Keywords for which another page of ours ranks, too.', 'keywords', rankings),
  titles: said('Keywords that bring fewer clicks than their position would.', 'keywords', 'our measured clicks'),
};

/** The columns of a list, each with what its heading explains. */
export function explained<Row>(columns: Column<Row>[], spoken: Vocabulary['columns']): Column<Row>[] {
  return columns.map((column) => {
    const entry = spoken.find(({ name }) => name === named[column.key]);
    const found = entry === undefined ? own[column.key] : said(entry.meaning, entry.unit, entry.source);
    return found === undefined ? column : { ...column, about: found };
  });
}
