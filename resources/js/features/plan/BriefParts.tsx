import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import type { PageWork } from '../../api/schema';
import { about, sources } from '../../shared/abouts';
import { estimate, pathOf, whole } from '../../shared/format';
import { PlainTable } from '../../shared/PlainTable';
import { wording } from './wording';

export function BriefHeading({ children }: { children: ReactNode }) {
  return (
    <Typography variant="h3" sx={{ mt: 1.5, overflowWrap: 'anywhere' }}>
      {children}
    </Typography>
  );
}

/** Lines below a heading; nothing where there is none. */
export function TextList({ heading, lines }: { heading: string; lines: string[] }) {
  return lines.length === 0 ? null : (
    <>
      <BriefHeading>{heading}</BriefHeading>
      {lines.map((line, index) => (
        <Box key={index} sx={{ typography: 'dense', overflowWrap: 'anywhere' }}>
          {line}
        </Box>
      ))}
    </>
  );
}

/** The change in a sentence, and what our page says today. */
export function PageToday({ work }: { work: PageWork }) {
  const page = work.page_today;
  const facts = [
    ['Title', page?.title],
    ['Heading', page?.h1],
    ['Words', page?.words == null ? null : whole(page.words)],
    ['Published', page?.published],
    ['Updated', page?.updated],
    ['Links from our pages', page?.inlinks == null ? null : whole(page.inlinks)],
  ].filter(([, value]) => value != null);
  return (
    <>
      {work.change !== null && <Box sx={{ mt: 1.25, fontWeight: 600, overflowWrap: 'anywhere' }}>{work.change}</Box>}
      {page?.trouble != null && (
        <Box role="note" sx={{ mt: 0.75, color: 'warning.main', fontWeight: 600 }}>
          {page.trouble}
        </Box>
      )}
      <TextList heading="Our page today" lines={facts.map(([name, value]) => `${name ?? ''}: ${value ?? ''}`)} />
    </>
  );
}

/** Pages of ours that rank for related keywords and do not link here yet. */
export function InternalLinks({ links }: { links: PageWork['internal_links'] }) {
  return links.length === 0 ? null : (
    <>
      <BriefHeading>{wording.pagesThatShouldLink}</BriefHeading>
      <PlainTable
        label={wording.pagesThatShouldLink}
        headings={[
          { name: 'Page', about: about('Ranks for related keywords and doesn’t link to this page yet.', '', 'imported page links') },
          { name: 'Keyword', about: about('Its keyword nearest to this page.', '', sources.rankings) },
          { name: 'Visits', about: about('From related keywords.', 'visits a month', sources.rankings) },
        ]}
        numbers={[2]}
      >
        {links.map((link) => (
          <tr key={link.url}>
            <td title={link.url}>{pathOf(link.url)}</td>
            <td>{link.keyword}</td>
            <td>{estimate(link.visits)}</td>
          </tr>
        ))}
      </PlainTable>
    </>
  );
}
