export { StylePage } from './StylePage';
