import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { curveQuery } from '../keyword/queries';
import type { Study } from '../../api/schema';
import { CurveOffer } from '../keyword/CurveOffer';
import { CurveChart } from '../keyword/CurveChart';
import { percent, whole } from '../../shared/format';
import { Failed, Waiting } from '../../shared/Notice';
import { SidePanel } from '../../shared/SidePanel';
import { CurveChoice } from './CurveChoice';
import { parts } from '../../theme/measures';

interface Props {
  study: Study;
  title: string;
  onClose: () => void;
}

/** Our clicks and impressions by position, and the CTR curve fitted to them, drawn against the default. */
export function ClicksPanel({ study, title, onClose }: Props) {
  const curve = useQuery(curveQuery(study.slug));
  const impressions = curve.data?.bins.reduce((sum, bin) => sum + bin.impressions, 0) ?? 0;
  return (
    <SidePanel title={title} onClose={onClose} width={parts.xl}>
      {curve.isPending && <Waiting what="Loading our clicks" />}
      {curve.isError && <Failed error={curve.error} onRetry={() => void curve.refetch()} />}
      {curve.data !== undefined && (
        <>
          <Typography variant="body2" sx={{ mb: 1 }}>
            {impressions === 0
              ? 'No clicks yet. Import a file with query, clicks, impressions and position. Until then the default curve is used.'
              : `${whole(impressions)} impressions at positions 1 to 20, without searches for our own name. Dots are ` +
                `measured. The fitted curve follows the default where data is thin.`}
          </Typography>
          <CurveOffer study={study} />
          <CurveChart curve={curve.data} />
          <CurveChoice study={study} curve={curve.data} />
          {impressions > 0 && (
            <Box
              component="table"
              aria-label="Our clicks by position"
              sx={{
                width: '100%',
                typography: 'dense',
                borderCollapse: 'collapse',
                '& th, & td': { borderBottom: 1, borderColor: 'divider', textAlign: 'right', py: 0.25 },
              }}
            >
              <thead>
                <tr>
                  <th>Position</th>
                  <th>Clicks</th>
                  <th>Impressions</th>
                  <th>Measured</th>
                  <th>Fitted</th>
                  <th>Default</th>
                </tr>
              </thead>
              <tbody>
                {curve.data.bins.map((bin) => (
                  <tr key={bin.position}>
                    <td>{bin.position}</td>
                    <td>{whole(bin.clicks)}</td>
                    <td>{whole(bin.impressions)}</td>
                    <td>{percent(bin.rate)}</td>
                    <td>{percent(curve.data.curves.fitted?.[bin.position - 1])}</td>
                    <td>{percent(curve.data.curves.default?.[bin.position - 1])}</td>
                  </tr>
                ))}
              </tbody>
            </Box>
          )}
        </>
      )}
    </SidePanel>
  );
}
