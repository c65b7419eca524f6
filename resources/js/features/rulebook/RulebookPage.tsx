import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { curveQuery } from '../keyword/queries';
import { rulebookQuery } from './queries';
import { CurveChart } from '../keyword/CurveChart';
import { Failed, Waiting } from '../../shared/Notice';
import { useStudy } from '../study';
import { found } from './controls.logic';
import { History } from './History';
import { OpenWords } from './OpenWords';
import { groups, listsOf, spelt, withWord } from './rulebook.logic';
import { SettingLine } from './SettingLine';
import { SideBySide } from './SideBySide';
import { fields, texts } from '../../theme/measures';

/** Every number behind the figures, readable from top to bottom, changeable in place. */
export function RulebookPage() {
  const study = useStudy();
  const rulebook = useQuery(rulebookQuery(study.slug));
  const curve = useQuery(curveQuery(study.slug));
  const [search, setSearch] = useState('');
  const [begun, setBegun] = useState<Partial<Record<string, string>>>({});
  // The curve stands above the settings: shown later, it would push them down.
  if (rulebook.isPending || curve.isPending) {
    return <Waiting what="Loading the rulebook" />;
  }
  if (rulebook.isError) {
    return <Failed error={rulebook.error} onRetry={() => void rulebook.refetch()} />;
  }
  const shown = found(rulebook.data, search);
  return (
    <Box sx={{ flex: 1, overflowY: 'auto', px: 3, pb: 5 }}>
      <Typography variant="h1" sx={{ pt: 2 }}>
        Rulebook
      </Typography>
      <Typography color="text.secondary" sx={{ maxWidth: texts.page }}>
        Every setting behind the figures of this study. Preview a change before you save it. Saving starts a new comparison; until it’s
        ready you see the previous one.
      </Typography>
      {curve.data !== undefined && (
        <Box sx={{ maxWidth: texts.text, mt: 1 }}>
          <CurveChart curve={curve.data} />
        </Box>
      )}
      <TextField
        type="search"
        label="Find a setting"
        value={search}
        onChange={(event) => setSearch(event.target.value)}
        sx={{ width: fields.xl, mt: 2 }}
      />
      {shown.length === 0 && <Typography sx={{ mt: 2 }}>No setting has these words.</Typography>}
      {groups(shown).map((group) => (
        <Box component="section" key={group.title} sx={{ mt: 2 }}>
          <Typography variant="h2">{group.title}</Typography>
          {group.settings.map((setting) => (
            <SettingLine
              key={`${setting.key} ${spelt(setting.value)} ${begun[setting.key] ?? ''}`}
              study={study}
              setting={setting}
              begun={begun[setting.key]}
              onSaved={() => setBegun((before) => ({ ...before, [setting.key]: undefined }))}
            />
          ))}
          {group.settings.some(({ key }) => key === 'intent_buy') && search === '' && (
            <OpenWords
              study={study}
              lists={listsOf(rulebook.data, begun)}
              onWord={(list, word) => setBegun((before) => ({ ...before, [list]: withWord(listsOf(rulebook.data, before)[list], word) }))}
            />
          )}
        </Box>
      ))}
      <SideBySide study={study} settings={rulebook.data} />
      <History study={study} settings={rulebook.data} />
    </Box>
  );
}
