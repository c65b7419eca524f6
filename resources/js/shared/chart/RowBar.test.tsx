// @vitest-environment jsdom
import { render } from '@testing-library/react';
import { expect, it } from 'vitest';
import { RowBar } from './RowBar';

const widthOf = (amount: number, most: number) => {
  const { container } = render(<RowBar amount={amount} most={most} />);
  return container.firstElementChild?.getAttribute('style');
};

it('is as long as its amount is a part of the most, and never longer', () => {
  expect(widthOf(25, 50)).toBe('width: 50%;');
  expect(widthOf(50, 50)).toBe('width: 100%;');
  expect(widthOf(70, 50)).toBe('width: 100%;');
  expect(widthOf(0, 50)).toBe('width: 0%;');
});
