export { GatherPage } from './GatherPage';
