import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { groupsQuery } from './queries';
import type { Comparison, OpportunityGroup, Study } from '../../api/schema';
import { decimal, estimate, pathOf, percent, whole } from '../../shared/format';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import { groupings, inOrder, thinStage, type Grouping, type Figure } from './groups.logic';

const columns: { key: Figure; name: string; draw: (group: OpportunityGroup) => string }[] = [
  { key: 'keywords', name: 'Keywords', draw: (group) => whole(group.keywords) },
  { key: 'volume', name: 'Volume', draw: (group) => whole(group.volume) },
  { key: 'pages', name: 'Pages', draw: (group) => whole(group.pages) },
  { key: 'visits_now', name: 'Visits now', draw: (group) => estimate(group.visits_now) },
  { key: 'gain', name: 'Gain', draw: (group) => estimate(group.gain) },
  { key: 'expected_gain', name: 'Expected gain', draw: (group) => estimate(group.expected_gain) },
  { key: 'difficulty', name: 'Mean difficulty', draw: (group) => decimal(group.difficulty) },
  { key: 'win_chance', name: 'Mean chance of target', draw: (group) => percent(group.win_chance) },
  { key: 'links_to_earn', name: 'Links to earn', draw: (group) => whole(group.links_to_earn) },
];

interface Props {
  study: Study;
  comparison: Comparison;
  show: string;
  onOpen: (clause: string) => void;
  /** Puts all keywords of a topic into another one, or gives it another name. */
  onTopic: (topic: string, into: string) => void;
}

/** Opportunities gathered by a trait, with sums and means; a group opens into its rows. */
export function GroupsView({ study, comparison, show, onOpen, onTopic }: Props) {
  const [by, setBy] = useState<Grouping>('topic');
  const [sort, setSort] = useState<Figure>('expected_gain');
  const groups = useQuery(groupsQuery(study.slug, comparison.id, show, by));
  const thin = by === 'stage' && groups.data !== undefined ? thinStage(groups.data) : null;
  return (
    <Box sx={{ flex: 1, minHeight: 0, overflow: 'auto', px: 2, pb: 3 }}>
      <Box role="group" aria-label="Gathered by" sx={{ display: 'flex', gap: 0.5, my: 0.5, alignItems: 'center', flexWrap: 'wrap' }}>
        {groupings.map((grouping) => (
          <Button
            key={grouping}
            aria-pressed={by === grouping}
            variant={by === grouping ? 'outlined' : 'text'}
            onClick={() => setBy(grouping)}
            sx={{ py: 0.25 }}
          >
            by {grouping}
          </Button>
        ))}
      </Box>
      {thin !== null && (
        <Box component="p" sx={{ my: 0.5, fontSize: '0.9rem' }}>
          The thin stage is <strong>{thin.name}</strong>: {whole(thin.keywords)} of {whole(thin.of)} opportunities with a stage.
        </Box>
      )}
      {groups.isPending && <Waiting what="Gathering" />}
      {groups.isError && <Failed error={groups.error} onRetry={() => void groups.refetch()} />}
      {groups.data?.length === 0 && <Empty title="No opportunity fits this sentence">Take a clause out of the sentence above.</Empty>}
      {groups.data !== undefined && groups.data.length > 0 && (
        <Box
          component="table"
          aria-label={`Opportunities by ${by}`}
          sx={{
            width: '100%',
            borderCollapse: 'collapse',
            fontSize: '0.86rem',
            '& th, & td': {
              borderBottom: 1,
              borderColor: 'divider',
              px: 0.75,
              py: 0.3,
              textAlign: 'right',
              fontVariantNumeric: 'tabular-nums',
            },
            '& th:first-of-type, & td:first-of-type': { textAlign: 'left' },
            '& th': { position: 'sticky', top: 0, bgcolor: 'background.default', fontSize: '0.78rem' },
          }}
        >
          <thead>
            <tr>
              <th scope="col">{by}</th>
              {columns.map((column) => (
                <th key={column.key} scope="col" aria-sort={sort === column.key ? 'descending' : undefined}>
                  <Button
                    onClick={() => setSort(column.key)}
                    sx={{ p: 0, minWidth: 0, fontSize: 'inherit', color: sort === column.key ? 'text.primary' : 'text.secondary' }}
                  >
                    {column.name}
                    {sort === column.key ? ' ↓' : ''}
                  </Button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {inOrder(groups.data, sort).map((group) => {
              const { clause } = group;
              const name =
                group.name === null ? (by === 'page' ? 'no page of ours' : 'unset') : by === 'page' ? pathOf(group.name) : group.name;
              return (
                <tr key={group.name ?? ''}>
                  <td>
                    {clause === null ? (
                      name
                    ) : (
                      <Button onClick={() => onOpen(clause)} sx={{ py: 0, px: 0, minWidth: 0, textAlign: 'left' }}>
                        {name}
                      </Button>
                    )}
                    {by === 'topic' && study.may_edit && group.name !== null && (
                      <TopicName topic={group.name} others={groups.data.flatMap((other) => other.name ?? [])} onName={onTopic} />
                    )}
                  </td>
                  {columns.map((column) => (
                    <td key={column.key}>{column.draw(group)}</td>
                  ))}
                </tr>
              );
            })}
          </tbody>
        </Box>
      )}
    </Box>
  );
}

/** Renames a topic; with the name of another one the two become one. */
function TopicName({ topic, others, onName }: { topic: string; others: string[]; onName: (topic: string, into: string) => void }) {
  const [text, setText] = useState<string | null>(null);
  if (text === null) {
    return (
      <Button
        aria-label={`Rename ${topic} or join it with another`}
        onClick={() => setText(topic)}
        sx={{ py: 0, px: 0.5, minWidth: 0, ml: 1, color: 'text.secondary', fontSize: '0.76rem' }}
      >
        rename
      </Button>
    );
  }
  const into = text.trim();
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        if (into !== '' && into !== topic) {
          onName(topic, into);
        }
        setText(null);
      }}
      sx={{ display: 'inline-flex', gap: 0.5, ml: 1 }}
    >
      <TextField
        autoFocus
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && setText(null)}
        slotProps={{ htmlInput: { 'aria-label': 'Name of the topic', list: 'topics' } }}
        sx={{ width: 200 }}
      />
      <datalist id="topics">
        {others.map((other) => (
          <option key={other} value={other} />
        ))}
      </datalist>
      <Button type="submit">{others.includes(into) && into !== topic ? 'Join' : 'Rename'}</Button>
    </Box>
  );
}
