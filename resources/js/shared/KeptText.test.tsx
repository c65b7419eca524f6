// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { KeptText } from './KeptText';

const kept: string[] = [];
const keep = (text: string) => kept.push(text);
const field = () => screen.getByRole('textbox');

beforeEach(() => {
  kept.length = 0;
});

afterEach(cleanup);

describe('a field that is kept when one leaves it', () => {
  it('is kept with Enter, once, without the space around it', async () => {
    render(<KeptText label="Owner" value="Edda" onKeep={keep} />);
    await userEvent.type(field(), ' Quill {Enter}');
    expect(kept).toEqual(['Edda Quill']);
    expect(field()).not.toBe(document.activeElement);
  });

  it('goes back to what stood there with Escape, and is left', async () => {
    render(<KeptText label="Owner" value="Edda" onKeep={keep} />);
    await userEvent.type(field(), ' Quill{Escape}');
    expect(kept).toEqual([]);
    expect(field()).toHaveProperty('value', 'Edda');
    expect(field()).not.toBe(document.activeElement);
    await userEvent.type(field(), ' Thorne');
    await userEvent.tab();
    expect(kept).toEqual(['Edda Thorne']);
  });

  it('keeps a longer text when it is left with Escape, and takes Enter for a new line', async () => {
    render(<KeptText multiline label="Note" value="" onKeep={keep} />);
    await userEvent.type(field(), 'one{Enter}two{Escape}');
    expect(kept).toEqual(['one\ntwo']);
  });

  it('goes back where what is written cannot be kept', async () => {
    render(<KeptText label="Days" value="6.75" onKeep={keep} canKeep={(text) => Number(text) > 0} />);
    await userEvent.clear(field());
    await userEvent.tab();
    expect(kept).toEqual([]);
    expect(field()).toHaveProperty('value', '6.75');
  });

  it('is not kept where nothing was changed', async () => {
    render(<KeptText label="Owner" value="Edda" onKeep={keep} />);
    await userEvent.type(field(), '{Enter}');
    expect(kept).toEqual([]);
  });

  it('shows what was kept elsewhere meanwhile, but not under the hands of who is writing', async () => {
    const { rerender } = render(<KeptText label="Owner" value="Edda" onKeep={keep} />);
    rerender(<KeptText label="Owner" value="Avis" onKeep={keep} />);
    expect(field()).toHaveProperty('value', 'Avis');
    await userEvent.type(field(), ' Th');
    rerender(<KeptText label="Owner" value="Edda" onKeep={keep} />);
    expect(field()).toHaveProperty('value', 'Avis Th');
  });
});
