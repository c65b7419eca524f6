import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import { useRef, useState, type PointerEvent } from 'react';
import type { KeywordDossier } from '../../api/schema';
import { estimate, position } from '../../shared/format';
import { chanceWords } from '../keyword/chance';
import { diamond, inks, letters, positionTicks, Shape, worstPosition } from '../../shared/chart';
import { placeOf, positionAt } from '../keyword/lane.logic';
import { measures } from '../../theme/measures';

const width = 360;
const line = 18;

interface Props {
  dossier: KeywordDossier;
  mayEdit: boolean;
  onTarget: (target: number | null) => void;
}

/** Our lane with the position aimed at: drag the ring or press the arrow keys, and gain and chance follow. */
export function TargetLane({ dossier, mayEdit, onTarget }: Props) {
  const [dragged, setDragged] = useState<number | null>(null);
  const lane = useRef<SVGSVGElement>(null);
  const target = dragged ?? dossier.target ?? 3;
  const own = dossier.positions[0] ?? null;
  const tried = dragged === null ? undefined : dossier.places?.targets.find((one) => one.target === target);
  const [gain, chance] = tried === undefined ? [dossier.gain, dossier.win_chance] : [tried.gain, tried.win_chance];
  const isKnown = dragged === null || tried !== undefined;
  const words = isKnown ? `${estimate(gain)} visits a month, ${chanceWords(chance, target)}` : 'not calculated yet';
  const at = (event: PointerEvent) => {
    const box = lane.current?.getBoundingClientRect();
    return box === undefined ? target : positionAt(((event.clientX - box.left) * width) / box.width, width);
  };
  const step = (by: number) => onTarget(Math.max(1, Math.min(worstPosition, target + by)));
  return (
    <Box>
      <Box sx={{ typography: 'dense' }}>
        Target: position {target}; gain {words}{' '}
        {dossier.wanted_target !== null && mayEdit && (
          <Link component="button" type="button" onClick={() => onTarget(null)} sx={{ minHeight: measures.target }}>
            reset to the rulebook
          </Link>
        )}
      </Box>
      <Box
        component="svg"
        ref={lane}
        viewBox={`0 0 ${width} 34`}
        role="slider"
        tabIndex={mayEdit ? 0 : -1}
        aria-label="Target position"
        aria-valuemin={1}
        aria-valuemax={worstPosition}
        aria-valuenow={target}
        aria-valuetext={`position ${target}, gain ${words}`}
        aria-disabled={!mayEdit}
        onPointerDown={(event) => {
          if (mayEdit) {
            event.currentTarget.setPointerCapture(event.pointerId);
            setDragged(at(event));
          }
        }}
        onPointerMove={(event) => dragged !== null && setDragged(at(event))}
        onPointerUp={() => {
          if (dragged !== null) {
            onTarget(dragged);
            setDragged(null);
          }
        }}
        onKeyDown={(event) => {
          const steps: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -1, ArrowDown: 1 };
          const by = steps[event.key];
          if (mayEdit && by !== undefined) {
            event.preventDefault();
            event.stopPropagation();
            step(by);
          }
        }}
        sx={{
          width: '100%',
          display: 'block',
          touchAction: 'none',
          cursor: mayEdit ? 'ew-resize' : 'default',
          color: 'text.primary',
          '& text': { fontSize: letters, fill: 'currentColor' },
        }}
      >
        <line x1={placeOf(1, width)} x2={placeOf(worstPosition, width)} y1={line} y2={line} stroke="currentColor" opacity="0.4" />
        {positionTicks.map((tick) => (
          <text key={tick} x={placeOf(tick, width)} y={32} textAnchor="middle">
            {tick}
          </text>
        ))}
        {own !== null && (
          <g>
            <title>{`We rank at ${position(own)}`}</title>
            <Shape path={diamond} x={placeOf(own, width)} y={line} size={1.2} />
          </g>
        )}
        <circle cx={placeOf(target, width)} cy={line} r={7} fill="none" stroke={inks.main} strokeWidth={2} />
      </Box>
    </Box>
  );
}
