import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import Slider from '@mui/material/Slider';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import type { Setting } from '../../api/schema';
import { choicesOf, controlOf, stepOf } from './controls.logic';

interface Props {
  setting: Setting;
  /** As the rulebook takes it. */
  text: string;
  isDisabled: boolean;
  isWrong: boolean;
  onEdit: (text: string) => void;
}

/** The field that fits a setting: a switch, a choice, a slider beside its number, or text. */
export function SettingControl({ setting, text, isDisabled, isWrong, onEdit }: Props) {
  const label = { 'aria-label': setting.title };
  const control = controlOf(setting);
  if (control === 'switch') {
    return (
      <Switch
        checked={text === 'yes'}
        disabled={isDisabled}
        onChange={(_, isOn) => onEdit(isOn ? 'yes' : 'no')}
        slotProps={{ input: label }}
      />
    );
  }
  if (control === 'choice') {
    return (
      <TextField
        select
        fullWidth
        disabled={isDisabled}
        value={text}
        error={isWrong}
        onChange={(event) => onEdit(event.target.value)}
        slotProps={{ select: { displayEmpty: true, inputProps: label } }}
      >
        {choicesOf(setting, text).map(({ value, name }) => (
          <MenuItem key={value} value={value}>
            {name}
          </MenuItem>
        ))}
      </TextField>
    );
  }
  const isNumber = control === 'number' || control === 'slider';
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flex: 1 }}>
      <TextField
        fullWidth
        multiline={control === 'text'}
        maxRows={6}
        disabled={isDisabled}
        value={text}
        error={isWrong}
        onChange={(event) => onEdit(event.target.value)}
        onKeyDown={(event) => {
          // Enter previews, also where long lists wrap.
          if (event.key === 'Enter' && control === 'text' && event.target instanceof HTMLTextAreaElement) {
            event.preventDefault();
            event.target.form?.requestSubmit();
          }
        }}
        slotProps={{ htmlInput: { ...label, ...(isNumber ? { inputMode: 'decimal' } : {}) } }}
      />
      {control === 'slider' && (
        <Slider
          size="small"
          disabled={isDisabled}
          value={Number(text) || 0}
          min={setting.min ?? 0}
          max={setting.max ?? 1}
          step={stepOf(setting)}
          onChange={(_, value) => onEdit(String(value))}
          aria-label={`${setting.title}, slider`}
        />
      )}
    </Box>
  );
}
