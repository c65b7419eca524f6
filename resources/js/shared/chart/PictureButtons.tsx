import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useLayoutEffect, useRef, useState, type ReactElement } from 'react';
import { createPortal } from 'react-dom';
import { pictureOf } from './picture.logic';

interface Props {
  name: string;
  /** The drawing as it is on the screen; it is drawn once more in the light scheme and taken along. */
  drawing: ReactElement;
}

type Format = 'svg' | 'png';

/** Takes a drawing along, as SVG or as PNG. */
export function PictureButtons({ name, drawing }: Props) {
  const [format, setFormat] = useState<Format | null>(null);
  return (
    <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
      {(['svg', 'png'] as const).map((one) => (
        <Button
          key={one}
          aria-label={`Save ${name} as ${one.toUpperCase()}`}
          onClick={() => setFormat(one)}
          sx={{ minWidth: 0, px: 0.5, py: 0, typography: 'small' }}
        >
          {one.toUpperCase()}
        </Button>
      ))}
      {format !== null && <Taken name={name} format={format} drawing={drawing} onDone={() => setFormat(null)} />}
    </Box>
  );
}

/** Draws on light paper out of sight, saves that, and is gone. */
function Taken({ name, format, drawing, onDone }: Props & { format: Format; onDone: () => void }) {
  const paper = useRef<HTMLDivElement>(null);
  // It is taken once, as it was when the button was pressed.
  const asked = useRef({ name, format, onDone });
  useLayoutEffect(() => {
    const { name, format, onDone } = asked.current;
    const drawn = paper.current?.querySelector('svg');
    if (paper.current !== null && drawn instanceof SVGSVGElement) {
      const picture = pictureOf(drawn, getComputedStyle(paper.current).backgroundColor);
      if (format === 'svg') {
        save(new Blob([picture], { type: 'image/svg+xml' }), `${name}.svg`);
      } else {
        savePng(picture, `${name}.png`);
      }
    }
    onDone();
  }, []);
  return createPortal(
    <Box
      ref={paper}
      data-scheme="light"
      aria-hidden="true"
      sx={{ position: 'absolute', left: -10000, top: 0, bgcolor: 'background.default', color: 'text.primary' }}
    >
      {drawing}
    </Box>,
    document.body,
  );
}

function save(blob: Blob, name: string) {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}

/** Draws the SVG twice as large as it is, so that it stays sharp. */
function savePng(picture: string, name: string) {
  const image = new Image();
  image.onload = () => {
    const canvas = document.createElement('canvas');
    canvas.width = 2 * image.width;
    canvas.height = 2 * image.height;
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    canvas.toBlob((blob) => {
      if (blob !== null) {
        save(blob, name);
      }
    });
  };
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(picture)}`;
}
