export { WeighPage } from './WeighPage';
