import { useOutletContext } from 'react-router';
import type { Study } from '../../api/schema';

export interface StudyContext {
  study: Study;
}

/** The study that the current stage belongs to. */
export function useStudy(): Study {
  return useOutletContext<StudyContext>().study;
}
