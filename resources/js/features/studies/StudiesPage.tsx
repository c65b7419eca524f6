import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useInfiniteQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { studiesQuery } from './queries';
import { PersonMenu } from '../session';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import { StagePath } from './StagePath';
import { StudyBlock } from './StudyBlock';
import { StudyDialog } from './StudyDialog';

/** Fewer studies than these are looked over without searching. */
const few = 10;

/** Home: every study drawn as its own path, with what waits at each stage. */
export function StudiesPage() {
  const [name, setName] = useState('');
  const list = useInfiniteQuery(studiesQuery(name));
  const [isOpen, setOpen] = useState(false);
  const studies = list.data?.pages.flatMap((page) => page.studies) ?? [];
  return (
    <>
      <Box component="header" sx={{ display: 'flex', alignItems: 'center', px: 2, py: 1.5, borderBottom: 1, borderColor: 'divider' }}>
        <Typography variant="h1" sx={{ flex: 1 }}>
          Greater Reach
        </Typography>
        <PersonMenu />
      </Box>
      <Box component="main" sx={{ flex: 1, overflowY: 'auto' }}>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, px: 2, pt: 3, pb: 1, flexWrap: 'wrap' }}>
          <Typography variant="h2" component="h2" sx={{ flex: 1, minWidth: 260 }}>
            Studies and what waits in them
          </Typography>
          {(name !== '' || studies.length >= few) && (
            <TextField label="Find a study" value={name} onChange={(event) => setName(event.target.value)} />
          )}
          <Button variant="outlined" onClick={() => setOpen(true)}>
            New study
          </Button>
        </Box>
        {list.isPending && <Waiting what="Reading the studies" />}
        {list.isError && <Failed error={list.error} onRetry={() => void list.refetch()} />}
        {list.isSuccess && studies.length === 0 && <NoStudy wanted={name} />}
        {studies.map((study) => (
          <Box
            key={study.slug}
            component="section"
            aria-label={study.name}
            sx={{ display: 'flex', flexWrap: { xs: 'wrap', md: 'nowrap' }, borderTop: 1, borderColor: 'divider', py: 1 }}
          >
            <StudyBlock study={study} isHome />
            <StagePath study={study} />
          </Box>
        ))}
        {list.hasNextPage && (
          <Button onClick={() => void list.fetchNextPage()} loading={list.isFetchingNextPage} sx={{ m: 2 }}>
            Show more studies
          </Button>
        )}
      </Box>
      {isOpen && <StudyDialog study={null} onClose={() => setOpen(false)} />}
    </>
  );
}

function NoStudy({ wanted }: { wanted: string }) {
  return wanted === '' ? (
    <Empty title="No study yet">
      A study sets your domain against up to ten competitors in one market. Make one, then bring in rankings.
    </Empty>
  ) : (
    <Empty title={`No study is called “${wanted}”`}>Only a part of its name is needed.</Empty>
  );
}
