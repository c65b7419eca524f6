import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { Finding } from '../../api/schema';
import { estimate } from '../../shared/format';
import { Failed, Waiting } from '../../shared/Notice';
import { useStudy } from '../study';
import { findingsQuery } from '../study/queries';
import { leadsTo } from '../study/leadsTo';
import { lengthOf } from './findings.logic';
import { marks, measures, texts } from '../../theme/measures';
import { RowBar } from '../../shared/chart';

/** Findings, to be read in a minute: each finding with what it is worth and the step that follows from it. */
export function FindingsPage() {
  const study = useStudy();
  const findings = useQuery(findingsQuery(study.slug));
  if (findings.isPending) {
    return <Waiting what="Loading findings" />;
  }
  if (findings.isError) {
    return <Failed error={findings.error} onRetry={() => void findings.refetch()} />;
  }
  const all = findings.data.findings;
  return (
    <Box className="on-paper" sx={{ flex: 1, overflowY: 'auto', px: 2, pb: 3 }}>
      <Box sx={{ maxWidth: { xs: texts.sheet, xl: 'none' } }}>
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, mt: 1.5, mb: 0.5 }}>
          <Typography variant="h2" sx={{ flex: 1 }}>
            Findings
          </Typography>
          <Button className="no-print" onClick={() => window.print()}>
            Print
          </Button>
        </Box>
        <Box
          component="ol"
          aria-label="Findings"
          sx={{ listStyle: 'none', m: 0, p: 0, display: 'grid', gridTemplateColumns: { xl: '1fr 1fr' }, columnGap: 4 }}
        >
          {all.map((finding) => (
            <Line key={finding.code} finding={finding} all={all} slug={study.slug} />
          ))}
        </Box>
      </Box>
    </Box>
  );
}

function worthOf({ worth, show, code }: Finding): string {
  if (worth === null) {
    return show !== null ? 'unknown' : code.startsWith('no_') ? 'missing' : 'to check';
  }
  return worth === 0 ? '·' : `${estimate(worth)} visits${code === 'share' ? ' now' : ''}`;
}

function Line({ finding, all, slug }: { finding: Finding; all: Finding[]; slug: string }) {
  const length = lengthOf(finding, all);
  const open = finding.show === null ? `Go to ${finding.stage}` : 'Show them';
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: `${measures.worth} 1fr auto` },
        columnGap: 2,
        alignItems: 'baseline',
        py: 0.75,
        '@media print': { gridTemplateColumns: `${measures.worthOnPaper} 1fr`, py: 0.25 },
        borderBottom: 1,
        borderColor: 'divider',
        breakInside: 'avoid',
      }}
    >
      <Box sx={{ fontVariantNumeric: 'tabular-nums', typography: 'dense' }}>
        {worthOf(finding)}
        {length > 0 && <RowBar amount={length} most={1} height={marks.bar} />}
      </Box>
      <Box>
        <Box sx={{ typography: 'plain', '@media print': { typography: 'dense' } }}>{finding.words}</Box>
        <Box sx={{ typography: 'dense', color: 'text.secondary', '@media print': { typography: 'small' } }}>{finding.next}</Box>
      </Box>
      <Button
        component={Link}
        to={leadsTo(slug, finding)}
        className="no-print"
        aria-label={`${open}: ${finding.words}`}
        sx={{ py: 0, whiteSpace: 'nowrap' }}
      >
        {open}
      </Button>
    </Box>
  );
}
