export { ComingPage } from './ComingPage';
