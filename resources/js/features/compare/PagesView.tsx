import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { pagesQuery } from './queries';
import type { Comparison, Study } from '../../api/schema';
import { DomainShape } from '../keyword/DomainShape';
import { estimate, pathOf, percent, whole } from '../../shared/format';
import { KeywordButton } from '../keyword/KeywordButton';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import type { Headings } from '../../shared/HeadingRow';
import { PlainTable } from '../../shared/PlainTable';
import { useSorting } from '../../shared/useSorting';
import { about, sources } from '../../shared/abouts';
import { fields } from '../../theme/measures';
import { commonWording } from '../../shared/wording';

const headings: Headings = [
  { name: 'Page', sort: 'page', startsAscending: true, about: about('URL of the page and its domain.', '', sources.rankings) },
  { name: 'Keywords', sort: 'keywords', about: about(commonWording.keywordsItRanksFor, 'keywords', sources.rankings) },
  {
    name: commonWording.visitsAMonth,
    sort: 'visits',
    about: about(commonWording.estimatedVisitsFromItsPositions, 'visits a month', sources.curve),
  },
  { name: 'Share of visits', sort: 'share', about: about('Share of its domain’s visits.', 'share', sources.curve) },
  {
    name: 'Traffic leader',
    sort: 'traffic_leader',
    startsAscending: true,
    about: about('Its keyword with the most visits.', '', sources.curve),
  },
  { name: 'We lack', sort: 'we_lack', about: about('Of these, keywords we don’t rank for.', 'keywords', sources.rankings) },
  '',
];

interface Props {
  study: Study;
  comparison: Comparison;
  show: string;
  domain: string;
  onDomain: (domain: string) => void;
  onPage: (url: string) => void;
  onKeyword: (keyword: string) => void;
}

/** Pages by the visits they bring: whose, how many keywords, which one leads, what of it we lack. */
export function PagesView({ study, comparison, show, domain, onDomain, onPage, onKeyword }: Props) {
  const sorting = useSorting('visits');
  const pages = useQuery(pagesQuery(study.slug, comparison.id, show, domain === '' ? null : Number(domain), sorting));
  return (
    <Box sx={{ flex: 1, overflowY: 'auto', px: 2, pb: 3 }}>
      <TextField
        select
        label="Pages of"
        value={domain}
        onChange={(event) => onDomain(event.target.value)}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        sx={{ my: 1, minWidth: fields.xl }}
      >
        <MenuItem value="">all competitors</MenuItem>
        {comparison.domains.map((compared, number) => (
          <MenuItem key={compared.id} value={String(number)}>
            {compared.entry}
          </MenuItem>
        ))}
      </TextField>
      {pages.isPending && <Waiting what="Loading the pages" />}
      {pages.isError && <Failed error={pages.error} onRetry={() => void pages.refetch()} />}
      {pages.data?.length === 0 && <Empty title="No pages">These domains’ rankings have no URLs for the keywords shown.</Empty>}
      {pages.data !== undefined && pages.data.length > 0 && (
        <PlainTable label="Pages" headings={headings} sorting={sorting} numbers={[1, 2, 3, 5]}>
          {pages.data.map((page) => (
            <tr key={`${page.domain} ${page.url}`}>
              <td>
                <Box component="span" title={page.url}>
                  <DomainShape number={page.domain} size={12} /> {pathOf(page.url)}{' '}
                  <Box
                    component="span"
                    sx={{ color: 'text.secondary', typography: 'small', display: { xs: 'block', lg: 'inline' }, whiteSpace: 'nowrap' }}
                  >
                    {comparison.domains[page.domain]?.entry}
                  </Box>
                </Box>
              </td>
              <td>{whole(page.keywords)}</td>
              <td>{estimate(page.visits)}</td>
              <td>{percent(page.share)}</td>
              <td>
                <KeywordButton keyword={page.traffic_leader} onOpen={onKeyword} />
              </td>
              <td>{whole(page.we_lack)}</td>
              <td>
                <Button onClick={() => onPage(page.url)} sx={{ py: 0, whiteSpace: 'nowrap' }}>
                  Show keywords
                </Button>
              </td>
            </tr>
          ))}
        </PlainTable>
      )}
    </Box>
  );
}
