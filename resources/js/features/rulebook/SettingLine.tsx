import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { Setting, Study } from '../../api/schema';
import { PreviewPart } from './PreviewPart';
import { spelt } from './rulebook.logic';
import { SettingControl } from './SettingControl';
import { measures } from '../../theme/measures';

interface Props {
  study: Study;
  setting: Setting;
  /** What somebody has begun to write elsewhere. */
  begun?: string | undefined;
  onSaved: () => void;
}

/** One setting: changed in place, first to see what would move, then saved. */
export function SettingLine({ study, setting, begun, onSaved }: Props) {
  const client = useQueryClient();
  const [text, setText] = useState(begun ?? spelt(setting.value));
  const isOwn = spelt(setting.value) !== spelt(setting.default);
  const isChanged = text !== spelt(setting.value);
  const settings = (value: string) => ({ settings: { [setting.key]: value } });
  const preview = useMutation({
    mutationFn: (value: string) =>
      told(api.POST('/studies/{slug}/rulebook/preview', { params: { path: { slug: study.slug } }, body: settings(value) })),
  });
  const save = useMutation({
    mutationFn: (value: string) =>
      told(
        api.PATCH('/studies/{slug}/rulebook', {
          params: { path: { slug: study.slug } },
          body: { ...settings(value), seen: { [setting.key]: spelt(setting.value) } },
        }),
      ),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: keys.study(study.slug) });
      onSaved();
    },
  });
  const error = preview.error ?? save.error;
  const isSeen = preview.data !== undefined && preview.variables === text;
  const mayPreview = study.comparison !== null;
  const edit = (value: string) => {
    setText(value);
    preview.reset();
    save.reset();
  };
  return (
    <Box sx={{ borderBottom: 1, borderColor: 'divider', py: 0.75 }}>
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          (isSeen || !mayPreview ? save : preview).mutate(text);
        }}
        sx={{ display: 'grid', gridTemplateColumns: `${measures.name} ${measures.field} 1fr`, gap: 2, alignItems: 'start' }}
      >
        <Box>
          <Box sx={{ fontWeight: 600, typography: 'plain' }}>{setting.title}</Box>
          <Box sx={{ typography: 'small', color: 'text.secondary' }}>{setting.type === 'choice' ? '' : setting.bounds}</Box>
        </Box>
        <Box sx={{ display: 'flex', gap: 1 }}>
          <SettingControl setting={setting} text={text} isDisabled={!study.may_edit} isWrong={error !== null} onEdit={edit} />
          {isChanged && (
            <Button
              type="submit"
              variant="contained"
              loading={save.isPending || preview.isPending}
              sx={{ whiteSpace: 'nowrap', flexShrink: 0 }}
            >
              {isSeen || !mayPreview ? 'Save' : 'Preview effect'}
            </Button>
          )}
          {isChanged && <Button onClick={() => edit(spelt(setting.value))}>Back</Button>}
          {isOwn && study.may_edit && !isChanged && <Button onClick={() => edit(spelt(setting.default))}>Default</Button>}
        </Box>
        <Box sx={{ typography: 'dense' }}>
          {setting.meaning} {isOwn && <strong>Default: {spelt(setting.default) === '' ? 'none' : spelt(setting.default)}.</strong>}
          {error !== null && <Alert severity="warning">{error.message}</Alert>}
        </Box>
      </Box>
      {isSeen && isChanged && <PreviewPart preview={preview.data} />}
    </Box>
  );
}
