export { Missing } from './Missing';
export { useStudy, type StudyContext } from './studyContext';
