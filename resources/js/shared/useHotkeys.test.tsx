// @vitest-environment jsdom
import { fireEvent, screen } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { show } from '../testing/show';
import { useHotkeys } from './useHotkeys';

const pressed = vi.fn();

function Page() {
  useHotkeys({ s: pressed, Enter: pressed });
  return (
    <>
      <p>rows</p>
      <input aria-label="reason" />
      <button>Apply</button>
    </>
  );
}

it('acts on a plain key', () => {
  show(<Page />);
  pressed.mockClear();
  fireEvent.keyDown(screen.getByText('rows'), { key: 's' });
  expect(pressed).toHaveBeenCalledTimes(1);
});

it.each([{ ctrlKey: true }, { metaKey: true }, { altKey: true }])('leaves %o with a key to the browser', (modifier) => {
  show(<Page />);
  pressed.mockClear();
  const event = { key: 's', ...modifier };
  expect(fireEvent.keyDown(screen.getByText('rows'), event)).toBe(true);
  expect(pressed).not.toHaveBeenCalled();
});

it('leaves letters to a field and Enter to a button', () => {
  show(<Page />);
  pressed.mockClear();
  fireEvent.keyDown(screen.getByLabelText('reason'), { key: 's' });
  fireEvent.keyDown(screen.getByText('Apply'), { key: 'Enter' });
  expect(pressed).not.toHaveBeenCalled();
});
