import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Brief, RoadmapItem } from '../../api/schema';
import { decimal, estimate, position, whole } from '../../shared/format';
import { KeptText } from '../../shared/KeptText';
import { PlainTable } from '../../shared/PlainTable';
import { about, sources } from '../../shared/abouts';
import { BriefHeading as Heading, InternalLinks, PageToday, TextList } from './BriefParts';
import { intentWords, pageNow } from './brief.logic';
import { LinkWork } from './LinkWork';
import { monthName } from './months.logic';
import { commonWording } from '../../shared/wording';
import { wording } from './wording';

interface Props {
  slug: string;
  brief: Brief;
  item: RoadmapItem;
  mayEdit: boolean;
  onWrite: (written: RoadmapItem['brief']) => void;
}

const fields = [
  ['angle', 'Angle'],
  ['call_to_action', 'Call to action'],
  ['notes', 'Notes'],
  ['pages_to_beat', 'Pages to beat, one URL per line (default: page one)'],
] as const;

/** What a writer needs to know: what to win, with which words, against whom, and what to answer. */
export function BriefView({ slug, brief, item, mayEdit, onWrite }: Props) {
  return (
    <>
      <Box
        component="dl"
        sx={{
          display: 'grid',
          gridTemplateColumns: '1fr 1.4fr',
          m: 0,
          mt: 1.5,
          rowGap: 0.25,
          typography: 'dense',
          '& dt': { color: 'text.secondary' },
          '& dd': { m: 0 },
        }}
      >
        <dt>Tactic</dt>
        <dd>{item.tactic}</dd>
        <dt>Our page</dt>
        <dd>{brief.our_page ?? 'new page'}</dd>
        <dt>Position, target</dt>
        <dd>
          {position(brief.our_position)} → {position(brief.target)}, gain {estimate(brief.gain)} visits a month
        </dd>
        <dt>Intent, funnel stage</dt>
        <dd>
          {brief.intent ?? '·'}, {brief.stage ?? 'unset'}
        </dd>
        <dt>{commonWording.linksToEarn}</dt>
        <dd>{whole(item.links_to_earn)}</dd>
        <dt>Publish by</dt>
        <dd>{brief.publish_by === null ? 'any month (no season)' : monthName(brief.publish_by)}</dd>
      </Box>
      {brief.work !== null && <PageToday work={brief.work} />}
      {fields.map(([field, label]) => (
        <KeptText
          key={field}
          multiline
          fullWidth
          maxRows={8}
          sx={{ mt: 1.25 }}
          label={label}
          value={brief.written[field] ?? ''}
          disabled={!mayEdit}
          onKeep={(text) => onWrite({ ...brief.written, [field]: text })}
        />
      ))}
      <Heading>{wording.keywordsOfThePage}</Heading>
      <Typography variant="body2">Most visits from: {brief.traffic_leader}</Typography>
      <PlainTable
        label={wording.keywordsOfThePage}
        headings={[
          { name: 'Keyword', about: about('Primary keyword first.', '', sources.rankings) },
          {
            name: 'Volume',
            about: about(commonWording.searchesAMonth, 'searches a month', 'the first source in rulebook order that has it'),
          },
          { name: 'We', about: about('Our best position for it.', 'position', sources.rankings) },
          { name: wording.pageNow, about: about('Our page that ranks for it now.', '', sources.rankings) },
        ]}
        numbers={[1, 2]}
      >
        {brief.keywords.slice(0, 20).map((keyword) => (
          <tr key={keyword.keyword}>
            <td>{keyword.is_lead ? <strong>{keyword.keyword}</strong> : keyword.keyword}</td>
            <td>{whole(keyword.volume)}</td>
            <td>{position(keyword.own_position)}</td>
            <td title={keyword.own_url ?? ''}>{pageNow(keyword.own_url, brief.our_page)}</td>
          </tr>
        ))}
      </PlainTable>
      <TextList heading="Covered by leading pages, not by ours" lines={brief.work?.uncovered ?? []} />
      <TextList heading="Questions to answer" lines={brief.questions} />
      {brief.rivals.map((rival) => (
        <TextList
          key={rival.url}
          heading={`Page to beat: ${rival.url.replace(/^https?:\/\//, '')}`}
          lines={rival.headings.length === 0 ? ['No source has the content of this page.'] : rival.headings}
        />
      ))}
      <InternalLinks links={brief.work?.internal_links ?? []} />
      {brief.prospects.length > 0 && (
        <>
          <Heading>{wording.linkProspects}</Heading>
          <PlainTable
            label={wording.linkProspects}
            headings={[
              { name: 'Site', about: about('Sites that link to competitors but not to us.', '', 'imported links') },
              { name: 'Authority', about: about('Authority of the linking site.', '0–100', 'imported links') },
              { name: 'Linked pages', about: about('Pages above ours that it links to.', 'pages', 'imported links') },
            ]}
            numbers={[1, 2]}
          >
            {brief.prospects.map((prospect) => (
              <tr key={prospect.domain}>
                <td>{prospect.domain}</td>
                <td>{decimal(prospect.authority, 0)}</td>
                <td title={prospect.pages.join(', ')}>{whole(prospect.pages.length)}</td>
              </tr>
            ))}
          </PlainTable>
          {mayEdit && item.unit !== 'links' && brief.topic !== null && (
            <LinkWork slug={slug} topic={brief.topic} toEarn={item.links_to_earn} />
          )}
        </>
      )}
      {brief.page_one.length > 0 && (
        <>
          <Heading>Page one</Heading>
          <Typography variant="body2">{intentWords(brief.page_one_intents)}</Typography>
          <PlainTable
            label="Page one"
            headings={[
              '',
              { name: 'Page', about: about('Results on page one, best first.', '', sources.results) },
              { name: 'Strength', about: about('Strength of the page.', '0–100', sources.results) },
              { name: 'Ref. domains', about: about(commonWording.domainsThatLinkToThePage, 'domains', sources.results) },
            ]}
            numbers={[0, 2, 3]}
          >
            {brief.page_one.map((result) => (
              <tr key={result.position}>
                <td>{result.position}</td>
                <td style={{ overflowWrap: 'anywhere' }}>
                  {result.url.replace(/^https?:\/\//, '')}
                  {(result.is_weak || result.is_off_topic === true) && (
                    <Box component="span" sx={{ color: 'warning.main', fontWeight: 600 }}>
                      {' '}
                      {[...(result.is_weak ? ['weak'] : []), ...(result.is_off_topic === true ? ['off topic'] : [])].join(', ')}
                    </Box>
                  )}
                </td>
                <td>{decimal(result.page_strength, 0)}</td>
                <td>{whole(result.referring_domains)}</td>
              </tr>
            ))}
          </PlainTable>
        </>
      )}
    </>
  );
}
