import Box from '@mui/material/Box';
import type { PointerEvent, ReactNode, RefObject } from 'react';
import { dashes, inks, letters, Upright, XAxis, YAxis } from '../../shared/chart';
import { type Label, type Place, type Plot } from './plot.logic';
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
        '& circle': { cursor: 'pointer' },
      }}
    >
      <XAxis frame={size} ticks={plot.xTicks} name={plot.xName} isRuled />
      <YAxis frame={size} ticks={plot.yTicks} name={plot.yName} />
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

function Area({ place, isChosen, isSelected, onUnder, onOpen }: AreaProps) {
  return (
    <circle
      data-point={place.point.name}
      cx={place.x}
      cy={place.y}
      r={place.radius}
      fill={isChosen ? inks.mark : inks.main}
      fillOpacity={isChosen ? 0.75 : 0.16}
      stroke={inks.main}
      strokeWidth={isSelected ? 4 : 1}
      onPointerEnter={() => onUnder?.(place)}
      onClick={() => onOpen?.(place.point.name)}
    />
  );
}
