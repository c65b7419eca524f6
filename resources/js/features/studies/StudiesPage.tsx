import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { studiesQuery } from '../../api/queries';
import { PersonMenu } from '../session';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import { StagePath } from './StagePath';
import { StudyBlock } from './StudyBlock';
import { StudyDialog } from './StudyDialog';

/** Home: every study drawn as its own path, with what waits at each stage. */
export function StudiesPage() {
  const studies = useQuery(studiesQuery());
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Box component="header" sx={{ display: 'flex', alignItems: 'center', px: 2, py: 1.5, borderBottom: 1, borderColor: 'divider' }}>
        <Typography variant="h1" sx={{ flex: 1 }}>
          Greater Reach
        </Typography>
        <PersonMenu />
      </Box>
      <Box component="main" sx={{ flex: 1, overflowY: 'auto' }}>
        <Box sx={{ display: 'flex', alignItems: 'baseline', px: 2, pt: 3, pb: 1 }}>
          <Typography variant="h2" component="h2" sx={{ flex: 1 }}>
            Studies and what waits in them
          </Typography>
          <Button variant="outlined" onClick={() => setOpen(true)}>
            New study
          </Button>
        </Box>
        {studies.isPending && <Waiting what="Reading the studies" />}
        {studies.isError && <Failed error={studies.error} onRetry={() => void studies.refetch()} />}
        {studies.data?.length === 0 && <Empty title="No study yet">A study sets your domain against up to ten competitors in one market. Make one, then bring in rankings.</Empty>}
        {studies.data?.map((study) => (
          <Box key={study.slug} component="section" aria-label={study.name} sx={{ display: 'flex', flexWrap: { xs: 'wrap', md: 'nowrap' }, borderTop: 1, borderColor: 'divider', py: 1 }}>
            <StudyBlock study={study} isHome />
            <StagePath study={study} />
          </Box>
        ))}
      </Box>
      {isOpen && <StudyDialog study={null} onClose={() => setOpen(false)} />}
    </>
  );
}
