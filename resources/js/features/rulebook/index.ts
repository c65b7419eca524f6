export { RulebookPage } from './RulebookPage';
