import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useState } from 'react';

interface Props extends Omit<TextFieldProps, 'value' | 'onChange' | 'onFocus' | 'onBlur'> {
  value: string;
  onKeep: (value: string) => void;
}

/** A field whose text is kept when one leaves it. What is kept elsewhere meanwhile comes through, unless somebody is writing here. */
export function KeptText({ value, onKeep, ...field }: Props) {
  const [written, setWritten] = useState({ over: value, text: value, isWriting: false });
  const text = written.isWriting || written.over === value ? written.text : value;
  return (
    <TextField
      {...field}
      value={text}
      onFocus={() => setWritten({ over: value, text, isWriting: true })}
      onKeyDown={(event) => {
        if (event.key === 'Enter' && field.multiline !== true && event.target instanceof HTMLElement) {
          event.target.blur();
        }
      }}
      onChange={(event) => setWritten({ over: value, text: event.target.value, isWriting: true })}
      onBlur={() => {
        const kept = text.trim();
        setWritten({ over: value, text: kept, isWriting: false });
        if (kept !== value) {
          onKeep(kept);
        }
      }}
    />
  );
}
