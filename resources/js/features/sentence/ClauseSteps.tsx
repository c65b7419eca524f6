import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { whole } from '../../shared/format';
import type { EditorContext } from './ClauseEditor';
import { kindOf, phraseOf, type ClauseKind } from './clauses';
import { stepsQuery } from './queries';
import { moved, parseSentence, spell, type Clause } from './sentence.logic';
import { measures, parts } from '../../theme/measures';

interface Props {
  /** That which is edited. */
  kind: ClauseKind;
  show: string;
  context: EditorContext;
  off: Clause[];
  onChange: (clauses: Clause[]) => void;
  onOff: (off: Clause[]) => void;
}

/** Keywords left after each clause, in the order in which they narrow; they change places here, and are switched off for a moment. */
export function ClauseSteps({ kind, show, context, off, onChange, onOff }: Props) {
  const clauses = parseSentence(show);
  const steps = useQuery(stepsQuery(context.study, context.comparison, show, context.list));
  if (clauses.length === 0) {
    return null;
  }
  return (
    <Box sx={{ px: 2, pb: 2, maxWidth: parts.l }}>
      <Box
        component="table"
        aria-label="Keywords left after each clause"
        sx={{ width: '100%', borderCollapse: 'collapse', typography: 'dense', '& td': { borderTop: 1, borderColor: 'divider', py: 0.25 } }}
      >
        <tbody>
          {clauses.map((clause, place) => {
            const is = kindOf(clause, context.kinds);
            const words = `${is.lead} ${phraseOf(is, clauses, context)}`.trim();
            return (
              <Box component="tr" key={spell([clause])} sx={{ fontWeight: clause.name === kind.name ? 700 : 400 }}>
                <td>{words}</td>
                <Box component="td" sx={{ textAlign: 'right', fontVariantNumeric: 'tabular-nums', whiteSpace: 'nowrap', px: 1 }}>
                  {whole(steps.data?.[place]?.keywords)}
                </Box>
                <Box component="td" sx={{ whiteSpace: 'nowrap', textAlign: 'right' }}>
                  <Small label={`Earlier: ${words}`} isOff={place === 0} onClick={() => onChange(moved(clauses, place, -1))}>
                    ↑
                  </Small>
                  <Small label={`Later: ${words}`} isOff={place === clauses.length - 1} onClick={() => onChange(moved(clauses, place, 1))}>
                    ↓
                  </Small>
                  <Small
                    label={`Pause: ${words}`}
                    isOff={false}
                    onClick={() => {
                      onChange(clauses.filter((other) => other !== clause));
                      onOff([...off, clause]);
                    }}
                  >
                    Pause
                  </Small>
                </Box>
              </Box>
            );
          })}
        </tbody>
      </Box>
    </Box>
  );
}

function Small({ label, isOff, onClick, children }: { label: string; isOff: boolean; onClick: () => void; children: string }) {
  return (
    <Button aria-label={label} disabled={isOff} onClick={onClick} sx={{ minWidth: measures.target, px: 0.5, py: 0 }}>
      {children}
    </Button>
  );
}
