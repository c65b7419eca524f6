import Box from '@mui/material/Box';
import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { troubledPagesQuery } from './queries';

const short = {
  redirects: 'redirects',
  missing: 'missing',
  failing: 'server error',
  not_indexable: 'not indexable',
} as const;

/** Says of a page of ours that search engines do not show it; nothing of others. */
export function TroubleSign({ url }: { url: string | null }) {
  const { slug = '' } = useParams();
  const { data } = useQuery({ ...troubledPagesQuery(slug), enabled: slug !== '' && url !== null });
  const page = url === null ? undefined : data?.get(url);
  return page === undefined ? null : (
    <Box component="span" title={page.sentence} sx={{ color: 'warning.main', fontWeight: 600, whiteSpace: 'nowrap' }}>
      {' '}
      {short[page.trouble]}
    </Box>
  );
}
