import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useRef, useState } from 'react';

interface Props extends Omit<TextFieldProps, 'value' | 'onChange' | 'onFocus' | 'onBlur'> {
  value: string;
  onKeep: (value: string) => void;
  /** What can be kept; with anything else the field goes back to what stood there. */
  canKeep?: (value: string) => boolean;
}

/**
 * A field whose text is kept when one leaves it. What is kept elsewhere meanwhile comes through, unless somebody is writing here. Escape
 * leaves it, too, back to the keys of the page: a line goes back to what stood there, while a longer text, which may be the work of
 * minutes, is kept.
 */
export function KeptText({ value, onKeep, canKeep = () => true, ...field }: Props) {
  const [written, setWritten] = useState({ over: value, text: value, isWriting: false });
  const isGivenUp = useRef(false);
  const text = written.isWriting || written.over === value ? written.text : value;
  return (
    <TextField
      {...field}
      value={text}
      onFocus={() => setWritten({ over: value, text, isWriting: true })}
      onKeyDown={(event) => {
        if ((event.key === 'Escape' || (event.key === 'Enter' && field.multiline !== true)) && event.target instanceof HTMLElement) {
          isGivenUp.current = event.key === 'Escape' && field.multiline !== true;
          event.target.blur();
        }
      }}
      onChange={(event) => setWritten({ over: value, text: event.target.value, isWriting: true })}
      onBlur={() => {
        const kept = isGivenUp.current || !canKeep(text.trim()) ? value : text.trim();
        isGivenUp.current = false;
        setWritten({ over: value, text: kept, isWriting: false });
        if (kept !== value) {
          onKeep(kept);
        }
      }}
    />
  );
}
