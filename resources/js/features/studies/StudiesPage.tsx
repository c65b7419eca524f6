import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import { PersonMenu, sessionQuery } from '../session';
import { DeletedStudies } from './DeletedStudies';
import { FirstStudy } from './FirstStudy';
import { grouped, groups, isGroup, type Group } from './groups.logic';
import { studiesQuery } from './queries';
import { StudyDialog } from './StudyDialog';
import { StudyLine } from './StudyLine';
import { fields } from '../../theme/measures';
import { commonWording } from '../../shared/wording';

/** Fewer studies than these are looked over without searching or groups. */
const few = 10;

/** Home: every study drawn as its own path, with what waits at each stage and what stands out most. */
export function StudiesPage() {
  const [wanted, setWanted] = useState('');
  const [params, setParams] = useSearchParams();
  const asked = params.get('group');
  const group = isGroup(asked) ? asked : null;
  const list = useInfiniteQuery(studiesQuery(wanted, group));
  const [isOpen, setOpen] = useState(false);
  const studies = list.data?.pages.flatMap((page) => page.studies) ?? [];
  const isMany = wanted !== '' || group !== null || studies.length >= few;
  const mayMake = useQuery(sessionQuery()).data?.person?.may_make_studies === true;
  const isNone = list.isSuccess && studies.length === 0;
  return (
    <>
      <Box component="header" sx={{ display: 'flex', alignItems: 'center', px: 2, py: 1.5, borderBottom: 1, borderColor: 'divider' }}>
        <Typography variant="h1" sx={{ flex: 1 }}>
          {commonWording.greaterReach}
        </Typography>
        <PersonMenu />
      </Box>
      <Box component="main" sx={{ flex: 1, overflowY: 'auto' }}>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, px: 2, pt: 3, pb: 1, flexWrap: 'wrap' }}>
          <Typography variant="h2" component="h2" sx={{ flex: 1, minWidth: fields.xl }}>
            {isNone && !isMany && mayMake ? 'Your first study' : 'Studies'}
          </Typography>
          {isMany && <TextField label="Find a study or a domain" value={wanted} onChange={(event) => setWanted(event.target.value)} />}
          {isMany && <GroupChoice group={group} onChange={(chosen) => setParams(chosen === null ? {} : { group: chosen })} />}
          {mayMake && !(isNone && !isMany) && (
            <Button variant="outlined" onClick={() => setOpen(true)}>
              New study
            </Button>
          )}
        </Box>
        {list.isPending && <Waiting what="Loading the studies" />}
        {list.isError && <Failed error={list.error} onRetry={() => void list.refetch()} />}
        {isNone && (isMany ? <Nothing wanted={wanted} /> : mayMake ? <FirstStudy /> : <NoStudy />)}
        {grouped(studies, group).map((part) => (
          <Box key={part.name ?? ''} component="section" aria-label={part.name ?? 'Studies'}>
            {part.name !== null && (
              <Typography variant="h3" sx={{ px: 2, pt: 1.5, pb: 0.5, typography: 'plain' }}>
                {part.name}
              </Typography>
            )}
            {part.studies.map((study) => (
              <StudyLine key={study.slug} study={study} />
            ))}
          </Box>
        ))}
        {list.hasNextPage && (
          <Button onClick={() => void list.fetchNextPage()} loading={list.isFetchingNextPage} sx={{ m: 2 }}>
            Show more studies
          </Button>
        )}
        <DeletedStudies />
      </Box>
      {isOpen && <StudyDialog study={null} onClose={() => setOpen(false)} />}
    </>
  );
}

function GroupChoice({ group, onChange }: { group: Group | null; onChange: (group: Group | null) => void }) {
  return (
    <TextField
      select
      label="Grouped by"
      value={group ?? 'name'}
      onChange={(event) => onChange(isGroup(event.target.value) ? event.target.value : null)}
      sx={{ width: fields.m }}
    >
      <MenuItem value="name">name</MenuItem>
      {Object.entries(groups).map(([name, title]) => (
        <MenuItem key={name} value={name}>
          {title}
        </MenuItem>
      ))}
    </TextField>
  );
}

function Nothing({ wanted }: { wanted: string }) {
  return <Empty title={`No study has “${wanted}” in its name or among its domains`}>{commonWording.tryPartOfTheName}</Empty>;
}

function NoStudy() {
  return <Empty title="No studies yet">Ask an administrator to add you to a study, or to let you create one.</Empty>;
}
