import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import Anchor from '@mui/material/Link';
import { Link, useNavigate } from 'react-router';
import { address, api, told } from '../../api/client';
import { keys } from '../../api/keys';
import { sourcesQuery } from '../study/queries';
import type { Since, SinceGap, Study } from '../../api/schema';
import { counted, dayWords, position, whole } from '../../shared/format';
import { PlainTable } from '../../shared/PlainTable';
import { useSortedRows } from '../../shared/useSorting';
import { useAbouts } from '../study/useAbouts';
import { DigestSwitch } from './DigestSwitch';
import { measures } from '../../theme/measures';

/** What is different since last time, what needs a decision, and the step into the next month. */
export function SincePart({ study, since }: { study: Study; since: Since | null }) {
  const compare = (show: string) => `/studies/${study.slug}/compare?show=${encodeURIComponent(show)}`;
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, mt: 1.5, flexWrap: 'wrap' }}>
        <Typography variant="h2">{since === null ? 'The first month' : `Since ${dayWords(since.from)}`}</Typography>
        <Box sx={{ flex: 1 }} />
        <DigestSwitch slug={study.slug} />
        {study.comparison !== null && (
          <Button component="a" href={address(`studies/${study.slug}/exports/review.html`, {})} target="_blank" rel="noopener">
            Month in review
          </Button>
        )}
        {study.may_edit && <NewMonth study={study} />}
      </Box>
      {since !== null && (
        <>
          <Typography>
            We climbed on {counted(since.moved.climbed ?? 0, 'keyword')}, dropped on {whole(since.moved.slipped ?? 0)}, entered on{' '}
            {whole(since.moved.entered ?? 0)} and left on {whole(since.moved.left ?? 0)}.{' '}
            {since.undecided > 0 && (
              <Anchor component={Link} to={compare('gaps=opened;brands=hide;mark=open')}>
                {counted(since.undecided, 'new gap')} to decide on.
              </Anchor>
            )}
          </Typography>
          <Box sx={{ display: 'grid', gridTemplateColumns: `repeat(auto-fit, ${measures.half})`, gap: 3, mt: 1 }}>
            <Gaps
              title={`${counted(since.opened.keywords, 'gap')} opened`}
              gaps={since.opened.first}
              to={compare('gaps=opened;brands=hide;mark=kept')}
            />
            <Gaps title={`${counted(since.closed.keywords, 'gap')} closed`} gaps={since.closed.first} to={compare('gaps=closed')} />
          </Box>
        </>
      )}
    </>
  );
}

const values: Record<string, (gap: SinceGap) => string | number | null> = {
  keyword: (gap) => gap.keyword,
  volume: (gap) => gap.volume,
  own: (gap) => gap.own_position,
  best: (gap) => gap.best_position,
};

function Gaps({ title, gaps, to }: { title: string; gaps: SinceGap[]; to: string }) {
  const told = useAbouts();
  const [rows, sorting] = useSortedRows(gaps, values);
  const headings = [
    { name: 'Keyword', sort: 'keyword', startsAscending: true, about: told('keyword') },
    { name: 'Volume', sort: 'volume', about: told('volume') },
    { name: 'We', sort: 'own', startsAscending: true, about: told('own_position') },
    { name: 'Best competitor', sort: 'best', startsAscending: true, about: told('best_position') },
  ];
  return (
    <Box>
      <Anchor component={Link} to={to}>
        {title}
      </Anchor>
      {gaps.length > 0 && (
        <PlainTable label={title} headings={headings} sorting={sorting} numbers={[1, 2]}>
          {rows.map((gap) => (
            <tr key={gap.keyword}>
              <td>{gap.keyword}</td>
              <td>{whole(gap.volume)}</td>
              <td>{position(gap.own_position)}</td>
              <td>
                {position(gap.best_position)} {gap.best}
              </td>
            </tr>
          ))}
        </PlainTable>
      )}
    </Box>
  );
}

/** Pulls the newest rankings of all domains; where no source is connected it leads to the files. The comparison follows by itself. */
function NewMonth({ study }: { study: Study }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const sources = useQuery(sourcesQuery());
  const source = sources.data?.[0];
  const pull = useMutation({
    mutationFn: (source: string) =>
      told(
        api.POST('/studies/{slug}/pulls', {
          params: { path: { slug: study.slug } },
          body: { source, snapshots: 1 },
        }),
      ),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: keys.part(study.slug, 'tasks') });
      await navigate(`/studies/${study.slug}/gather`);
    },
  });
  return (
    <>
      <Button
        variant="contained"
        loading={pull.isPending}
        onClick={() => (source === undefined ? void navigate(`/studies/${study.slug}/gather`) : pull.mutate(source))}
      >
        New month
      </Button>
      {pull.isError && <Alert severity="warning">{pull.error.message}</Alert>}
    </>
  );
}
