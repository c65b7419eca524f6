import { useQuery } from '@tanstack/react-query';
import { address, api, told } from '../api/client';
import { keys } from '../api/keys';
import type { Study } from '../api/schema';
import { views as compareViews } from '../features/compare/views';
import { lensesQuery } from '../features/sentence/queries';
import { addressOf } from '../features/sentence/carried';
import { views as weighViews } from '../features/weigh/views';
import type { Command } from './commands.logic';
import { commonWording } from '../shared/wording';

const stages = ['Gather', 'Compare', 'Weigh', 'Plan', 'Track'];
/** What can be saved as a file, by its path. */
const files = [
  ['roadmap.csv', 'Roadmap as CSV'],
  ['roadmap.xlsx', 'Roadmap as XLSX'],
  ['roadmap.ics', 'Roadmap as calendar'],
  ['weigh.csv', 'Opportunities as CSV'],
  ['compare.csv', 'Comparison as CSV'],
] as const;

const panels = {
  pull: 'New month: pull from a source',
  import: 'Import files',
  competitors: commonWording.findCompetitors,
  words: 'Add keywords',
  clicks: commonWording.ourOwnClicks,
};

/** Letters from which keywords are looked for. */
const enough = 2;

/** Everything that the command box can do from here: where to go in this study, its lenses, other studies, keywords that fit. */
export function useCommands(study: Study | undefined, typed: string, isOpen: boolean): Command[] {
  const slug = study?.slug ?? '';
  const lenses = useQuery({ ...lensesQuery(slug), enabled: isOpen && study !== undefined });
  const word = typed.trim();
  const others = useQuery({
    queryKey: keys.studiesListed(word, null),
    queryFn: ({ signal }) => told(api.GET('/studies', { params: { query: { name: word, limit: 6 } }, signal })),
    enabled: isOpen,
  });
  const keywords = useFound(study, isOpen ? word : '');
  const at = `/studies/${slug}`;
  return [
    ...(study === undefined ? onStudies : inStudy(study)),
    ...[...(lenses.data?.own ?? []), ...(lenses.data?.ready ?? [])].map(({ name, show }) => ({
      id: `lens ${name}`,
      group: 'Lens',
      title: name,
      to: `${at}/compare?show=${encodeURIComponent(show)}`,
    })),
    ...(others.data?.studies ?? []).map(({ slug, name }) => ({
      id: `study ${slug}`,
      group: 'Study',
      title: name,
      to: `/studies/${slug}/findings`,
    })),
    ...keywords.map(({ keyword }) => ({
      id: `keyword ${slug} ${keyword}`,
      group: 'Keyword',
      title: keyword,
      to: `${at}/compare?show=${encodeURIComponent(`text=${keyword}`)}&keyword=${encodeURIComponent(keyword)}&dossier=open`,
    })),
  ];
}

/** What can be done without a study open. */
const onStudies: Command[] = [{ id: 'home', group: 'Study', title: 'All studies', to: '/' }];

/** Keywords that have a word in them, the most searched first. */
function useFound(study: Study | undefined, word: string) {
  const slug = study?.slug ?? '';
  const comparison = study?.comparison?.id;
  const isLooking = word.length >= enough && comparison !== undefined && /^[\p{L}\p{N} ]+$/u.test(word);
  const keywords = useQuery({
    queryKey: keys.part(slug, 'bench', comparison, 'found', word),
    queryFn: ({ signal }) =>
      told(
        api.GET('/studies/{slug}/bench', {
          params: { path: { slug }, query: { show: `text=${word}`, sort: 'volume', dir: 'desc', limit: 6 } },
          signal,
        }),
      ),
    enabled: isLooking,
  });
  return isLooking ? (keywords.data?.rows ?? []) : [];
}

/** Stages, views, what can be done, and settings, by their words on the screen. */
function inStudy({ slug }: Study): Command[] {
  const at = `/studies/${slug}`;
  const views = (stage: string, named: Record<string, string>, first: string) =>
    Object.entries(named)
      .filter(([view]) => view !== first)
      .map(([view, title]) => ({
        id: `${stage} ${view}`,
        group: 'View',
        title: `${stage}: ${title}`,
        to: `${at}/${stage.toLowerCase()}?view=${view}`,
      }));
  return [
    { id: 'findings', group: 'Stage', title: 'In brief: findings', to: `${at}/findings` },
    ...stages.map((stage) => ({ id: stage, group: 'Stage', title: stage, to: addressOf(slug, stage.toLowerCase()) })),
    ...views('Compare', compareViews, 'keywords'),
    ...views('Weigh', weighViews, 'pages'),
    ...Object.entries(panels).map(([panel, title]) => ({ id: panel, group: 'Action', title, to: `${at}/gather?panel=${panel}` })),
    { id: 'new-month', group: 'Action', title: 'New month: import files', to: `${at}/gather?panel=import` },
    ...files.map(([path, title]) => ({
      id: path,
      group: 'Export',
      title: `Export: ${title}`,
      to: address(`studies/${slug}/exports/${path}`, {}),
      isFile: true,
    })),
    { id: 'rulebook', group: 'Settings', title: 'Rulebook', to: `${at}/rulebook` },
    { id: 'home', group: 'Study', title: 'All studies', to: '/' },
  ];
}
