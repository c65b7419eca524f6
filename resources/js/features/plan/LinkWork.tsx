import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { usePutOnRoadmap } from '../decisions/usePutOnRoadmap';
import { fields } from '../../theme/measures';
import { commonWording } from '../../shared/wording';

interface Props {
  slug: string;
  topic: string;
  /** Links that the page lacks, as far as that is known. */
  toEarn: number | null;
}

/** Adds the links to earn for a page as an item of its own, with days of work and no forecast. */
export function LinkWork({ slug, topic, toEarn }: Props) {
  const put = usePutOnRoadmap(slug);
  const [links, setLinks] = useState(String(Math.max(1, toEarn ?? 1)));
  const count = Number(links);
  const isCount = Number.isInteger(count) && count >= 1 && count <= 1000;
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        put.mutate({ links: { topic, count } });
      }}
      sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 1 }}
    >
      <TextField
        label="Links"
        type="number"
        value={links}
        error={!isCount}
        onChange={(event) => setLinks(event.target.value)}
        sx={{ width: fields.s }}
      />
      <Button type="submit" disabled={!isCount || put.isPending}>
        Add link work
      </Button>
      {put.isSuccess && (
        <Box role="status" sx={{ typography: 'dense' }}>
          {put.data.added === 0 ? 'Link work for this page is already on the roadmap.' : commonWording.addedToTheRoadmapWithoutAMonth}
        </Box>
      )}
      {put.isError && <Alert severity="warning">{put.error.message}</Alert>}
    </Box>
  );
}
