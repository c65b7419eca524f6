export { PlanPage } from './PlanPage';
