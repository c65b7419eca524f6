import Box from '@mui/material/Box';
import type { DomainSaid } from '../../api/schema';
import { decimal, whole } from '../../shared/format';

/** What each source says about a domain, the one that is asked first at the top. */
export function DomainSources({ said }: { said: DomainSaid[] }) {
  return (
    <Box component="ol" sx={{ m: 0, pl: 2.5, typography: 'note', fontVariantNumeric: 'tabular-nums' }}>
      {said.map((source, index) => (
        <li key={index}>
          {source.day}, {source.kind === 'pulls' ? 'pulled' : 'list'}
          {source.file !== null && ` “${source.file}”`}: authority {decimal(source.authority, 0)},{' '}
          <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
            referring domains {whole(source.referring_domains)}
          </Box>
        </li>
      ))}
    </Box>
  );
}
