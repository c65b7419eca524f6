export { useStudy, type StudyContext } from './studyContext';
