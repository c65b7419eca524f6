import Box from '@mui/material/Box';
import { useQuery } from '@tanstack/react-query';
import { pageOneQuery } from './queries';
import type { Comparison, PageOneRow, Study } from '../../api/schema';
import { decimal, position, whole } from '../../shared/format';
import { KeywordButton } from './KeywordButton';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import { PlainTable } from '../../shared/PlainTable';

interface Props {
  study: Study;
  comparison: Comparison;
  show: string;
  onKeyword: (keyword: string) => void;
}

/** Page one of many keywords at once; a weak result is ringed and told in words. */
export function PageOneTable({ study, comparison, show, onKeyword }: Props) {
  const rows = useQuery(pageOneQuery(study.slug, comparison.id, show));
  return (
    <Box sx={{ flex: 1, overflow: 'auto', px: 2, pb: 3 }}>
      <Box component="p" sx={{ my: 1, fontSize: '0.86rem', color: 'text.secondary' }}>
        Each place of page one with its page strength and referring domains. Ringed: strength of 20 or less, or no referring domain. At most
        a hundred keywords, most volume first.
      </Box>
      {rows.isPending && <Waiting what="Reading page one" />}
      {rows.isError && <Failed error={rows.error} onRetry={() => void rows.refetch()} />}
      {rows.data?.length === 0 && <Empty title="No keyword fits this sentence">Take a clause out of the sentence above.</Empty>}
      {rows.data !== undefined && rows.data.length > 0 && (
        <PlainTable
          label="Page one of all"
          headings={['Keyword', 'Volume', 'Difficulty', 'We', 'Weak', ...Array.from({ length: 10 }, (_, index) => String(index + 1))]}
          numbers={[1, 2, 3, 4]}
        >
          {rows.data.map((row) => (
            <tr key={row.keyword}>
              <td>
                <KeywordButton keyword={row.keyword} onOpen={onKeyword} />
              </td>
              <td>{whole(row.volume)}</td>
              <td>{decimal(row.difficulty)}</td>
              <td>{position(row.own_position)}</td>
              <td>{row.results.length === 0 ? '·' : row.weak}</td>
              {Array.from({ length: 10 }, (_, index) => (
                <Place key={index} result={row.results.find((result) => result.position === index + 1)} />
              ))}
            </tr>
          ))}
        </PlainTable>
      )}
    </Box>
  );
}

function Place({ result }: { result: PageOneRow['results'][number] | undefined }) {
  if (result === undefined) {
    return <td>·</td>;
  }
  const host = result.url.replace(/^https?:\/\/(www\.)?/, '').split('/')[0] ?? '';
  return (
    <Box
      component="td"
      title={`${result.url}${result.is_weak ? ' — weak' : ''}`}
      sx={{ fontSize: '0.74rem', maxWidth: { xs: 26, md: 56, lg: 92 }, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}
    >
      <Box
        component="span"
        sx={result.is_weak ? { border: 1, borderColor: 'warning.main', color: 'warning.main', fontWeight: 700, px: 0.5 } : {}}
      >
        {decimal(result.page_strength, 0)} / {whole(result.referring_domains)}
      </Box>
      <br />
      {host}
    </Box>
  );
}
