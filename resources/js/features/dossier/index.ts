export { Dossier } from './Dossier';
