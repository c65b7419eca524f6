import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { PageLine } from './pages.logic';
import { fields, presses } from '../../theme/measures';

interface Props {
  line: PageLine | undefined;
  mayEdit: boolean;
  /** What became of the last step; null before there was one. */
  told: string | null;
  onShortlist: () => void;
  onSetAside: () => void;
  onRoadmap: () => void;
  onJudge: () => void;
}

/** What can be done with the line that is selected, each with its key. */
export function PageBar({ line, mayEdit, told, onShortlist, onSetAside, onRoadmap, onJudge }: Props) {
  const disabled = line === undefined || !mayEdit;
  const roadmap = line === undefined ? null : roadmapOf(line);
  return (
    <Box
      sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', px: 1, borderBottom: 1, borderColor: 'divider', minHeight: presses.l }}
    >
      <Box
        component="span"
        sx={{ flex: 1, minWidth: fields.s, px: 1, typography: 'dense', overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}
        role="status"
      >
        {told ?? (line === undefined ? 'Select a page with j and k. Enter shows its keywords.' : nameOf(line))}
      </Box>
      {(
        [
          ['Shortlist (s)', onShortlist, disabled],
          ['Set aside (x)', onSetAside, disabled],
          [roadmap === null ? 'Add to roadmap (t)' : `On the roadmap: ${roadmap}`, onRoadmap, disabled || roadmap !== null],
        ] as const
      ).map(([name, act, isOff]) => (
        <Button key={name} disabled={isOff} onClick={act} sx={{ whiteSpace: 'nowrap', py: 0 }}>
          {name}
        </Button>
      ))}
      <Button disabled={line?.kind !== 'page'} onClick={onJudge} sx={{ whiteSpace: 'nowrap', py: 0 }}>
        Judge (e)
      </Button>
    </Box>
  );
}

function nameOf(line: PageLine): string {
  return line.kind === 'page' ? `${line.page.topic}, all its keywords` : `${line.keyword.keyword}, single keyword`;
}

const roadmapOf = (line: PageLine): string | null => (line.kind === 'page' ? line.page.roadmap : line.keyword.roadmap);
