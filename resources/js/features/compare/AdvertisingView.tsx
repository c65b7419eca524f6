import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { advertisingQuery } from './queries';
import type { Comparison, Study } from '../../api/schema';
import { decimal, position, whole } from '../../shared/format';
import { KeywordButton } from '../keyword/KeywordButton';
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
  onClause: (clause: string) => void;
}

/** Organic and paid side by side: who advertises for what, and where they stand without paying. */
export function AdvertisingView({ study, comparison, show, onKeyword, onClause }: Props) {
  const sorting = useSorting('volume');
  const told = useAbouts();
  const read = useQuery(advertisingQuery(study.slug, comparison.id, show, sorting));
  if (read.isPending) {
    return <Waiting what="Loading paid rankings" />;
  }
  if (read.isError) {
    return <Failed error={read.error} onRetry={() => void read.refetch()} />;
  }
  const { domains, counts, rows } = read.data;
  const empty = domains.filter((domain) => domain.day === null).map((domain) => domain.entry);
  const advertised = counts.both + counts.only_we + counts.only_they;
  return (
    <Box sx={{ flex: 1, overflow: 'auto', px: 2, pb: 3 }}>
      <Box sx={{ display: 'flex', gap: 1, my: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button onClick={() => onClause('paid=only they')}>Only competitors advertise: {whole(counts.only_they)}</Button>
        <Button onClick={() => onClause('paid=we')}>
          We advertise: {whole(counts.only_we + counts.both)}, of these alone: {whole(counts.only_we)}
        </Button>
      </Box>
      <Box component="p" sx={{ my: 1, typography: 'dense', color: 'text.secondary' }}>
        Organic position / paid position. A dot means none.{' '}
        {empty.length > 0 && `No paid list of ${empty.join(', ')}. Import one in Gather, or pull paid rankings from a source.`}
      </Box>
      {advertised === 0 ? (
        <Empty title={empty.length === domains.length ? 'No paid lists yet' : 'No one advertises on these keywords'}>
          {empty.length === domains.length ? 'Import lists of paid positions in Gather.' : commonWording.removeAClauseFromTheSentenceAbove}
        </Empty>
      ) : (
        <PlainTable
          label="Organic and paid side by side"
          headings={[
            { name: 'Keyword', sort: 'keyword', startsAscending: true, about: told('keyword') },
            { name: 'Volume', sort: 'volume', about: told('volume') },
            { name: 'CPC', sort: 'cpc', about: told('cpc') },
            { name: 'Advertiser competition', sort: 'competition', about: told('advertiser_competition') },
            ...domains.map((domain, index) => ({
              name: index === 0 ? 'We' : domain.entry,
              sort: `p${index}`,
              startsAscending: true,
              about: about(
                `Organic position of ${domain.entry}, then the paid one. Sorted by the organic one.`,
                'position',
                sources.rankings,
              ),
            })),
          ]}
          sorting={sorting}
          numbers={[1, 2, 3]}
        >
          {rows.map((row) => (
            <tr key={row.keyword}>
              <td>
                <KeywordButton keyword={row.keyword} onOpen={onKeyword} />
              </td>
              <td>{whole(row.volume)}</td>
              <td>{decimal(row.cpc, 2)}</td>
              <td>{decimal(row.advertiser_competition, 2)}</td>
              {domains.map((domain, index) => (
                <td key={domain.entry}>
                  {position(row.organic[index] ?? null)} /{' '}
                  <Box component="b" sx={{ color: row.paid[index] == null ? 'text.secondary' : 'text.primary' }}>
                    {position(row.paid[index] ?? null)}
                  </Box>
                </td>
              ))}
            </tr>
          ))}
        </PlainTable>
      )}
    </Box>
  );
}
