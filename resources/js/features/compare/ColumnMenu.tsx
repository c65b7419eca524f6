import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Popover from '@mui/material/Popover';
import { useState } from 'react';
import { parts, presses } from '../../theme/measures';

interface Props {
  columns: { key: string; name: string }[];
  chosen: string[];
  onChange: (chosen: string[]) => void;
  pinned: string[];
  onPin: (pinned: string[]) => void;
  isDense: boolean;
  onDense: (isDense: boolean) => void;
}

/** Which columns stand, in which order and which of them stay in sight, and how close the rows. */
export function ColumnMenu({ columns, chosen, onChange, pinned, onPin, isDense, onDense }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const ordered = [
    ...chosen.flatMap((key) => columns.filter((column) => column.key === key)),
    ...columns.filter((column) => !chosen.includes(column.key)),
  ];
  const move = (key: string, step: number) => {
    const place = chosen.indexOf(key);
    const others = chosen.filter((other) => other !== key);
    const to = Math.max(0, Math.min(others.length, place + step));
    onChange([...others.slice(0, to), key, ...others.slice(to)]);
  };
  return (
    <>
      <Button
        aria-haspopup="dialog"
        aria-label="Columns"
        title="Columns"
        sx={{ minWidth: presses.s, width: presses.m, height: presses.s, p: 0 }}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <svg width="14" height="14" viewBox="0 0 14 14" aria-hidden="true">
          <path d="M2 2 V12 M7 2 V12 M12 2 V12" stroke="currentColor" strokeWidth="2" />
        </svg>
      </Button>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <Box role="dialog" aria-label="Columns" sx={{ p: 1.5, width: parts.s }}>
          <Button onClick={() => onDense(!isDense)} aria-pressed={isDense}>
            {isDense ? 'Taller rows' : 'Shorter rows'}
          </Button>
          {ordered.map((column) => {
            const isOn = chosen.includes(column.key);
            return (
              <Box key={column.key} sx={{ display: 'flex', alignItems: 'center', typography: 'dense' }}>
                <Box component="label" sx={{ flex: 1 }}>
                  <Checkbox
                    size="small"
                    checked={isOn}
                    onChange={() => onChange(isOn ? chosen.filter((key) => key !== column.key) : [...chosen, column.key])}
                    sx={{ p: 0.25 }}
                  />
                  {column.name}
                </Box>
                {isOn && (
                  <>
                    <Button
                      aria-label={`pin ${column.name}`}
                      aria-pressed={pinned.includes(column.key)}
                      variant={pinned.includes(column.key) ? 'outlined' : 'text'}
                      onClick={() =>
                        onPin(pinned.includes(column.key) ? pinned.filter((key) => key !== column.key) : [...pinned, column.key])
                      }
                      sx={{ minWidth: presses.l, py: 0, px: 0.5 }}
                    >
                      pin
                    </Button>
                    <Button aria-label={`${column.name} left`} onClick={() => move(column.key, -1)} sx={{ minWidth: presses.s, py: 0 }}>
                      ↑
                    </Button>
                    <Button aria-label={`${column.name} right`} onClick={() => move(column.key, 1)} sx={{ minWidth: presses.s, py: 0 }}>
                      ↓
                    </Button>
                  </>
                )}
              </Box>
            );
          })}
        </Box>
      </Popover>
    </>
  );
}
