export { FindingsPage } from './FindingsPage';
