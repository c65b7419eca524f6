export { StagePath } from './StagePath';
export { StudiesPage } from './StudiesPage';
export { StudyBlock } from './StudyBlock';
