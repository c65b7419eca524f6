import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import MenuItem from '@mui/material/MenuItem';
import Slider from '@mui/material/Slider';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import { PlainTable } from '../../shared/PlainTable';
import { ViewSwitch } from '../../shared/ViewSwitch';
import { StyleOfDrawings } from './StyleOfDrawings';
import { fields, presses } from '../../theme/measures';
import { commonWording } from '../../shared/wording';

const kinds = ['h1', 'h2', 'h3', 'body1', 'body2', 'caption', 'button', 'stage', 'figure'] as const;
const sizes = ['fine', 'small', 'note', 'dense', 'plain', 'large', 'huge'] as const;
const surfaces = ['background.default', 'background.paper', 'ink.wash'] as const;
const inks = [
  'text.primary',
  'text.secondary',
  'primary.main',
  'warning.main',
  'error.main',
  'divider',
  'ink.hairline',
  'ink.faint',
] as const;
const standings = ['gap', 'behind', 'level', 'ahead', 'alone', 'unclaimed'] as const;

/** Every part in every state, in light and in dark side by side; for whoever works on the look. */
export function StylePage() {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap' }}>
      {(['light', 'dark'] as const).map((scheme) => (
        <Box
          key={scheme}
          component="section"
          aria-label={`In ${scheme}`}
          data-scheme={scheme}
          sx={{ flex: 1, minWidth: 0, p: 2, bgcolor: 'background.default', color: 'text.primary' }}
        >
          <Typography variant="h1">In {scheme}</Typography>
          <StyleOfType />
          <StyleOfInks />
          <StyleOfParts />
          <StyleOfDrawings />
        </Box>
      ))}
    </Box>
  );
}

function Shelf({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ py: 2, borderTop: 1, borderColor: 'divider', mt: 2 }}>
      <Typography variant="h2" gutterBottom>
        {title}
      </Typography>
      {children}
    </Box>
  );
}

function StyleOfType() {
  return (
    <Shelf title="Type">
      {kinds.map((kind) => (
        <Typography key={kind} variant={kind} component="p">
          {kind}: 48 keywords, 1,290 visits
        </Typography>
      ))}
      {sizes.map((size) => (
        <Box key={size} sx={{ typography: size }}>
          {size}
        </Box>
      ))}
    </Shelf>
  );
}

function Swatch({ name }: { name: string }) {
  return (
    <Box sx={{ width: fields.s, typography: 'small' }}>
      <Box sx={{ height: presses.s, bgcolor: name, border: 1, borderColor: 'divider' }} />
      {name}
    </Box>
  );
}

function StyleOfInks() {
  return (
    <Shelf title="Surfaces and inks">
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {[...surfaces, ...inks, ...standings.map((standing) => `ink.standing.${standing}`)].map((name) => (
          <Swatch key={name} name={name} />
        ))}
      </Box>
    </Shelf>
  );
}

function StyleOfParts() {
  return (
    <>
      <Shelf title="Buttons and fields">
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
          {(['text', 'outlined', 'contained'] as const).map((variant) => (
            <Box key={variant} sx={{ display: 'flex', gap: 1 }}>
              <Button variant={variant}>{variant}</Button>
              <Button variant={variant} disabled>
                disabled
              </Button>
              <Button variant={variant} loading>
                loading
              </Button>
            </Box>
          ))}
          <TextField label="Empty" />
          <TextField label="Filled" defaultValue="bee hive" />
          <TextField label="Wrong" defaultValue="-7" error helperText="A whole number from 1 to 100." />
          <TextField label="Disabled" defaultValue="12" disabled />
          <TextField label="Choice" select defaultValue="a">
            <MenuItem value="a">the default curve</MenuItem>
          </TextField>
          <Checkbox slotProps={{ input: { 'aria-label': 'Not chosen' } }} />
          <Checkbox defaultChecked slotProps={{ input: { 'aria-label': 'Chosen' } }} />
          <Slider defaultValue={30} aria-label="Weight" sx={{ width: fields.m }} />
          <ViewSwitch views={{ one: 'Chosen', two: 'Other' }} view="one" onChange={() => undefined} />
        </Box>
      </Shelf>
      <Shelf title="States of a list">
        <Waiting what="Gathering" />
        <Failed error={new Error('Can’t reach the server.')} onRetry={() => undefined} />
        <Empty title="No matches">Remove a clause from the sentence.</Empty>
        <PlainTable
          label="Figures"
          headings={[
            { name: 'Keyword', about: undefined },
            { name: 'Volume', about: { meaning: commonWording.searchesAMonth, unit: 'searches a month', source: 'the lists' } },
          ]}
          numbers={[1]}
        >
          <tr>
            <td>bee hive</td>
            <td>33 100</td>
          </tr>
          <tr>
            <td>a keyword with an unknown volume</td>
            <td>·</td>
          </tr>
        </PlainTable>
      </Shelf>
    </>
  );
}
