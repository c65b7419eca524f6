import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { groupsQuery } from './queries';
import type { Comparison, OpportunityGroup, Study } from '../../api/schema';
import { decimal, estimate, pathOf, percent, whole } from '../../shared/format';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import type { About } from '../../shared/Heading';
import type { Headings } from '../../shared/HeadingRow';
import { PlainTable } from '../../shared/PlainTable';
import { useSortedRows } from '../../shared/useSorting';
import { ChooseLine } from '../decisions/ChooseLine';
import { SelectionBar } from '../decisions/SelectionBar';
import type { useDecisions } from '../decisions/useDecisions';
import { ofGroups, useSelection, type Trait } from '../decisions/useSelection';
import { about, sources } from '../../shared/abouts';
import { groupings, thinStage, type Figure } from './groups.logic';
import { fields } from '../../theme/measures';
import { commonWording } from '../../shared/wording';
import { wording } from './wording';

const listed = 'keywords that match the sentence and can be won';
const sums = 'calculated from the rows of the group';

const columns: { key: Figure; name: string; about: About; draw: (group: OpportunityGroup) => string }[] = [
  {
    key: 'keywords',
    name: 'Keywords',
    about: about('Opportunities in the group.', 'keywords', listed),
    draw: (group) => whole(group.keywords),
  },
  {
    key: 'volume',
    name: 'Volume',
    about: about('Total searches.', 'searches a month', sums),
    draw: (group) => whole(group.volume),
  },
  {
    key: 'pages',
    name: 'Pages',
    about: about('Topics in the group, one page each.', 'pages', listed),
    draw: (group) => whole(group.pages),
  },
  {
    key: 'visits_now',
    name: 'Visits now',
    about: about('Visits from our current positions.', 'visits a month', sources.curve),
    draw: (group) => estimate(group.visits_now),
  },
  {
    key: 'gain',
    name: 'Gain',
    about: about('Extra visits at the targets.', 'visits a month', sources.curve),
    draw: (group) => estimate(group.gain),
  },
  {
    key: 'expected_gain',
    name: commonWording.expectedGain,
    about: about(commonWording.expectedExtraVisits, 'visits a month', 'calculated with the position model'),
    draw: (group) => estimate(group.expected_gain),
  },
  {
    key: 'difficulty',
    name: 'Mean difficulty',
    about: about('Mean of known difficulties.', '0–100', sums),
    draw: (group) => decimal(group.difficulty),
  },
  {
    key: 'win_chance',
    name: 'Mean chance of target',
    about: about('Mean of known chances.', 'chance', 'calculated with the position model'),
    draw: (group) => percent(group.win_chance),
  },
  {
    key: 'links_to_earn',
    name: commonWording.linksToEarn,
    about: about('Total links to earn.', 'referring domains', sources.rules),
    draw: (group) => whole(group.links_to_earn),
  },
];

const values: Record<string, (group: OpportunityGroup) => string | number | null> = {
  name: (group) => group.name,
  ...Object.fromEntries(columns.map(({ key }) => [key, (group: OpportunityGroup) => group[key]])),
};

interface Props {
  study: Study;
  comparison: Comparison;
  show: string;
  onOpen: (clause: string) => void;
  /** Puts all keywords of a topic into another one, or gives it another name. */
  onTopic: (topic: string, into: string) => void;
  decisions: ReturnType<typeof useDecisions>;
}

/** Opportunities gathered by a trait, with sums and means; a group opens into its rows. */
export function GroupsView({ study, comparison, show, onOpen, onTopic, decisions }: Props) {
  const [by, setBy] = useState<Trait>('topic');
  const groups = useQuery(groupsQuery(study.slug, comparison.id, show, by));
  const thin = by === 'stage' && groups.data !== undefined ? thinStage(groups.data) : null;
  return (
    <Box sx={{ flex: 1, minHeight: 0, overflow: 'auto', px: 2, pb: 3 }}>
      <Box role="group" aria-label="Grouped by" sx={{ display: 'flex', gap: 0.5, my: 0.5, alignItems: 'center', flexWrap: 'wrap' }}>
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
        <Box component="p" sx={{ my: 0.5, typography: 'plain' }}>
          The stage with the fewest opportunities is <strong>{thin.name}</strong>: {whole(thin.keywords)} of {whole(thin.of)} opportunities
          with a stage.
        </Box>
      )}
      {groups.isPending && <Waiting what="Gathering" />}
      {groups.isError && <Failed error={groups.error} onRetry={() => void groups.refetch()} />}
      {groups.data?.length === 0 && (
        <Empty title={wording.noOpportunityMatchesThisSentence}>{commonWording.removeAClauseFromTheSentenceAbove}</Empty>
      )}
      {groups.data !== undefined && groups.data.length > 0 && (
        <GroupTable
          // Another trait has other groups, in an order of their own.
          key={by}
          by={by}
          groups={groups.data}
          study={study}
          show={show}
          onOpen={onOpen}
          onTopic={onTopic}
          decisions={decisions}
        />
      )}
    </Box>
  );
}

interface TableProps extends Omit<Props, 'comparison'> {
  by: Trait;
  groups: OpportunityGroup[];
}

function GroupTable({ by, groups, study, show, onOpen, onTopic, decisions }: TableProps) {
  const [rows, sorting] = useSortedRows(groups, values, 'expected_gain');
  const selection = useSelection(show, groups, ofGroups(by, show));
  const headings: Headings = [
    '',
    {
      name: `${by.charAt(0).toUpperCase()}${by.slice(1)}`,
      sort: 'name',
      startsAscending: true,
      about: about(`Grouped by ${by}.`, '', listed),
    },
    ...columns.map(({ key, name, about }) => ({ name, about, sort: key })),
  ];
  return (
    <>
      <SelectionBar selection={selection} show={show} total={groups.length} sums={null} mayEdit={study.may_edit} decisions={decisions} />
      <PlainTable label={`Opportunities by ${by}`} headings={headings} sorting={sorting} numbers={columns.map((_, index) => index + 2)}>
        {rows.map((group) => (
          <tr key={group.name ?? ''}>
            <td>
              {study.may_edit && (
                <ChooseLine
                  name={nameOf(group, by)}
                  isChosen={selection.has(group.name ?? '')}
                  onFlip={() => selection.flip(group.name ?? '')}
                />
              )}
            </td>
            <td>
              <GroupName group={group} by={by} onOpen={onOpen} />
              {by === 'topic' && study.may_edit && group.name !== null && (
                <TopicName topic={group.name} others={groups.flatMap((other) => other.name ?? [])} onName={onTopic} />
              )}
            </td>
            {columns.map((column) => (
              <td key={column.key}>{column.draw(group)}</td>
            ))}
          </tr>
        ))}
      </PlainTable>
    </>
  );
}

function nameOf({ name }: OpportunityGroup, by: Trait): string {
  if (name === null) {
    return by === 'page' ? 'no page' : 'unset';
  }
  return by === 'page' ? pathOf(name) : name;
}

function GroupName({ group, by, onOpen }: { group: OpportunityGroup; by: Trait; onOpen: Props['onOpen'] }) {
  const { clause } = group;
  return clause === null ? (
    nameOf(group, by)
  ) : (
    <Button onClick={() => onOpen(clause)} sx={{ py: 0, px: 0, minWidth: 0, textAlign: 'left' }}>
      {nameOf(group, by)}
    </Button>
  );
}

/** Renames a topic; with the name of another one the two become one. */
function TopicName({ topic, others, onName }: { topic: string; others: string[]; onName: (topic: string, into: string) => void }) {
  const [text, setText] = useState<string | null>(null);
  if (text === null) {
    return (
      <Button
        aria-label={`Rename ${topic} or merge it`}
        onClick={() => setText(topic)}
        sx={{ py: 0, px: 0.5, minWidth: 0, ml: 1, color: 'text.secondary', typography: 'small' }}
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
        sx={{ width: fields.l }}
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
