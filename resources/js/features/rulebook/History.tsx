import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import { rulebookHistoryQuery } from './queries';
import type { Setting, Study } from '../../api/schema';
import { titleOf } from './rulebook.logic';
import { Failed } from '../../shared/Notice';
import { PlainTable } from '../../shared/PlainTable';
import { about, sources } from '../../shared/abouts';

/** Who changed what in the rulebook, and back to before it. */
const headings = [
  { name: 'When', about: about('When the settings were saved.', 'UTC', sources.people) },
  { name: 'Who', about: about('The person who saved them, or a command.', '', sources.people) },
  { name: 'What', about: about('Each setting with its old and new value.', '', sources.people) },
  '',
] as const;

export function History({ study, settings }: { study: Study; settings: Setting[] }) {
  const client = useQueryClient();
  const history = useQuery(rulebookHistoryQuery(study.slug));
  const revert = useMutation({
    mutationFn: (change: number) =>
      told(api.POST('/studies/{slug}/rulebook/revert', { params: { path: { slug: study.slug } }, body: { change } })),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.study(study.slug) }),
  });
  if (history.data === undefined || history.data.length === 0) {
    return null;
  }
  return (
    <Box component="section" sx={{ mt: 3 }}>
      <Typography variant="h2">Changes</Typography>
      {revert.isError && <Failed error={revert.error} />}
      <PlainTable label="Changes" headings={headings} numbers={[]}>
        {history.data.map((change) => (
          <tr key={change.change}>
            <td>{change.when.slice(0, 16).replace('T', ' ')}</td>
            <td>{change.who ?? 'by command'}</td>
            <td>
              {change.settings.map((setting) => (
                <div key={setting.key}>
                  {titleOf(settings, setting.key)}: {setting.from ?? 'default'} → {setting.to === '' ? 'none' : setting.to}
                </div>
              ))}
            </td>
            <td>
              {study.may_edit && (
                <Button
                  loading={revert.isPending && revert.variables === change.change}
                  onClick={() => revert.mutate(change.change)}
                  sx={{ py: 0 }}
                >
                  Undo this change
                </Button>
              )}
            </td>
          </tr>
        ))}
      </PlainTable>
    </Box>
  );
}
