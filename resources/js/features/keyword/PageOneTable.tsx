import Box from '@mui/material/Box';
import { useQuery } from '@tanstack/react-query';
import { pageOneQuery } from './queries';
import type { Comparison, PageOneRow, Study } from '../../api/schema';
import { decimal, position, whole } from '../../shared/format';
import { KeywordButton } from './KeywordButton';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import { PlainTable } from '../../shared/PlainTable';
import { useSorting } from '../../shared/useSorting';
import { about, sources } from '../../shared/abouts';
import { useAbouts } from '../study/useAbouts';
import { commonWording } from '../../shared/wording';

interface Props {
  study: Study;
  comparison: Comparison;
  show: string;
  onKeyword: (keyword: string) => void;
}

/** Page one of many keywords at once; a weak result is ringed and told in words. */
export function PageOneTable({ study, comparison, show, onKeyword }: Props) {
  const sorting = useSorting('volume');
  const told = useAbouts();
  const rows = useQuery(pageOneQuery(study.slug, comparison.id, show, sorting));
  return (
    <Box sx={{ flex: 1, overflow: 'auto', px: 2, pb: 3 }}>
      <Box component="p" sx={{ my: 1, typography: 'dense', color: 'text.secondary' }}>
        Page strength and referring domains of each result. Ringed: strength up to 20, or no referring domains. First 100 keywords of the
        list.
      </Box>
      {rows.isPending && <Waiting what="Loading page one" />}
      {rows.isError && <Failed error={rows.error} onRetry={() => void rows.refetch()} />}
      {rows.data?.length === 0 && (
        <Empty title={commonWording.noKeywordMatchesThisSentence}>{commonWording.removeAClauseFromTheSentenceAbove}</Empty>
      )}
      {rows.data !== undefined && rows.data.length > 0 && (
        <PlainTable
          label="Page one"
          headings={[
            { name: 'Keyword', sort: 'keyword', startsAscending: true, about: told('keyword') },
            { name: 'Volume', sort: 'volume', about: told('volume') },
            { name: 'Difficulty', sort: 'difficulty', startsAscending: true, about: told('difficulty') },
            { name: 'We', sort: 'own', startsAscending: true, about: told('own_position') },
            { name: 'Weak', about: about('Weak results on page one.', 'results', sources.results) },
            ...Array.from({ length: 10 }, (_, index) => ({
              name: String(index + 1),
              about: about(
                `Page strength and referring domains of the result at position ${index + 1}.`,
                '0–100 / domains',
                sources.results,
              ),
            })),
          ]}
          sorting={sorting}
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
      sx={{ typography: 'small', maxWidth: { xs: 26, md: 56, lg: 92 }, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}
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
