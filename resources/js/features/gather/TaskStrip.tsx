import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Link from '@mui/material/Link';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { address, api, told } from '../../api/client';
import { keys } from '../../api/keys';
import { isActive, tasksQuery } from '../study/queries';
import type { Study, Task } from '../../api/schema';
import { progressOf } from './tasks.logic';
import { measures } from '../../theme/measures';

/** The work that goes on, with how far it is and how long it will take; and how the latest ended, until it is put away. */
export function TaskStrip({ study }: { study: Study }) {
  const client = useQueryClient();
  const tasks = useQuery(tasksQuery(study.slug));
  const [hidden, setHidden] = useState<number[]>([]);
  const active = useRef(0);
  const shown = (tasks.data ?? [])
    .filter((task) => task.kind !== 'preview' && !hidden.includes(task.id))
    .filter((task, index) => isActive(task) || (index === 0 && isRecent(task)));
  const running = shown.filter(isActive).length;
  useEffect(() => {
    // Whatever has just ended may have changed everything that is on show.
    if (running < active.current) {
      void client.invalidateQueries({ queryKey: keys.study(study.slug) });
    }
    active.current = running;
  }, [client, running, study.slug]);
  return (
    <Box role="status" aria-label="Running tasks" sx={{ px: 2 }}>
      {shown.map((task) => (
        <TaskLine key={task.id} study={study} task={task} onHide={() => setHidden((before) => [...before, task.id])} />
      ))}
    </Box>
  );
}

function isRecent(task: Task): boolean {
  return (
    task.finished_at !== null &&
    (task.status === 'failed'
      ? Date.now() - Date.parse(task.finished_at) < 24 * 3600_000
      : Date.now() - Date.parse(task.finished_at) < 120_000)
  );
}

function TaskLine({ study, task, onHide }: { study: Study; task: Task; onHide: () => void }) {
  const client = useQueryClient();
  const cancel = useMutation({
    mutationFn: () => told(api.DELETE('/studies/{slug}/tasks/{task}', { params: { path: { slug: study.slug, task: task.id } } })),
    onSettled: () => client.invalidateQueries({ queryKey: keys.part(study.slug, 'tasks') }),
  });
  const progress = progressOf(task);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: `1fr ${measures.progress} auto`,
        gap: 1.5,
        alignItems: 'center',
        borderBottom: 1,
        borderColor: 'divider',
        py: 0.75,
        typography: 'dense',
      }}
    >
      <Box sx={{ overflowWrap: 'anywhere' }}>
        <strong>{task.title}</strong> — {progress.words}{' '}
        {task.result?.bad_rows !== undefined && (
          <Link href={address(`studies/${study.slug}/tasks/${task.id}/bad-rows.csv`)} download>
            Download bad rows
          </Link>
        )}
      </Box>
      {isActive(task) ? (
        <LinearProgress
          aria-label={`Progress of ${task.title}`}
          variant={progress.share === null ? 'indeterminate' : 'determinate'}
          value={100 * (progress.share ?? 0)}
        />
      ) : (
        <span />
      )}
      {isActive(task) ? (
        <Button disabled={!study.may_edit || task.cancel_wanted} loading={cancel.isPending} onClick={() => cancel.mutate()}>
          Cancel
        </Button>
      ) : (
        <Button onClick={onHide}>Dismiss</Button>
      )}
    </Box>
  );
}
