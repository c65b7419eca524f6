import Box from '@mui/material/Box';
import type { PointerEvent, ReactNode, RefObject } from 'react';
import { dashes, inks, letters, Upright, XAxis, YAxis } from '../../shared/chart';
import { standings, type Label, type Place, type Plot, type Standing } from './plot.logic';
import { measures } from '../../theme/measures';

type OnPointer = (event: PointerEvent<SVGSVGElement>) => void;

interface Props {
  plot: Plot;
  labels: Label[];
  frame?: RefObject<SVGSVGElement | null>;
  chosen?: Set<string>;
  selected?: string | null;
  onUnder?: (place: Place) => void;
  onOpen?: (name: string) => void;
  onPointerDown?: OnPointer;
  onPointerMove?: OnPointer;
  onPointerUp?: OnPointer;
  onPointerLeave?: OnPointer;
  children?: ReactNode;
}

const top = 18;
const legendTop = 12;

const standingInks: Record<Standing, string> = { absent: inks.mark, far: inks.quiet, near: inks.main };
const fillings: Record<Standing, number> = { absent: 0.22, far: 0.08, near: 0.6 };

/** The map as it is drawn, on the screen and to be taken along. */
export function MapDrawing({ plot, labels, frame, chosen, selected, onUnder, onOpen, children, ...pointer }: Props) {
  const size = plot.frame;
  const bottom = size.height - size.bottom;
  return (
    <Box
      component="svg"
      ref={frame}
      role="img"
      tabIndex={0}
      aria-label={`${plot.yName} against ${plot.xName.toLowerCase()}; arrow keys move by expected gain, Enter opens`}
      viewBox={`0 0 ${size.width} ${size.height}`}
      {...pointer}
      sx={{
        width: '100%',
        maxHeight: `max(${measures.lowDrawing}, calc(100vh - ${measures.headOfDrawing}))`,
        touchAction: 'none',
        userSelect: 'none',
        '& text': { fontSize: letters, fill: inks.text, pointerEvents: 'none' },
        '& [data-point]': { cursor: 'pointer' },
      }}
    >
      <XAxis frame={size} ticks={plot.xTicks} name={plot.xName} isRuled />
      <YAxis frame={size} ticks={plot.yTicks} name={plot.yName} />
      <Standings plot={plot} />
      {plot.lines.map((line) => (
        <g key={line.name}>
          <Upright x={line.x} top={size.top} bottom={bottom} dash={line.isStrong ? undefined : dashes.dots} />
          <text x={line.x + 4} y={line.isStrong ? size.top - top : size.top - 5}>
            {line.name}
          </text>
        </g>
      ))}
      {plot.places.map((place) => (
        <Area
          key={place.point.name}
          place={place}
          isChosen={chosen?.has(place.point.name) ?? false}
          isSelected={place.point.name === selected}
          onUnder={onUnder}
          onOpen={onOpen}
        />
      ))}
      {labels.map(({ place, x, y, anchor }) => (
        <text key={place.point.name} x={x} y={y} textAnchor={anchor}>
          {place.point.name}
        </text>
      ))}
      {children}
    </Box>
  );
}

interface AreaProps {
  place: Place;
  isChosen: boolean;
  isSelected: boolean;
  onUnder: Props['onUnder'];
  onOpen: Props['onOpen'];
}

/** Circles where we don’t rank, diamonds of the same area where we do. */
const outline = ({ x, y, radius, standing }: Place) => {
  const reach = radius * Math.sqrt(Math.PI / 2);
  return standing === 'absent'
    ? `M${x - radius} ${y} a${radius} ${radius} 0 1 0 ${2 * radius} 0 a${radius} ${radius} 0 1 0 ${-2 * radius} 0 Z`
    : `M${x} ${y - reach} L${x + reach} ${y} L${x} ${y + reach} L${x - reach} ${y} Z`;
};

function Area({ place, isChosen, isSelected, onUnder, onOpen }: AreaProps) {
  return (
    <path
      data-point={place.point.name}
      d={outline(place)}
      fill={isChosen ? inks.text : standingInks[place.standing]}
      fillOpacity={isChosen ? 0.75 : fillings[place.standing]}
      stroke={standingInks[place.standing]}
      strokeWidth={isSelected ? 4 : 1}
      onPointerEnter={() => onUnder?.(place)}
      onClick={() => onOpen?.(place.point.name)}
    />
  );
}

const legendStep = 150;

/** What shapes and colours tell, above the drawing at its right. */
function Standings({ plot }: { plot: Plot }) {
  const shown = (['absent', 'far', 'near'] as const).filter((standing) => plot.places.some((place) => place.standing === standing));
  return shown.map((standing, index) => {
    const x = plot.frame.width - (shown.length - index) * legendStep;
    return (
      <g key={standing}>
        <path
          d={outline({ x, y: legendTop - 4, radius: 5, standing } as Place)}
          fill={standingInks[standing]}
          fillOpacity={fillings[standing]}
          stroke={standingInks[standing]}
        />
        <text x={x + 11} y={legendTop}>
          {standings[standing]}
        </text>
      </g>
    );
  });
}
