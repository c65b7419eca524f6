import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { Study } from '../../api/schema';
import { whole } from '../../shared/format';
import { openWordsQuery } from './queries';
import { ruled, type IntentSetting } from './rulebook.logic';
import { texts } from '../../theme/measures';

interface Props {
  study: Study;
  /** The words of each list as they stand now. */
  lists: Record<IntentSetting, string>;
  /** Puts a word into a list, to be looked at and saved there. */
  onWord: (list: IntentSetting, word: string) => void;
}

/** Words that many keywords without an intent share, each one press from being a rule. */
export function OpenWords({ study, lists, onWord }: Props) {
  const words = useQuery(openWordsQuery(study.slug));
  const offered = words.data?.filter(({ word }) => !ruled(lists, word)) ?? [];
  if (offered.length === 0) {
    return null;
  }
  return (
    <Box sx={{ py: 1, typography: 'dense' }}>
      <strong>Frequent in keywords without an intent</strong>, in any topic. Choose an intent for the words that show one.
      <Box
        component="ul"
        aria-label="Words without an intent"
        sx={{ listStyle: 'none', p: 0, m: 0, mt: 0.5, columns: { md: 2 }, maxWidth: texts.sheet }}
      >
        {offered.map(({ word, keywords, topics }) => (
          <Box component="li" key={word} sx={{ display: 'flex', alignItems: 'center', breakInside: 'avoid' }}>
            <Box sx={{ flex: 1 }}>
              {word}{' '}
              <Box component="span" sx={{ color: 'text.secondary' }}>
                in {whole(keywords)} keywords of {whole(topics)} topics
              </Box>
            </Box>
            {(['buy', 'compare', 'learn'] as const).map((intent) => (
              <Button
                key={intent}
                disabled={!study.may_edit}
                aria-label={`${word} tells ${intent}`}
                onClick={() => onWord(`intent_${intent}`, word)}
                sx={{ py: 0, px: 0.75, minWidth: 0 }}
              >
                {intent}
              </Button>
            ))}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
