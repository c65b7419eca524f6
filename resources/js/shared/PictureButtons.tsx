import Box from '@mui/material/Box';
import Button from '@mui/material/Button';

interface Props {
  name: string;
  /** The picture as SVG. */
  draw: () => string;
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

/** Takes a drawing along, as SVG or as PNG. */
export function PictureButtons({ name, draw }: Props) {
  const style = { minWidth: 0, px: 0.5, py: 0, fontSize: '0.74rem' };
  return (
    <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
      <Button
        aria-label={`Save ${name} as SVG`}
        onClick={() => save(new Blob([draw()], { type: 'image/svg+xml' }), `${name}.svg`)}
        sx={style}
      >
        SVG
      </Button>
      <Button aria-label={`Save ${name} as PNG`} onClick={() => savePng(draw(), `${name}.png`)} sx={style}>
        PNG
      </Button>
    </Box>
  );
}
