import { useEffect } from 'react';

const nameOf = (slug: string) => `reach-sentence-${slug}`;

/** The sentence that was last shown in a study, as long as the browser's tab is open; null where there is none. */
export function carried(slug: string): string | null {
  try {
    return sessionStorage.getItem(nameOf(slug));
  } catch {
    return null;
  }
}

/** Where a stage is gone to: Compare and Weigh take the sentence along, from each other and by way of any other stage. */
export function addressOf(slug: string, stage: string): string {
  const show = ['compare', 'weigh'].includes(stage) ? carried(slug) : null;
  return `/studies/${slug}/${stage}${show === null ? '' : `?show=${encodeURIComponent(show)}`}`;
}

/** Keeps the sentence that is on show for the next stage; null is the one that a stage begins with. */
export function useCarried(slug: string, show: string | null) {
  useEffect(() => {
    try {
      if (show === null) {
        sessionStorage.removeItem(nameOf(slug));
      } else {
        sessionStorage.setItem(nameOf(slug), show);
      }
    } catch {
      // Without a store the address alone carries it.
    }
  }, [slug, show]);
}
