import type { Mark } from '../../api/schema';
import { measures } from '../../theme/measures';

/** A flag for the shortlist, a dash for what was set aside. */
export function MarkSign({ mark }: { mark: Mark | null }) {
  if (mark === null) {
    return null;
  }
  return (
    <svg width="14" height="14" viewBox="0 0 14 14" role="img" aria-label={mark} style={{ verticalAlign: measures.sunk }}>
      {mark === 'shortlisted' ? (
        <path
          d="M3 1 V13 M3 2 H11 L8.5 4.8 L11 7.6 H3"
          fill="var(--mui-palette-primary-main)"
          stroke="var(--mui-palette-primary-main)"
          strokeWidth="1.5"
        />
      ) : (
        <path d="M2 7 H12" stroke="currentColor" strokeWidth="2" />
      )}
    </svg>
  );
}
