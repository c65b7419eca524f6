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
import { PlainTable } from '../../shared/PlainTable';

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
  const pages = useQuery(pagesQuery(study.slug, comparison.id, show, domain === '' ? null : Number(domain)));
  return (
    <Box sx={{ flex: 1, overflowY: 'auto', px: 2, pb: 3 }}>
      <TextField
        select
        label="Pages of"
        value={domain}
        onChange={(event) => onDomain(event.target.value)}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        sx={{ my: 1, minWidth: 260 }}
      >
        <MenuItem value="">all competitors</MenuItem>
        {comparison.domains.map((compared, number) => (
          <MenuItem key={compared.id} value={String(number)}>
            {compared.entry}
          </MenuItem>
        ))}
      </TextField>
      {pages.isPending && <Waiting what="Reading the pages" />}
      {pages.isError && <Failed error={pages.error} onRetry={() => void pages.refetch()} />}
      {pages.data?.length === 0 && <Empty title="No pages">The rankings of these domains name no pages for what the sentence shows.</Empty>}
      {pages.data !== undefined && pages.data.length > 0 && (
        <PlainTable
          label="Pages"
          headings={['Page', 'Keywords', 'Visits a month', 'Share of its visits', 'Traffic leader', 'We lack', '']}
          numbers={[1, 2, 3, 5]}
        >
          {pages.data.map((page) => (
            <tr key={`${page.domain} ${page.url}`}>
              <td>
                <Box component="span" sx={{ display: 'inline-flex', gap: 0.75, alignItems: 'center' }} title={page.url}>
                  <DomainShape number={page.domain} size={12} /> {pathOf(page.url)}
                  <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.76rem' }}>
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
                <Button onClick={() => onPage(page.url)} sx={{ py: 0, whiteSpace: { lg: 'nowrap' } }}>
                  Its keywords
                </Button>
              </td>
            </tr>
          ))}
        </PlainTable>
      )}
    </Box>
  );
}
