import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { keywordQuery } from './queries';
import type { Comparison, KeywordDossier, Mark, Study } from '../../api/schema';
import { movementWords } from '../keyword/movement';
import { chanceWords } from '../keyword/chance';
import { TroubleSign } from '../keyword/TroubleSign';
import { DomainSources } from '../keyword/DomainSources';
import { domainLetter, DomainShape } from '../keyword/DomainShape';
import { decimal, estimate, pathOf, position, whole } from '../../shared/format';
import { Failed, Waiting } from '../../shared/Notice';
import { besideList } from '../../shared/layout';
import { StandingWord } from '../keyword/StandingWord';
import type { useDecisions } from '../decisions/useDecisions';
import { HistoryChart } from './HistoryChart';
import { JudgementPart } from './JudgementPart';
import { MonthBars } from './MonthBars';
import { PlacesPart } from './PlacesPart';
import { Part } from './Part';
import { Why } from '../keyword/Why';
import { about, sources } from '../../shared/abouts';
import { HeadingRow } from '../../shared/HeadingRow';
import { fields, measures, presses } from '../../theme/measures';
import { commonWording } from '../../shared/wording';

interface Props {
  study: Study;
  comparison: Comparison;
  keyword: string;
  /** What the priority is told by; the rulebook's where none are given. */
  weights?: string;
  onClose: () => void;
  decisions: ReturnType<typeof useDecisions>;
  onTopic: (topic: string) => void;
}

/** Everything about one keyword, to the right of the list. */
export function Dossier({ study, comparison, keyword, weights = '', onClose, decisions, onTopic }: Props) {
  const dossier = useQuery(keywordQuery(study.slug, comparison.id, keyword, weights));
  return (
    <Box component="aside" aria-label="Dossier" sx={{ ...besideList, width: { xs: '100%', md: 400 }, pb: 3 }}>
      <Box sx={{ display: 'flex', alignItems: 'start', px: 2, pt: 1.5 }}>
        <Typography variant="h2" sx={{ flex: 1, overflowWrap: 'anywhere' }}>
          {keyword}
        </Typography>
        <IconButton size="small" aria-label="Close the dossier" onClick={onClose}>
          <CloseIcon fontSize="small" />
        </IconButton>
      </Box>
      {dossier.isPending && <Waiting what="Loading the dossier" />}
      {dossier.isError && <Failed error={dossier.error} onRetry={() => void dossier.refetch()} />}
      {dossier.data !== undefined && (
        <>
          <Marks dossier={dossier.data} mayEdit={study.may_edit} onMark={(mark) => decisions.mark([keyword], mark)} />
          <Figures dossier={dossier.data} currency={study.currency} />
          <PlacesPart dossier={dossier.data} />
          <JudgementPart key={keyword} dossier={dossier.data} mayEdit={study.may_edit} decisions={decisions} />
          <EvidencePart dossier={dossier.data} />
          <Positions dossier={dossier.data} comparison={comparison} />
          <Topic dossier={dossier.data} onTopic={onTopic} />
          <PageOne dossier={dossier.data} />
          <Sources dossier={dossier.data} comparison={comparison} />
        </>
      )}
    </Box>
  );
}

function Marks({ dossier, mayEdit, onMark }: { dossier: KeywordDossier; mayEdit: boolean; onMark: (mark: Mark | null) => void }) {
  return (
    <Box sx={{ px: 2, pt: 1, display: 'flex', gap: 1 }}>
      <Button
        variant={dossier.mark === 'shortlisted' ? 'contained' : 'outlined'}
        disabled={!mayEdit}
        onClick={() => onMark(dossier.mark === 'shortlisted' ? null : 'shortlisted')}
      >
        {dossier.mark === 'shortlisted' ? 'On the shortlist' : 'Shortlist'}
      </Button>
      <Button
        variant={dossier.mark === 'set aside' ? 'contained' : 'text'}
        disabled={!mayEdit}
        onClick={() => onMark(dossier.mark === 'set aside' ? null : 'set aside')}
      >
        Set aside
      </Button>
    </Box>
  );
}

interface Figure {
  name: string;
  value: string;
  why?: string;
}

function figuresOf(dossier: KeywordDossier, currency: string): Figure[] {
  return [
    { name: 'Volume a month', value: whole(dossier.volume) + (dossier.volume_derived ? ' (mean of twelve months)' : '') },
    { name: 'Difficulty, 0–100', value: decimal(dossier.difficulty) },
    { name: `CPC, ${currency}`, value: decimal(dossier.cpc, 2) },
    { name: 'Intent', value: dossier.intent ?? '·' },
    { name: 'Visits now', value: estimate(dossier.visits_now), why: 'visits_now' },
    { name: 'Potential', value: estimate(dossier.potential), why: 'potential' },
    { name: `Gain at position ${position(dossier.target)}`, value: estimate(dossier.gain), why: 'gain' },
    { name: 'Win chance', value: chanceWords(dossier.win_chance, dossier.target), why: 'win_chance' },
    { name: commonWording.expectedGain, value: estimate(dossier.expected_gain), why: 'expected_gain' },
    { name: `Value of the gain, ${currency}`, value: estimate(dossier.money.gain_value ?? null), why: 'gain_value' },
    { name: 'Conversions gained', value: estimate(dossier.money.conversions ?? null), why: 'conversions' },
    ...(dossier.why.revenue === undefined
      ? []
      : [{ name: `Revenue gained, ${currency}`, value: estimate(dossier.money.revenue ?? null), why: 'revenue' }]),
    { name: commonWording.linksToEarn, value: whole(dossier.links_to_earn), why: 'links_to_earn' },
    { name: 'Priority, 0–5', value: decimal(dossier.priority, 2), why: 'priority' },
    { name: 'Horizon', value: dossier.horizon ?? '·', why: 'horizon' },
    { name: 'Tactic', value: dossier.tactic ?? '·', why: 'tactic' },
  ];
}

function Figures({ dossier, currency }: { dossier: KeywordDossier; currency: string }) {
  const [opened, setOpened] = useState<string | null>(null);
  return (
    <Part title="Figures">
      <Box sx={{ mb: 0.5 }}>
        <StandingWord standing={dossier.standing} /> · {dossier.competitors_ranking}{' '}
        {dossier.competitors_ranking === 1 ? 'competitor ranks' : 'competitors rank'}, {dossier.competitors_above} above us
        {dossier.movement !== null && ` · we ${dossier.movement === 'steady' ? 'are steady' : movementWords[dossier.movement]}`}
      </Box>
      <Box component="dl" sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', m: 0, rowGap: 0.25, typography: 'dense' }}>
        {figuresOf(dossier, currency).map((figure) => {
          const explanation = figure.why === undefined ? undefined : dossier.why[figure.why];
          const isOpen = explanation !== undefined && opened === figure.why;
          return (
            <Box key={figure.name} sx={{ display: 'contents' }}>
              <Box component="dt" sx={{ color: 'text.secondary' }}>
                {figure.name}
              </Box>
              <Box component="dd" sx={{ m: 0, fontVariantNumeric: 'tabular-nums', display: 'flex', justifyContent: 'space-between' }}>
                {figure.value}
                {explanation !== undefined && (
                  <Link
                    component="button"
                    type="button"
                    aria-expanded={isOpen}
                    aria-label={`Why ${figure.name}?`}
                    onClick={() => setOpened(isOpen ? null : explanation.figure)}
                    sx={{ typography: 'note', minWidth: presses.m, lineHeight: measures.target, alignSelf: 'flex-start' }}
                  >
                    why?
                  </Link>
                )}
              </Box>
              {isOpen && <Why explanation={explanation} />}
            </Box>
          );
        })}
      </Box>
      {dossier.monthly !== null && <MonthBars months={dossier.monthly} />}
    </Part>
  );
}

/** What speaks for (a filled mark) and against (a hollow one) winning the keyword. */
function EvidencePart({ dossier }: { dossier: KeywordDossier }) {
  if (dossier.evidence.length === 0) {
    return null;
  }
  return (
    <Part title="Evidence">
      {dossier.evidence.map((fact) => (
        <Box key={fact.code} sx={{ display: 'flex', gap: 1, typography: 'dense', py: 0.2 }}>
          <Box
            component="span"
            role="img"
            aria-label={fact.encouraging ? 'in favour' : 'against'}
            sx={{ color: fact.encouraging ? 'primary.main' : 'text.secondary' }}
          >
            {fact.encouraging ? '▲' : '▽'}
          </Box>
          {fact.sentence}
        </Box>
      ))}
    </Part>
  );
}

function Positions({ dossier, comparison }: { dossier: KeywordDossier; comparison: Comparison }) {
  return (
    <Part title="Positions">
      <HistoryChart history={dossier.history} domains={comparison.domains} />
      {comparison.domains.map((domain, number) => {
        const pages = dossier.pages.filter((page) => page.domain === domain.id);
        return (
          <Box
            key={domain.id}
            sx={{
              display: 'grid',
              gridTemplateColumns: `${measures.sign} ${measures.sign} ${measures.position} 1fr`,
              alignItems: 'center',
              columnGap: 0.5,
              typography: 'dense',
              py: 0.25,
            }}
          >
            <DomainShape number={number} isPresent={pages.length > 0} size={13} />
            <span>{number === 0 ? '' : domainLetter(number)}</span>
            <Box sx={{ textAlign: 'right', pr: 1, fontVariantNumeric: 'tabular-nums' }}>{position(dossier.positions[number])}</Box>
            <Box
              sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}
              title={pages.map((page) => `${page.position} ${page.url ?? ''}`).join('\n')}
            >
              {domain.entry}
              <Box component="span" sx={{ color: 'text.secondary' }}>
                {' '}
                {pages[0]?.url === undefined || pages[0].url === null ? '' : pathOf(pages[0].url)}
                {pages.length > 1 && ` and ${pages.length - 1} more`}
                {number === 0 && <TroubleSign url={pages[0]?.url ?? null} />}
              </Box>
            </Box>
          </Box>
        );
      })}
    </Part>
  );
}

function Topic({ dossier, onTopic }: { dossier: KeywordDossier; onTopic: Props['onTopic'] }) {
  if (dossier.topic === null) {
    return null;
  }
  const topic = dossier.topic;
  const others = dossier.topic_keywords.filter((other) => other.keyword !== dossier.keyword);
  return (
    <Part title="Topic">
      <Typography variant="body2">
        Primary keyword{' '}
        <Link component="button" type="button" onClick={() => onTopic(topic)} sx={{ verticalAlign: 'baseline', fontWeight: 600 }}>
          {topic}
        </Link>
        {others.length === 0 ? '. No other keyword shares its pages.' : `. The same page can serve ${others.length} more:`}
      </Typography>
      <Box component="ul" sx={{ m: 0, pl: 2.5, typography: 'dense' }}>
        {others.slice(0, 6).map((other) => (
          <li key={other.keyword}>
            {other.keyword}{' '}
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {whole(other.volume)} · we {other.own_position === null ? 'absent' : `at ${other.own_position}`}
            </Box>
          </li>
        ))}
      </Box>
    </Part>
  );
}

function PageOne({ dossier }: { dossier: KeywordDossier }) {
  if (dossier.page_one.length === 0) {
    return null;
  }
  return (
    <Part title={`Page one, ${dossier.page_one[0]?.day ?? ''}`}>
      <Box
        component="table"
        sx={{
          width: '100%',
          typography: 'note',
          borderCollapse: 'collapse',
          '& td, & th': { textAlign: 'right', py: 0.1 },
          '& td:nth-of-type(2), & th:nth-of-type(2)': {
            textAlign: 'left',
            maxWidth: fields.l,
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            whiteSpace: 'nowrap',
            pl: 1,
          },
        }}
      >
        <HeadingRow headings={pageOneHeadings} />
        <tbody>
          {dossier.page_one.map((result) => {
            return (
              <Box
                component="tr"
                key={result.position}
                sx={{ color: result.is_weak ? 'warning.main' : 'inherit', fontWeight: result.is_weak ? 700 : 400 }}
              >
                <td>{result.position}</td>
                <td title={result.title === null ? result.url : `${result.title}\n${result.url}`}>
                  {result.url.replace(/^https?:\/\//, '')}
                </td>
                <td>{decimal(result.authority, 0)}</td>
                <td>{decimal(result.page_strength, 0)}</td>
                <td>{whole(result.referring_domains)}</td>
              </Box>
            );
          })}
        </tbody>
      </Box>
    </Part>
  );
}

/** Names of the figures that sources tell differently. */
function disputed(sources: KeywordDossier['sources']): string[] {
  const figures = [
    { name: 'volume', values: sources.map((source) => source.volume) },
    { name: 'difficulty', values: sources.map((source) => source.difficulty) },
    { name: 'CPC', values: sources.map((source) => source.cpc) },
  ];
  return figures.filter((figure) => new Set(figure.values.filter((value) => value !== null)).size > 1).map((figure) => figure.name);
}

function Sources({ dossier, comparison }: { dossier: KeywordDossier; comparison: Comparison }) {
  const names = disputed(dossier.sources);
  return (
    <Part title="Sources of the figures">
      {names.length > 0 && (
        <Typography variant="body2">
          Sources disagree about {names.join(' and ')}. We use the first in the rulebook’s source order, then the newest.
        </Typography>
      )}
      {dossier.sources.slice(0, 8).map((source, index) => (
        <Box key={index} sx={{ typography: 'note', display: 'flex', gap: 1 }}>
          <Box sx={{ flex: 1, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }} title={source.file}>
            {source.day} {source.kind === 'keywords' ? 'keyword list' : (source.domain ?? source.kind)}
          </Box>
          <span>volume {whole(source.volume)}</span>
          <span>difficulty {decimal(source.difficulty)}</span>
          <span>CPC {decimal(source.cpc, 2)}</span>
        </Box>
      ))}
      {dossier.sources.length === 0 && <Typography variant="body2">No metrics for this keyword yet. Import a keyword list.</Typography>}
      {dossier.disputed_authority.map((domain) => (
        <Box key={domain.domain} sx={{ mt: 0.75 }}>
          <Typography variant="body2">
            Sources disagree about the authority of {comparison.domains.find((one) => one.id === domain.domain)?.entry}. We use the first.
          </Typography>
          <DomainSources said={domain.said} />
        </Box>
      ))}
    </Part>
  );
}

const pageOneHeadings = [
  '',
  { name: 'Page', about: about('URL of the result.', '', sources.results) },
  { name: 'Auth.', about: about('Authority of the site.', '0–100', sources.results) },
  { name: 'Strength', about: about('Strength of the page itself.', '0–100', sources.results) },
  { name: 'Ref. dom.', about: about(commonWording.domainsThatLinkToThePage, 'domains', sources.results) },
] as const;
