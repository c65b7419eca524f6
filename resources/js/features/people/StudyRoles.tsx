import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Account } from '../../api/schema';
import { studiesToJoinQuery } from './queries';
import { fields } from '../../theme/measures';

export type Role = Account['roles'][number]['role'];

interface Props {
  person: Account;
  /** Null takes the person out of the study. */
  onChange: (slug: string, role: Role | null) => void;
}

/** In which studies a person reads or edits; another one is found by its name. */
export function StudyRoles({ person, onChange }: Props) {
  const [wanted, setWanted] = useState('');
  const found = useQuery(studiesToJoinQuery(wanted)).data?.studies ?? [];
  const others = found.filter((study) => !person.roles.some((role) => role.slug === study.slug));
  return (
    <Box component="section" sx={{ mt: 1 }}>
      <Typography variant="h3">Studies</Typography>
      {person.roles.map(({ slug, name, role }) => (
        <Box key={slug} sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 0.5 }}>
          <Box sx={{ flex: 1 }}>
            {name} ({slug})
          </Box>
          <TextField
            select
            value={role}
            onChange={(event) => onChange(slug, event.target.value === 'none' ? null : (event.target.value as Role))}
            slotProps={{ select: { SelectDisplayProps: { 'aria-label': `Role in ${name}` } } }}
            sx={{ minWidth: fields.m }}
          >
            <MenuItem value="editor">can edit</MenuItem>
            <MenuItem value="reader">can view</MenuItem>
            <MenuItem value="none">neither</MenuItem>
          </TextField>
        </Box>
      ))}
      <Autocomplete
        key={person.roles.length}
        options={others}
        getOptionLabel={(study) => `${study.name} (${study.slug})`}
        getOptionKey={(study) => study.slug}
        filterOptions={(options) => options}
        inputValue={wanted}
        onInputChange={(_, text) => setWanted(text)}
        onChange={(_, study) => {
          if (study !== null) {
            setWanted('');
            onChange(study.slug, 'reader');
          }
        }}
        renderInput={(params) => <TextField {...params} label="Add to another study" />}
        sx={{ mt: 1 }}
      />
    </Box>
  );
}
