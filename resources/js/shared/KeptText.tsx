import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useState } from 'react';

interface Props extends Omit<TextFieldProps, 'value' | 'onChange' | 'onBlur'> {
  value: string;
  onKeep: (value: string) => void;
}

/** A field whose text is kept when one leaves it. */
export function KeptText({ value, onKeep, ...field }: Props) {
  const [text, setText] = useState(value);
  return (
    <TextField
      {...field}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => {
        if (text.trim() !== value) {
          onKeep(text.trim());
        }
      }}
    />
  );
}
