// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it } from 'vitest';
import { SkipLink } from './SkipLink';

afterEach(cleanup);

describe('the first stop of the Tab key', () => {
  const leadsTo = async (page: React.ReactNode) => {
    cleanup();
    render(
      <>
        <SkipLink />
        <main aria-label="page">{page}</main>
      </>,
    );
    const user = userEvent.setup();
    await user.tab();
    expect(document.activeElement).toBe(screen.getByRole('button', { name: 'Skip to the list' }));
    await user.keyboard('{Enter}');
    return document.activeElement?.getAttribute('aria-label');
  };

  it('leads to the list, past what is drawn above it', async () => {
    expect(
      await leadsTo(
        <>
          <table aria-label="similarity" />
          <div role="table" aria-label="keywords" tabIndex={0} />
        </>,
      ),
    ).toBe('keywords');
  });

  it('leads to a plain table where there is no list, else to the page', async () => {
    expect(await leadsTo(<table aria-label="groups" />)).toBe('groups');
    expect(await leadsTo(<p>Nothing here</p>)).toBe('page');
  });
});
