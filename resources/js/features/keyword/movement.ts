import type { Movement } from '../../api/schema';

/** Movements as people read them. */
export const movementWords: Record<Movement, string> = {
  climbed: 'climbed',
  slipped: 'dropped',
  entered: 'entered',
  left: 'left',
  steady: 'steady',
};
