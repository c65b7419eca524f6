export { AuditPage } from './AuditPage';
