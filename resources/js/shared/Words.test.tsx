// @vitest-environment jsdom
import { render } from '@testing-library/react';
import { expect, it } from 'vitest';
import { Words } from './Words';

const pieces = (text: string | string[]) => {
  const { container } = render(
    <p>
      <Words>{text}</Words>
    </p>,
  );
  return { text: container.textContent, pieces: [...container.querySelectorAll('span')].map((span) => span.textContent) };
};

it('holds the figures of a text together, and leaves the text as it is', () => {
  const text = 'from +1\u2009234 to 1\u2009234\u2009567 visits, 35\u2009% of 980';
  expect(pieces(text)).toEqual({ text, pieces: ['+1\u2009234', '1\u2009234\u2009567', '35\u2009%'] });
  expect(pieces(['7 of ', '12\u2009000'])).toEqual({ text: '7 of 12\u2009000', pieces: ['12\u2009000'] });
  expect(pieces('')).toEqual({ text: '', pieces: [] });
});
