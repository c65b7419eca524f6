export { TrackPage } from './TrackPage';
