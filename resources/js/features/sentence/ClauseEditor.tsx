import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { LongList } from '../../api/schema';
import { useQuery } from '@tanstack/react-query';
import { useLayoutEffect, useRef, useState } from 'react';
import { tagsQuery, distributionQuery } from './queries';
import { Histogram } from './Histogram';
import type { ClauseContext, ClauseKind } from './clauses';
import { find, put, spell, toggle, valuesOf, type Clause } from './sentence.logic';
import { fields, parts, presses } from '../../theme/measures';

export interface EditorContext extends ClauseContext {
  study: string;
  list: LongList;
  comparison: number;
}

interface Props {
  kind: ClauseKind;
  clauses: Clause[];
  context: EditorContext;
  onChange: (clauses: Clause[], isStep?: boolean) => void;
  onClose: () => void;
}

/** The small editor behind a bold part of the sentence. */
export function ClauseEditor(props: Props) {
  const { kind, clauses, onChange, onClose } = props;
  const clear = () => {
    onChange(clauses.filter((clause) => clause.name !== kind.name));
    onClose();
  };
  // What is typed next belongs to the clause, so its first field takes the focus, with what stands there ready to be typed over.
  const form = useRef<HTMLFormElement>(null);
  useLayoutEffect(() => {
    const field = form.current?.querySelector<HTMLElement>('[data-fields] input, [data-fields] button');
    field?.focus();
    if (field instanceof HTMLInputElement && field.type === 'text') {
      field.select();
    }
  }, []);
  return (
    <Box
      ref={form}
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        onClose();
      }}
      aria-label={kind.title}
      sx={{ p: 2, minWidth: fields.xl, maxWidth: parts.m }}
    >
      <Typography variant="h3" gutterBottom>
        {kind.title}
      </Typography>
      <div data-fields>
        <Fields {...props} />
      </div>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', mt: 2 }}>
        <Button onClick={clear}>Remove</Button>
        <Button type="submit" variant="contained">
          Done
        </Button>
      </Box>
    </Box>
  );
}

function Fields(props: Props) {
  switch (props.kind.form) {
    case 'choices':
    case 'choice':
      return <Choices {...props} />;
    case 'range':
      return <NumberRange {...props} />;
    case 'competitors':
      return <Competitors {...props} />;
    case 'position':
      return <Position {...props} />;
    case 'words':
      return <Words {...props} />;
    case 'text':
    case 'day':
      return <Plain {...props} />;
    case 'tags':
      return <Tags {...props} />;
    case 'domains':
    case 'combination':
    case 'page':
    case 'topic':
    case 'alternatives':
      return <Typography variant="body2">Selected in the chart beside the list. Remove it to see everything again.</Typography>;
  }
}

function Choices({ kind, clauses, onChange }: Props) {
  const values = valuesOf(clauses, kind.name);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr' }}>
      {kind.choices.map(({ value, words }) => (
        <FormControlLabel
          key={value}
          label={words}
          control={
            kind.form === 'choice' ? (
              <Radio size="small" checked={values.includes(value)} onChange={() => onChange(put(clauses, kind.name, '=', value))} />
            ) : (
              <Checkbox size="small" checked={values.includes(value)} onChange={() => onChange(toggle(clauses, kind.name, value))} />
            )
          }
        />
      ))}
    </Box>
  );
}

function NumberRange({ kind, clauses, context, onChange }: Props) {
  const figure = kind.has_distribution ? kind.name : null;
  const distribution = useQuery({
    ...distributionQuery(context.study, context.comparison, spell(clauses), figure ?? ''),
    enabled: figure !== null,
  });
  const from = find(clauses, kind.name, '>=')?.value ?? '';
  const to = find(clauses, kind.name, '<=')?.value ?? '';
  // A bound takes the place of one exact value.
  const bounded = clauses.filter((clause) => clause.name !== kind.name || clause.operator !== '=');
  return (
    <>
      {distribution.data !== undefined && (
        <Histogram distribution={distribution.data} from={from === '' ? null : Number(from)} to={to === '' ? null : Number(to)} />
      )}
      <Box sx={{ display: 'flex', gap: 1, mt: 1.5 }}>
        <NumberField label="From" value={from} onChange={(value) => onChange(put(bounded, kind.name, '>=', value), false)} />
        <NumberField label="Up to" value={to} onChange={(value) => onChange(put(bounded, kind.name, '<=', value), false)} />
      </Box>
      <Box sx={{ mt: 1 }}>
        {kind.steps.map((step) => (
          <Button
            key={step}
            sx={{ minWidth: 0, px: 0.75 }}
            onClick={() => onChange(put(clauses, kind.name, kind.start.includes('<=') ? '<=' : '>=', String(step)))}
          >
            {step}
          </Button>
        ))}
      </Box>
    </>
  );
}

function NumberField({ label, value, onChange }: { label: string; value: string; onChange: (value: string) => void }) {
  // The sentence follows a moment later than one types, so the field keeps its own text while it has the focus.
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <TextField
      label={label}
      value={typed ?? value}
      onBlur={() => setTyped(null)}
      onChange={(event) => {
        const text = event.target.value.replace(',', '.');
        if (/^\d*\.?\d*$/.test(text) && !text.startsWith('.')) {
          setTyped(text);
          onChange(text.replace(/\.$/, ''));
        }
      }}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
    />
  );
}

function Competitors({ clauses, context, onChange }: Props) {
  const clause = find(clauses, 'competitors');
  const [count = '1', within = '100'] = (clause?.value ?? '1@100').split('@');
  const set = (operator: Clause['operator'], nextCount: string, nextWithin: string) =>
    onChange([
      ...clauses.filter((other) => other.name !== 'competitors'),
      { name: 'competitors', operator, value: `${nextCount}@${nextWithin}` },
    ]);
  const operator = clause?.operator ?? '>=';
  const most = context.domains.length - 1;
  return (
    <>
      <Typography variant="body2">How many</Typography>
      <Box>
        {Array.from({ length: most }, (_, index) => String(index + 1)).map((number) => (
          <Button
            key={number}
            variant={number === count && operator === '>=' ? 'contained' : 'text'}
            sx={{ minWidth: presses.l }}
            onClick={() => set('>=', number, within)}
          >
            ≥ {number}
          </Button>
        ))}
        <Button variant={operator === '=' && count === String(most) ? 'contained' : 'text'} onClick={() => set('=', String(most), within)}>
          all
        </Button>
        <Button variant={operator === '=' && count === '0' ? 'contained' : 'text'} onClick={() => set('=', '0', within)}>
          none
        </Button>
      </Box>
      <Typography variant="body2" sx={{ mt: 1 }}>
        within the top
      </Typography>
      {['10', '20', '50', '100'].map((top) => (
        <Button
          key={top}
          variant={top === within ? 'contained' : 'text'}
          sx={{ minWidth: presses.xl }}
          onClick={() => set(operator, count, top)}
        >
          {top}
        </Button>
      ))}
    </>
  );
}

const bands: [string, string, string][] = [
  ['6', '20', 'striking distance 6–20'],
  ['11', '20', 'page two 11–20'],
  ['8', '20', '8–20'],
  ['6', '49', '6–49'],
  ['1', '10', 'page one'],
];

/** From and to a position, or one of the usual bands, or absent. */
function Position(props: Props) {
  const { kind, clauses, onChange } = props;
  const others = clauses.filter((clause) => clause.name !== kind.name);
  return (
    <>
      <NumberRange {...props} />
      <Box sx={{ display: 'flex', flexDirection: 'column', alignItems: 'flex-start' }}>
        <Button onClick={() => onChange(put(others, kind.name, '=', 'absent'))}>absent</Button>
        {bands.map(([from, to, name]) => (
          <Button key={name} onClick={() => onChange(put(put(others, kind.name, '>=', from), kind.name, '<=', to))}>
            {name}
          </Button>
        ))}
      </Box>
    </>
  );
}

function Plain({ kind, clauses, onChange }: Props) {
  const isDay = kind.form === 'day';
  const operator = isDay ? '>=' : '=';
  const [text, setText] = useState(find(clauses, kind.name)?.value ?? '');
  return (
    <TextField
      fullWidth
      label={kind.label}
      helperText={kind.help}
      value={text}
      onChange={(event) => {
        const value = event.target.value.replaceAll(';', '');
        setText(value);
        if (!isDay || /^\d{4}-\d{2}-\d{2}$/.test(value)) {
          onChange(put(clauses, kind.name, operator, value.trim()), false);
        }
      }}
    />
  );
}

function Tags({ clauses, context, onChange }: Props) {
  const tags = useQuery(tagsQuery(context.study));
  const values = valuesOf(clauses, 'tag');
  if (tags.data?.length === 0) {
    return <Typography variant="body2">No tags yet. Select keywords with v and tag them.</Typography>;
  }
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr' }}>
      {(tags.data ?? []).map((tag) => (
        <FormControlLabel
          key={tag.tag}
          label={`${tag.tag} (${tag.keywords})`}
          control={<Checkbox size="small" checked={values.includes(tag.tag)} onChange={() => onChange(toggle(clauses, 'tag', tag.tag))} />}
        />
      ))}
    </Box>
  );
}

function Words({ kind, clauses, onChange }: Props) {
  const [text, setText] = useState(find(clauses, 'text')?.value ?? '');
  return (
    <TextField
      fullWidth
      label={kind.label}
      helperText={kind.help}
      value={text}
      onChange={(event) => {
        const value = event.target.value.replaceAll(';', ' ');
        setText(value);
        onChange(put(clauses, 'text', '=', value.trim()), false);
      }}
    />
  );
}
