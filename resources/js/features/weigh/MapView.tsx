import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useRef, useState, type PointerEvent } from 'react';
import { mapQuery } from './queries';
import type { Comparison, OpportunityMap, Study } from '../../api/schema';
import { decimal, estimate, percent, whole } from '../../shared/format';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import { useHotkeys } from '../../shared/useHotkeys';
import { inks, PictureButtons, useFit, type Fit } from '../../shared/chart';
import { MapDrawing } from './MapDrawing';
import {
  layPlot,
  mapIn,
  namedPlaces,
  pictures,
  stepFrom,
  wholeMap,
  within,
  type Picture,
  type Place,
  type Plot,
  type Spot,
} from './plot.logic';
import { marks } from '../../theme/measures';
import { commonWording } from '../../shared/wording';

const widest = 2400;

interface Props {
  study: Study;
  comparison: Comparison;
  show: string;
  weights: string;
  selected: string | null;
  onKeyword: (keyword: string) => void;
  onTopic: (topic: string) => void;
  onShortlist: (names: string[], by: 'keyword' | 'topic') => void;
}

/** Opportunities as areas sized by volume; a line drawn round some of them chooses them for the shortlist. */
export function MapView({ study, comparison, show, weights, selected, onKeyword, onTopic, onShortlist }: Props) {
  const [by, setBy] = useState<'keyword' | 'topic'>('keyword');
  const [picture, setPicture] = useState<Picture>('difficulty');
  const [chosen, setChosen] = useState<string[]>([]);
  const map = useQuery(mapQuery(study.slug, comparison.id, show, weights, by));
  const { frame, fit } = useFit(wholeMap, widest);
  const plot = useMemo(
    () => (map.data === undefined ? null : layPlot(map.data, picture, mapIn(frame.width))),
    [map.data, picture, frame.width],
  );
  const turn = (next: 'keyword' | 'topic') => {
    setBy(next);
    setChosen([]);
  };
  if (map.isError) {
    return <Failed error={map.error} onRetry={() => void map.refetch()} />;
  }
  if (plot === null || map.data === undefined) {
    return <Waiting what="Drawing the map" />;
  }
  const choice = (name: string, isOn: boolean, onPress: () => void) => (
    <Button key={name} aria-pressed={isOn} variant={isOn ? 'outlined' : 'text'} onClick={onPress} sx={{ py: 0.25 }}>
      {name}
    </Button>
  );
  return (
    <Box sx={{ flex: 1, minHeight: 0, overflow: 'auto', px: 2, pb: 2 }}>
      <Box sx={{ display: 'flex', gap: 0.5, alignItems: 'center', flexWrap: 'wrap', py: 0.5 }}>
        {choice('Keywords', by === 'keyword', () => turn('keyword'))}
        {choice('Pages', by === 'topic', () => turn('topic'))}
        <Box sx={{ width: marks.sign }} />
        {(Object.keys(pictures) as Picture[]).map((key) => choice(pictures[key].title, picture === key, () => setPicture(key)))}
        <Box sx={{ flex: 1 }} />
        {chosen.length > 0 && study.may_edit && (
          <>
            <Button
              variant="contained"
              onClick={() => {
                onShortlist(chosen, by);
                setChosen([]);
              }}
            >
              Shortlist {whole(chosen.length)}
            </Button>
            <Button onClick={() => setChosen([])}>{commonWording.clearSelection}</Button>
          </>
        )}
        <PictureButtons name={`map of ${by}s`} drawing={<WholeMap map={map.data} picture={picture} />} />
      </Box>
      {plot.places.length === 0 ? (
        <Empty title="Nothing to plot">Difficulty or gain is unknown for all rows shown.</Empty>
      ) : (
        <Explored
          plot={plot}
          fit={fit}
          chosen={chosen}
          selected={selected}
          onChosen={setChosen}
          onOpen={(name) => (by === 'topic' ? onTopic(name) : onKeyword(name))}
        />
      )}
      <Box component="p" sx={{ m: 0, typography: 'dense', color: 'text.secondary' }}>
        Size: {pictures[picture].areaName}. Draw a loop to select, click to open. Keys: j, k or arrows move by expected gain, v selects,
        Enter opens. {map.data.left_out > 0 && `${whole(map.data.left_out)} with less expected gain are not drawn.`}
        {plot.lines.some((line) => !line.isStrong) && ' Dotted lines: win chances of new pages without related topics.'}
      </Box>
    </Box>
  );
}

/** As it is taken along: in its whole size, however narrow the window is. */
function WholeMap({ map, picture }: { map: OpportunityMap; picture: Picture }) {
  const plot = layPlot(map, picture);
  return <MapDrawing plot={plot} labels={namedPlaces(plot)} />;
}

interface ExploredProps {
  plot: Plot;
  fit: Fit;
  chosen: string[];
  selected: string | null;
  onChosen: (names: string[]) => void;
  onOpen: (name: string) => void;
}

/** The map under the mouse and the keys: what is pointed at is told below, a line drawn round some chooses them. */
function Explored({ plot, fit, chosen, selected, onChosen, onOpen }: ExploredProps) {
  const [outline, setOutline] = useState<Spot[]>([]);
  const [under, setUnder] = useState<Place | null>(null);
  const frame = useRef<SVGSVGElement>(null);
  const spot = (event: PointerEvent): Spot => {
    const seen = frame.current?.getScreenCTM()?.inverse() ?? new DOMMatrix();
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(seen);
    return { x, y };
  };
  const finish = () => {
    if (outline.length > 3) {
      onChosen(within(plot.places, outline));
    }
    setOutline([]);
  };
  const inked = new Set(chosen);
  const labels = useMemo(() => namedPlaces(plot), [plot]);
  useMapKeys({
    go: (step) => setUnder(stepFrom(plot.places, under?.point.name ?? selected, step) ?? null),
    open: () => under !== null && onOpen(under.point.name),
    choose: () => under !== null && onChosen(flipped(chosen, under.point.name)),
  });
  return (
    <Box ref={fit.ref} sx={{ position: 'relative', maxWidth: fit.widest }}>
      <MapDrawing
        plot={plot}
        labels={labels}
        frame={frame}
        chosen={inked}
        selected={selected}
        onUnder={setUnder}
        onOpen={onOpen}
        onPointerDown={(event) => setOutline([spot(event)])}
        onPointerMove={(event) => outline.length > 0 && setOutline([...outline, spot(event)])}
        onPointerUp={finish}
        onPointerLeave={finish}
      >
        {under !== null && <circle cx={under.x} cy={under.y} r={under.radius + 4} fill="none" stroke={inks.text} strokeWidth={2} />}
        {outline.length > 1 && (
          <polygon points={outline.map(({ x, y }) => `${x},${y}`).join(' ')} fill="none" stroke={inks.text} strokeDasharray="4 3" />
        )}
      </MapDrawing>
      <Box aria-live="polite" sx={{ minHeight: '1.4em', typography: 'dense' }}>
        {under !== null && (
          <>
            <strong>{under.point.name}</strong>
            {under.point.keywords > 1 && `, ${whole(under.point.keywords)} ` + `keywords`}: difficulty {decimal(under.point.difficulty)},
            volume {whole(under.point.volume)}, win chance {percent(under.point.win_chance)}, expected gain{' '}
            {estimate(under.point.expected_gain)}, priority {decimal(under.point.priority, 2)}, links to earn{' '}
            {whole(under.point.links_to_earn)}
          </>
        )}
      </Box>
    </Box>
  );
}

const flipped = (names: string[], name: string) => (names.includes(name) ? names.filter((other) => other !== name) : [...names, name]);

/** From one area to the next by expected gain, and what is done with it. */
function useMapKeys({ go, open, choose }: { go: (step: number) => void; open: () => void; choose: () => void }) {
  const [on, back] = [() => go(1), () => go(-1)];
  useHotkeys({
    j: on,
    ArrowRight: on,
    ArrowDown: on,
    k: back,
    ArrowLeft: back,
    ArrowUp: back,
    Home: () => go(-Infinity),
    End: () => go(Infinity),
    Enter: open,
    v: choose,
  });
}
