import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { nameOf, slugOf } from './naming.logic';
import { useSaveStudy } from './useSaveStudy';
import { fields, texts } from '../../theme/measures';

const after = [
  ['Competitors', 'Found by shared keywords, or typed.'],
  ['Rankings', 'Your files, or a connected source.'],
  ['Your first ranked list', 'Pages to write or improve, best first, with reasons.'],
] as const;

/** An installation without a study begins here, with one field. */
export function FirstStudy() {
  const [domain, setDomain] = useState('');
  const [country, setCountry] = useState('GB');
  const [language, setLanguage] = useState('en');
  const save = useSaveStudy(null);
  const name = nameOf(domain);
  return (
    <Box sx={{ px: 2, pt: 2, maxWidth: texts.text }}>
      <Typography sx={{ mb: 2 }}>
        A study compares your domain with up to ten competitors in one market. Four steps lead to your first ranked list.
      </Typography>
      <Box component="ol" sx={{ pl: 3, m: 0, '& > li': { mb: 1.5 }, '& > li::marker': { fontWeight: 700 } }}>
        <li>
          <Typography component="span" sx={{ fontWeight: 700 }}>
            Your domain
          </Typography>
          <Box
            component="form"
            onSubmit={(event) => {
              event.preventDefault();
              save.mutate({ slug: slugOf(name), name, domain: domain.trim(), competitors: [], country, language, device: 'desktop' });
            }}
            sx={{ display: 'flex', gap: 1.5, alignItems: 'start', flexWrap: 'wrap', mt: 1.5 }}
          >
            <TextField
              autoFocus
              required
              label="Our domain"
              value={domain}
              onChange={(event) => setDomain(event.target.value)}
              helperText={name === '' ? 'Such as shop.example' : `The study will be called “${name}”.`}
              sx={{ flex: 1, minWidth: fields.xl }}
            />
            <TextField
              label="Country"
              value={country}
              onChange={(event) => setCountry(event.target.value.toUpperCase())}
              slotProps={{ htmlInput: { maxLength: 2 } }}
              sx={{ width: fields.xs }}
            />
            <TextField
              label="Language"
              value={language}
              onChange={(event) => setLanguage(event.target.value.toLowerCase())}
              slotProps={{ htmlInput: { maxLength: 2 } }}
              sx={{ width: fields.xs }}
            />
            <Button type="submit" variant="contained" loading={save.isPending} disabled={slugOf(name) === ''}>
              Begin
            </Button>
          </Box>
          {save.isError && (
            <Alert severity="warning" sx={{ mt: 1 }}>
              {save.error.message}
            </Alert>
          )}
        </li>
        {after.map(([title, text]) => (
          <Box key={title} component="li" sx={{ color: 'text.secondary' }}>
            <strong>{title}</strong> — {text}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
