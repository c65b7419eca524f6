import Box from '@mui/material/Box';
import { domainLetter } from '../keyword/DomainShape';
import { percent } from '../../shared/format';
import { measures } from '../../theme/measures';
import { wording } from './wording';

/** How alike two domains are: keywords they share among all that either holds (Jaccard), per pair. */
export function Similarity({ domains, similarity }: { domains: string[]; similarity: (number | null)[][] }) {
  return (
    <Box component="details" sx={{ px: 1.5, py: 0.5, typography: 'note' }}>
      <Box component="summary" sx={{ cursor: 'pointer', minHeight: measures.target }}>
        {wording.similarityPerPair}
      </Box>
      <Box
        component="table"
        aria-label={wording.similarityPerPair}
        sx={{
          borderCollapse: 'collapse',
          fontVariantNumeric: 'tabular-nums',
          '& td, & th': { px: 0.5, textAlign: 'right', fontWeight: 400 },
          '& th': { fontWeight: 700 },
        }}
      >
        <thead>
          <tr>
            <td />
            {domains.slice(0, -1).map((domain, number) => (
              <th key={domain} title={domain}>
                {domainLetter(number)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {domains.slice(1).map((domain, index) => (
            <tr key={domain}>
              <th title={domain}>{domainLetter(index + 1)}</th>
              {domains.slice(0, index + 1).map((other, number) => (
                <td key={other} title={`${other} and ${domain}`}>
                  {percent(similarity[index + 1]?.[number] ?? similarity[number]?.[index + 1])}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}
